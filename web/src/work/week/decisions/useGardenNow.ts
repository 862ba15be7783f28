import type { Planting } from '@unity-acre/contract/season';
import type { Session, TaskView } from '@unity-acre/contract/work';
import { headsOf } from '@unity-acre/core/crew';
import type { GardenNow } from '@unity-acre/core/work';
import { usePlotApplications } from '../../../crew/plots/index.ts';
import { useCatalogue } from '../../../crops/catalogue.ts';
import { useCoordinates, useHere, useList } from '../../../garden/index.ts';
import { weekDays } from '../weekDays.ts';

interface Known {
  sessions: readonly Session[];
  tasks: readonly TaskView[];
  plantings: readonly Planting[];
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
  const applications = usePlotApplications(garden.seasonYear + 1, coordinates).data?.length ?? 0;
  if (!people.data || !beds.data || !weather.data || (coordinates && !care.data)) return null;
  const { today, seasonYear } = garden;
  return {
    ...{ today, until: weekDays(today).until, tasks, applications },
    beds: beds.data.map(({ id, offsetC, tenures }) => ({
      ...{ id, offsetC },
      isPlot: tenures.some(({ year, kind }) => year === seasonYear && kind === 'plot'),
    })),
    sessions: sessions.filter(({ on, state }) => state === 'called' && on >= today),
    plantings: plantings.flatMap((planting) => {
      const crop = catalogue.crop(planting.cropId);
      if (!crop) return [];
      const { hardiness, frostDamageC, nightsC = null, daysIndoors } = crop;
      return [{ ...planting, hardiness, frostDamageC, nightsC, mostDaysIndoors: daysIndoors?.most ?? null }];
    }),
    nights: weather.data.forecast,
    people: people.data
      .filter(
        ({ role, retiredOn, waitingSince }) =>
          role !== 'receiver' && retiredOn === null && waitingSince === null,
      )
      .map(({ id, kind, headcount, children, availability }) => ({
        ...{ id, availability },
        adults: headsOf(kind, headcount, children).adults,
      })),
    plots: care.data ?? [],
  };
}
