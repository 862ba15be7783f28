import { createBrowserRouter, type RouteObject } from 'react-router';
import { speakOf } from '../words/index.ts';
import type { LateRoom } from '../words/late.ts';
import { Entrance } from './Entrance.tsx';
import { Lost } from './Lost.tsx';

/** A screen that is fetched when it is first visited. */
const screen = (
  path: string,
  load: () => Promise<{ default: React.ComponentType }>,
  room?: LateRoom,
): RouteObject => ({
  path,
  lazy: async () => {
    const [loaded] = await Promise.all([load(), room && speakOf(room)]);
    return { Component: loaded.default };
  },
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
          screen('season/still', () => import('../season/Still.tsx')),
          screen('season/crops', () => import('../crops/CropList.tsx'), 'crops'),
          screen('season/crops/:cropId', () => import('../crops/CropPage.tsx'), 'crops'),
          screen('crew', () => import('../crew/Crew.tsx')),
          screen('sessions', () => import('../work/Sessions.tsx')),
          screen('log', () => import('../log/LogBook.tsx')),
          screen('garden', () => import('../place/GardenSetUp.tsx'), 'climate'),
          screen('garden/climate', () => import('../place/ClimatePage.tsx'), 'climate'),
          screen('garden/rules', () => import('../place/RulesPage.tsx'), 'climate'),
          { path: '*', element: <Lost /> },
        ],
      },
    ],
  },
]);
