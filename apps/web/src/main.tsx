import './index.css';
import { familyList } from '@ichnograph/core';
import { QueryClientProvider } from '@tanstack/react-query';
import { StrictMode } from 'react';
import { createRoot } from 'react-dom/client';
import { RouterProvider } from 'react-router/dom';
import { Announcer } from './common/announcer';
import { queries } from './common/queries';
import { router } from './app/router';

// The order in which fonts are looked through is core's: it lays text out by it.
document.documentElement.style.setProperty('--font-sans', familyList());

createRoot(document.getElementById('root')!).render(
  <StrictMode>
    <QueryClientProvider client={queries}>
      <RouterProvider router={router} />
      <Announcer />
    </QueryClientProvider>
  </StrictMode>,
);
