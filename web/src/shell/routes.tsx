import { createBrowserRouter, Navigate, type RouteObject } from 'react-router';
import { lookAround } from '../garden/index.ts';
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

/** Whose words stand on cards. */
const ofCards = [
  'rota',
  'day',
  'cards',
  'practice',
  'practices',
  'materials',
  'season',
  'crops',
  'people',
  'ground',
] as const;

/** Addresses that screens had before, for bookmarks. */
const moved = {
  'sessions/mine': '/mine/times',
  'sessions/frost': '/frost',
  'sessions/messages': '/messages',
  'sessions/tools': '/tools',
};

const routes: RouteObject[] = [
  {
    errorElement: <Lost />,
    children: [
      {
        element: <Entrance />,
        children: [
          screen('sign-in', () => import('../crew/access/SignIn.tsx')),
          screen('set-up', () => import('../place/setup/SetUp.tsx')),
          screen('join/:token', () => import('../crew/access/Join.tsx')),
          screen('forgot', () => import('../crew/access/Forgot.tsx'), 'account'),
          screen('password/:token', () => import('../crew/access/NewPassword.tsx'), 'account'),
        ],
      },
      {
        lazy: async () => {
          const { cropsAreThere, Door, readAhead } = await import('./inside.ts');
          setTimeout(() => void readAhead(window.location.pathname));
          await cropsAreThere();
          return { Component: Door };
        },
        loader: lookAround,
        shouldRevalidate: () => false,
        children: [
          screen('/', () => import('../work/week/ThisWeek.tsx'), 'week'),
          screen('ground', () => import('./map/MapPage.tsx'), 'map', 'ground', 'layout'),
          screen(
            'ground/layout',
            () => import('../ground/layout/LayoutPage.tsx'),
            'ground',
            'layout',
            'fields',
          ),
          screen('ground/sun', () => import('../ground/sun/SunPage.tsx'), 'ground', 'layout'),
          screen(
            'ground/judgement',
            () => import('../ground/judge/JudgementPage.tsx'),
            'ground',
            'season',
            'layout',
          ),
          screen('ground/print', () => import('../ground/print/PrintPage.tsx'), 'ground', 'layout'),
          screen('ground/:bedId', () => import('../ground/bed/BedPage.tsx'), 'ground', 'season', 'reasons'),
          screen(
            'ground/:bedId/plan',
            () => import('../season/planner/Planner.tsx'),
            'ground',
            'season',
            'reasons',
            'practices',
          ),
          screen(
            'ground/:bedId/plan/:plantingId',
            () => import('../season/planner/Planner.tsx'),
            'season',
            'reasons',
            'practices',
          ),
          screen(
            'season',
            () => import('../season/bands/Season.tsx'),
            ...(['season', 'plan', 'findings', 'reasons'] as const),
          ),
          screen('season/propose', () => import('../season/propose/ProposePage.tsx'), 'season', 'plan'),
          screen('season/next', () => import('../season/propose/NextYearPage.tsx'), 'season', 'plan'),
          screen('season/labels', () => import('../season/labels/LabelsPage.tsx'), 'season', 'plan'),
          screen('seeds', () => import('../crops/seedBox/SeedBoxPage.tsx'), 'season', 'seedBox'),
          screen('season/still', () => import('../season/still/Still.tsx'), 'season'),
          screen('season/crops', () => import('../crops/pages/CropList.tsx'), 'season', 'crops'),
          screen('season/crops/:cropId', () => import('../crops/pages/CropPage.tsx'), 'season', 'crops'),
          screen('account', () => import('../crew/me/AccountPage.tsx'), 'account'),
          screen('crew', () => import('../crew/people/Crew.tsx'), 'people', 'plots', 'account'),
          screen('crew/rules', () => import('../crew/plots/CrewRulesPage.tsx'), 'plots'),
          screen('crew/walk', () => import('../crew/plots/WalkPage.tsx'), 'plots'),
          screen('crew/plots', () => import('../crew/plots/PlotsPage.tsx'), 'plots'),
          screen('sessions', () => import('../work/sessions/Sessions.tsx'), 'rota', 'day'),
          screen('sessions/rota', () => import('../work/rota/RotaPage.tsx'), 'rota', 'people'),
          screen('mine/times', () => import('../crew/me/MyTimesPage.tsx'), 'people'),
          screen('mine/plots', () => import('../crew/me/MyPlotsPage.tsx'), 'plots'),
          screen('mine/hours', () => import('../work/hours/MyHoursPage.tsx'), 'rota', 'day'),
          screen('sessions/day', () => import('../work/day/DayBoard.tsx'), 'rota', 'day'),
          screen(
            'sessions/care',
            () => import('../work/care/CarePage.tsx'),
            'rota',
            'day',
            'cards',
            'practices',
            'people',
          ),
          screen('frost', () => import('../work/care/FrostPage.tsx'), 'rota', 'day'),
          screen('messages', () => import('../work/messages/MessagesPage.tsx'), 'rota', 'day', 'messages'),
          screen('sessions/hours', () => import('../work/hours/HoursPage.tsx'), 'rota', 'day'),
          screen('tools', () => import('../work/care/ToolsPage.tsx'), 'rota', 'materials'),
          screen('sessions/card/:taskId', () => import('../work/cards/CardPage.tsx'), ...ofCards),
          screen('sessions/:id', () => import('../work/day/SessionDay.tsx'), ...ofCards),
          screen('log', () => import('../log/LogBook.tsx'), 'season', 'changes'),
          screen('garden', () => import('../place/setup/GardenSetUp.tsx'), 'climate'),
          screen('garden/climate', () => import('../place/climate/ClimatePage.tsx'), 'climate'),
          screen(
            'garden/rules',
            () => import('../place/rules/RulesPage.tsx'),
            'season',
            'climate',
            'practices',
          ),
          ...Object.entries(moved).map(([path, to]) => ({ path, element: <Navigate to={to} replace /> })),
          ...(import.meta.env.DEV ? [screen('kit', () => import('../kit/page/KitPage.tsx'))] : []),
          { path: '*', element: <Lost /> },
        ],
      },
    ],
  },
];

/** Begins to fetch the screen of the address. */
export const makeRouter = () => createBrowserRouter(routes);

/** Waits until the screen of the address is there, or known not to come. */
export const screenIsThere = (router: ReturnType<typeof makeRouter>): Promise<void> =>
  new Promise((resolve) => {
    if (router.state.initialized) resolve();
    else {
      const stop = router.subscribe(({ initialized }) => {
        if (!initialized) return;
        stop();
        resolve();
      });
    }
  });
