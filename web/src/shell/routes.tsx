import { createBrowserRouter, type RouteObject } from 'react-router';
import { speakOf } from '../words/index.ts';
import type { LateRoom } from '../words/late.ts';
import { Entrance } from './Entrance.tsx';
import { Lost } from './Lost.tsx';

/** A screen that is fetched when it is first visited. */
const screen = (
  path: string,
  load: () => Promise<{ default: React.ComponentType }>,
  ...rooms: LateRoom[]
): RouteObject => ({
  path,
  lazy: async () => {
    const [loaded] = await Promise.all([load(), ...rooms.map(speakOf)]);
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
          screen('forgot', () => import('../crew/Forgot.tsx'), 'account'),
          screen('password/:token', () => import('../crew/NewPassword.tsx'), 'account'),
        ],
      },
      {
        lazy: async () => ({ Component: (await import('./Door.tsx')).Door }),
        children: [
          screen('/', () => import('../work/ThisWeek.tsx')),
          screen('ground', () => import('../ground/Ground.tsx'), 'ground', 'layout'),
          screen('ground/layout', () => import('../ground/LayoutPage.tsx'), 'ground', 'layout', 'fields'),
          screen('ground/sun', () => import('../ground/SunPage.tsx'), 'ground', 'layout'),
          screen(
            'ground/judgement',
            () => import('../ground/JudgementPage.tsx'),
            'ground',
            'season',
            'layout',
          ),
          screen('ground/print', () => import('../ground/PrintPage.tsx'), 'ground', 'layout'),
          screen('ground/:bedId', () => import('../ground/BedPage.tsx'), 'ground', 'season', 'reasons'),
          screen('ground/:bedId/plan', () => import('../season/Planner.tsx'), 'ground', 'season', 'reasons'),
          screen(
            'ground/:bedId/plan/:plantingId',
            () => import('../season/Planner.tsx'),
            'season',
            'reasons',
          ),
          screen(
            'season',
            () => import('../season/Season.tsx'),
            ...(['season', 'plan', 'findings', 'reasons'] as const),
          ),
          screen('season/propose', () => import('../season/ProposePage.tsx'), 'season', 'plan'),
          screen('season/next', () => import('../season/NextYearPage.tsx'), 'season', 'plan'),
          screen('season/labels', () => import('../season/LabelsPage.tsx'), 'season', 'plan'),
          screen('seeds', () => import('../crops/SeedBoxPage.tsx'), 'season', 'seedBox'),
          screen('season/still', () => import('../season/Still.tsx'), 'season'),
          screen('season/crops', () => import('../crops/CropList.tsx'), 'season', 'crops'),
          screen('season/crops/:cropId', () => import('../crops/CropPage.tsx'), 'season', 'crops'),
          screen('account', () => import('../crew/AccountPage.tsx'), 'account'),
          screen('crew', () => import('../crew/Crew.tsx'), 'people', 'plots', 'account'),
          screen('crew/rules', () => import('../crew/CrewRulesPage.tsx'), 'plots'),
          screen('crew/walk', () => import('../crew/WalkPage.tsx'), 'plots'),
          screen('crew/plots', () => import('../crew/PlotsPage.tsx'), 'plots'),
          screen('sessions', () => import('../work/Sessions.tsx'), 'rota', 'day'),
          screen('sessions/rota', () => import('../work/RotaPage.tsx'), 'rota', 'people'),
          screen('sessions/mine', () => import('../crew/MyTimesPage.tsx'), 'rota', 'people', 'plots'),
          screen('sessions/day', () => import('../work/day/DayBoard.tsx'), 'rota', 'day'),
          screen('sessions/care', () => import('../work/day/CarePage.tsx'), 'rota', 'day'),
          screen('sessions/frost', () => import('../work/day/FrostPage.tsx'), 'rota', 'day'),
          screen(
            'sessions/messages',
            () => import('../work/day/MessagesPage.tsx'),
            'rota',
            'day',
            'messages',
          ),
          screen('sessions/hours', () => import('../work/day/HoursPage.tsx'), 'rota', 'day'),
          screen('sessions/tools', () => import('../work/ToolsPage.tsx'), 'rota'),
          screen(
            'sessions/card/:taskId',
            () => import('../work/day/CardPage.tsx'),
            ...(['rota', 'day', 'season', 'people', 'ground'] as const),
          ),
          screen(
            'sessions/:id',
            () => import('../work/day/SessionDay.tsx'),
            ...(['rota', 'day', 'season', 'people', 'ground'] as const),
          ),
          screen('log', () => import('../log/LogBook.tsx'), 'season', 'changes'),
          screen('garden', () => import('../place/GardenSetUp.tsx'), 'climate'),
          screen('garden/climate', () => import('../place/ClimatePage.tsx'), 'climate'),
          screen('garden/rules', () => import('../place/RulesPage.tsx'), 'season', 'climate'),
          { path: '*', element: <Lost /> },
        ],
      },
    ],
  },
]);
