import '@fontsource-variable/hanken-grotesk/wght.css';
import '@fontsource-variable/spline-sans-mono/wght.css';
import './styles/studio.scss';
import { QueryClientProvider } from '@tanstack/react-query';
import { StrictMode } from 'react';
import { createRoot } from 'react-dom/client';
import { App } from './App';
import { queryClient } from './api/queries';

const root = document.getElementById('root');
if (!root) throw new Error('the page has no root');
createRoot(root).render(
  <StrictMode>
    <QueryClientProvider client={queryClient}>
      <App />
    </QueryClientProvider>
  </StrictMode>,
);
