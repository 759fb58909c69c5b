import { createBrowserRouter, redirect } from 'react-router';
import { Lost } from './Lost';
import { Shelf } from './Shelf';

/** Job and station stand in the address, so that a reload or a shared link lands where one was. */
export const router = createBrowserRouter([
  {
    errorElement: <Lost />,
    children: [
      { path: '/', element: <Shelf /> },
      { path: '/jobs/:jobId', loader: ({ params }) => redirect(`/jobs/${params.jobId}/size`) },
      {
        path: '/jobs/:jobId/:station',
        lazy: () => import('./JobShell').then(({ JobShell }) => ({ Component: JobShell })),
        HydrateFallback: () => null,
      },
      { path: '*', element: <Lost /> },
    ],
  },
]);
