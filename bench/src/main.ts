import { benchChecks, benchHeap } from './checks.js';

benchChecks();
benchHeap();
