export { DEMO_PASSWORD } from './people.js';
export { DemoSignInModule } from './sign-in.module.js';
