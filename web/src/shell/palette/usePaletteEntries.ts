import { useTranslation } from 'react-i18next';
import { useCatalogue } from '../../crops/catalogue.ts';
import { useCropNames } from '../../crops/names.ts';
import { useCoordinates, useHere, useLeads, useList } from '../../garden/index.ts';
import { placePaths } from '../../garden/paths/index.ts';
import { useDates } from '../../kit/dates.ts';
import { listedDays, useSessions } from '../../work/sessions/index.ts';
import { gardenWays, ownWays, places, waysOf } from '../rail/ways.ts';

export const groups = ['actions', 'screens', 'beds', 'people', 'crops', 'sessions'] as const;

/** Something one can go to, or do. */
export interface PaletteEntry {
  id: string;
  group: (typeof groups)[number];
  name: string;
  /** beside the name: when a session is */
  detail?: string;
  /** other names it is found by */
  others?: readonly string[];
  /** an address with what is to be opened there */
  to: string;
}

/** Screens that no line of links leads to. */
const besides = [
  { words: 'season:paths.labels', to: '/season/labels', may: 'all' },
  { words: 'rota:paths.frost', to: '/frost', may: 'coordinator' },
  { words: 'place:page.climate', to: '/garden/climate', may: 'all' },
] as const;

const actions = [
  ['log', '/log?line=', 'all'],
  ['session', '/sessions?session=new', 'leads'],
  ['bed', '/ground?bed=new', 'coordinator'],
  ['person', '/crew?person=new', 'coordinator'],
] as const;

/** All that can be gone to or done from everywhere by whoever looks. */
export function usePaletteEntries(): PaletteEntry[] {
  const { t } = useTranslation(['shell', 'season', 'layout', 'rota', 'plots', 'place']);
  const { garden, role } = useHere();
  const leads = useLeads();
  const coordinates = useCoordinates();
  const isCrew = role !== 'receiver';
  const names = useCropNames();
  const catalogue = useCatalogue();
  const dates = useDates();
  const beds = useList('beds', isCrew).data ?? [];
  const people = useList('people', leads).data ?? [];
  const sessions = useSessions(listedDays(garden.today), isCrew).data ?? [];
  const may = (who: 'all' | 'leads' | 'coordinator') =>
    isCrew && (who === 'all' || (who === 'leads' ? leads : coordinates));
  const ways = [...waysOf(places, role), ...waysOf(gardenWays, role), ...waysOf(ownWays, role)];
  return [
    ...actions
      .filter(([, , who]) => may(who))
      .map(([name, to]) => ({
        id: name,
        group: 'actions' as const,
        name: t(`shell:palette.action.${name}`),
        to,
      })),
    ...ways.map(({ name, to }) => ({ id: to, group: 'screens' as const, name: t(`shell:rail.${name}`), to })),
    ...[...Object.values(placePaths).flat(), ...besides]
      .filter(({ to, may: who }) => may(who) && ways.every((way) => way.to !== to))
      .map(({ words, to }) => ({ id: to, group: 'screens' as const, name: t(words), to })),
    ...beds.map(({ id, name }) => ({ id, group: 'beds' as const, name, to: `/ground/${id}` })),
    ...people
      .filter(({ retiredOn }) => retiredOn === null)
      .map(({ id, name }) => ({ id, group: 'people' as const, name, to: `/crew?person=${id}` })),
    ...(isCrew ? catalogue.rows : []).map(({ id, name, alsoCalled }) => ({
      ...{ id, group: 'crops' as const, name: names.crop(id), to: `/season/crops/${id}` },
      others: [name.en, name.es, ...alsoCalled.en, ...alsoCalled.es],
    })),
    ...sessions
      .filter(({ on, state }) => state === 'called' && on >= garden.today)
      .map(({ id, title, on }) => ({
        ...{ id, group: 'sessions' as const, name: title, detail: dates.short(on) },
        ...{ others: [dates.long(on)], to: `/sessions/${id}` },
      })),
  ];
}
