import './theme/fonts';
import { ChakraProvider } from '@chakra-ui/react';
import { QueryClientProvider } from '@tanstack/react-query';
import { StrictMode } from 'react';
import { createRoot } from 'react-dom/client';
import { createBrowserRouter, RouterProvider } from 'react-router';
import { routes } from './shell/routes';
import { queries } from './state/api';
import { followLight } from './state/view';
import { system } from './theme/system';

followLight();
const root = document.getElementById('root');
if (!root) throw new Error('index.html has no #root');
const router = createBrowserRouter(routes);
createRoot(root).render(
  <StrictMode>
    <ChakraProvider value={system}>
      <QueryClientProvider client={queries}>
        <RouterProvider router={router} />
      </QueryClientProvider>
    </ChakraProvider>
  </StrictMode>,
);
