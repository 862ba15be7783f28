import type { Role } from '@unity-acre/contract';
import type { Person } from '@unity-acre/contract/crew';
import type { Garden } from '@unity-acre/contract/place';
import { dateStyleOf } from '@unity-acre/contract/wording';
import { createContext, type ReactNode, useContext } from 'react';
import { DateStyleProvider } from '../kit/dates.ts';

/** Where one stands: the garden looked at, and who one is in it. */
export interface Here {
  garden: Garden;
  personId: string;
  role: Role;
  name: string;
}

const HereContext = createContext<Here | null>(null);

export function HereProvider({ value, children }: { value: Here; children: ReactNode }) {
  return (
    <HereContext.Provider value={value}>
      <DateStyleProvider value={dateStyleOf(value.garden.units)}>{children}</DateStyleProvider>
    </HereContext.Provider>
  );
}

/** @throws outside a garden */
export function useHere(): Here {
  const here = useContext(HereContext);
  if (!here) throw new Error('no garden here');
  return here;
}

export const useLeads = (): boolean => ['coordinator', 'crewLead'].includes(useHere().role);
export const useCoordinates = (): boolean => useHere().role === 'coordinator';

/** The people who are in the garden now, and whoever is chosen already though they have left. */
export const presentPeople = (people: readonly Person[] | undefined, chosenId?: string | null): Person[] =>
  (people ?? []).filter(({ id, retiredOn }) => retiredOn === null || id === chosenId);
