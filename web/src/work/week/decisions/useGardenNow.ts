import { useQuery } from '@tanstack/react-query';
import type { Planting } from '@unity-acre/contract/season';
import type { Session, TaskView } from '@unity-acre/contract/work';
import type { GardenNow } from '@unity-acre/core/work';
import { useCatalogue } from '../../../crops/catalogue.ts';
import { listKey, useCoordinates, useHere, useList } from '../../../garden/index.ts';
import { ask } from '../../../kit/ask.ts';
import { weekDays } from '../weekDays.ts';

interface Known {
  sessions: readonly Session[];
  tasks: readonly TaskView[];
  plantings: readonly Planting[];
}

/** How many have asked for a plot of the season to come; who gives out plots is told. */
function useApplications(): number {
  const { garden } = useHere();
  const year = garden.seasonYear + 1;
  const params = { gardenId: garden.id, year };
  const { data } = useQuery({
    queryKey: listKey(garden.id, 'plotApplications', year),
    queryFn: async () => (await ask('plotApplications', { params })).data,
    enabled: useCoordinates(),
  });
  return data?.length ?? 0;
}

/** How the garden stands, for the rules that find what needs a person. Null until all that they look at is there. */
export function useGardenNow({ sessions, tasks, plantings }: Known): GardenNow | null {
  const { garden } = useHere();
  const catalogue = useCatalogue();
  const coordinates = useCoordinates();
  const people = useList('people');
  const beds = useList('beds');
  const weather = useList('weather');
  const care = useList('plotCare', coordinates);
  const applications = useApplications();
  if (!people.data || !beds.data || !weather.data || (coordinates && !care.data)) return null;
  const { today } = garden;
  return {
    ...{ today, until: weekDays(today).until, tasks, applications, beds: beds.data },
    sessions: sessions.filter(({ on, state }) => state === 'called' && on >= today),
    plantings: plantings.map((planting) => ({
      ...planting,
      hardiness: catalogue.crop(planting.cropId)?.hardiness ?? 'hardy',
    })),
    nights: weather.data.forecast,
    people: people.data
      .filter(({ retiredOn, waitingSince }) => retiredOn === null && waitingSince === null)
      .map(({ id, kind, availability }) => ({ id, adults: kind === 'minor' ? 0 : 1, availability })),
    plots: care.data ?? [],
  };
}
