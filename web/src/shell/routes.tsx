import { Navigate, type RouteObject, useParams } from 'react-router';
import { Lost } from './Lost';
import { Shelf } from './Shelf';
import { stations } from './stations';

/** A job without a station opens on the bench. */
function ToBench() {
  const { jobId } = useParams();
  return <Navigate to={`/jobs/${jobId}/size`} replace />;
}

/** Job and station stand in the address, so that a reload or a shared link lands where one was. */
export const routes: RouteObject[] = [
  {
    errorElement: <Lost />,
    children: [
      { path: '/', element: <Shelf /> },
      { path: '/jobs/:jobId', element: <ToBench /> },
      {
        path: '/jobs/:jobId/:station',
        // The station comes along with the shell, not after the job.
        loader: ({ params }) => {
          void stations.find(({ id }) => id === params.station)?.load();
          return null;
        },
        lazy: () => import('./JobShell').then(({ JobShell }) => ({ Component: JobShell })),
        HydrateFallback: () => null,
      },
      { path: '*', element: <Lost /> },
    ],
  },
];
