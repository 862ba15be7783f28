import { createBrowserRouter, type RouteObject } from 'react-router';
import { Entrance } from './Entrance.tsx';
import { Lost } from './Lost.tsx';

/** A screen that is fetched when it is first visited. */
const screen = (path: string, load: () => Promise<{ default: React.ComponentType }>): RouteObject => ({
  path,
  lazy: async () => ({ Component: (await load()).default }),
});

export const router = createBrowserRouter([
  {
    errorElement: <Lost />,
    children: [
      {
        element: <Entrance />,
        children: [
          screen('sign-in', () => import('../crew/SignIn.tsx')),
          screen('set-up', () => import('../place/SetUp.tsx')),
          screen('join/:token', () => import('../crew/Join.tsx')),
        ],
      },
      {
        lazy: async () => ({ Component: (await import('./Door.tsx')).Door }),
        children: [
          screen('/', () => import('../work/ThisWeek.tsx')),
          screen('ground', () => import('../ground/Ground.tsx')),
          screen('ground/:bedId', () => import('../ground/BedPage.tsx')),
          screen('ground/:bedId/plan', () => import('../season/Planner.tsx')),
          screen('ground/:bedId/plan/:plantingId', () => import('../season/Planner.tsx')),
          screen('season', () => import('../season/Season.tsx')),
          screen('crew', () => import('../crew/Crew.tsx')),
          screen('sessions', () => import('../work/Sessions.tsx')),
          screen('log', () => import('../log/LogBook.tsx')),
          screen('garden', () => import('../place/GardenSetUp.tsx')),
          { path: '*', element: <Lost /> },
        ],
      },
    ],
  },
]);
