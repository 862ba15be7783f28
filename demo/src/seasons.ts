import type { PlantingInput } from '@unity-acre/contract/season';
import { addDays, type Day, daysBetween, laterOf } from '@unity-acre/core/calendar';
import { plainCatalogue, varietyOf } from '@unity-acre/core/crops';
import type { Destination, EntryKind } from '@unity-acre/core/log';
import { almanacOf } from '@unity-acre/core/place';
import {
  computeMilestones,
  defaultRules,
  type Happened,
  inGroundOf,
  type MilestoneKind,
  type PlantingPlan,
  usualSpacing,
} from '@unity-acre/core/season';
import { toGrams } from '@unity-acre/core/units';
import { extras, gramsPerWeek, rotation, small } from './crops.ts';
import { type BedKind, beds, demoToday } from './place.ts';
import { climate } from './weather.ts';

export interface DemoPlanting extends Omit<PlantingInput, 'bedId' | 'afterId'> {
  bed: string;
  kind: BedKind;
  /** the crop in the same bed that it waits for */
  waitsFor: string | null;
  entries: DemoEntry[];
}

interface DemoEntry {
  kind: EntryKind;
  on: Day;
  pounds?: number;
  destination?: Destination;
  note?: string;
}

const loggedAs: Partial<Record<MilestoneKind, EntryKind>> = {
  startIndoors: 'sowing',
  support: 'support',
  sow: 'sowing',
  emerge: 'emergence',
  potOn: 'pottingOn',
  thin: 'thinning',
  hardenOff: 'hardening',
  setOut: 'settingOut',
  netOn: 'netting',
  cover: 'covering',
  mulch: 'mulching',
  feed: 'feeding',
};

const destinationsOf: Record<BedKind, Destination[]> = {
  cooperative: ['household', 'household', 'pantry', 'stand'],
  giving: ['pantry', 'pantry', 'school'],
  plot: ['household'],
  teaching: ['school'],
  trial: ['household', 'seed'],
  pollinator: ['household'],
};

/** Plantings of the bed in a year: beds of the common rotation move on one place each year. */
function choicesFor(bed: (typeof beds)[number], index: number, year: number) {
  if (bed.tenure === 'cooperative' || bed.tenure === 'giving')
    return rotation[(index + year) % rotation.length]!;
  if (bed.tenure === 'pollinator') return [];
  if (bed.tenure === 'trial' && year === 2026) return [];
  return small[(index + year) % small.length]!;
}

/** Sown and logged, but not up long past its time: something for the coordinator to look at. */
const neverUp = (planting: DemoPlanting): boolean =>
  planting.year === 2026 && planting.bed === 'Bed 2' && planting.cropId === 'lettuce';

/** Set out before its time by somebody who could not wait: what frost may still catch on the demo's day. */
const tooSoon = (planting: DemoPlanting): Partial<DemoPlanting> =>
  planting.year === 2026 && planting.bed === 'Plot 5' && planting.cropId === 'tomato'
    ? { method: 'setPlants', startOn: '2026-05-12' }
    : {};

/** Four seasons of plantings with what was logged of them, up to the demo's day. The same at every run. */
export function demoPlantings(random: () => number): DemoPlanting[] {
  const all: DemoPlanting[] = [];
  for (const year of [2023, 2024, 2025, 2026]) {
    for (const [index, bed] of beds.entries()) {
      const own = extras.filter((extra) => extra.bed === bed.name && extra.year === year);
      for (const { share, waitsFor, ...choice } of [...choicesFor(bed, index, year), ...own] as Extra[]) {
        const planting: DemoPlanting = {
          ...choice,
          bed: bed.name,
          kind: bed.tenure,
          year,
          practices: {},
          pattern: 'rows',
          width: Math.min(bed.width, bed.length),
          length: Math.max(bed.width, bed.length) * share,
          startOn: null,
          waitsFor: waitsFor?.cropId ?? null,
          afterDays: waitsFor?.days ?? null,
          betweenId: null,
          pinned: false,
          protection: 'none',
          ...usualSpacing,
          at: null,
          note: '',
          entries: [],
        };
        Object.assign(planting, tooSoon(planting));
        logSeason(planting, random);
        all.push(planting);
      }
    }
  }
  return all;
}

type Extra = ReturnType<typeof choicesFor>[number] & Pick<(typeof extras)[number], 'waitsFor'>;

/** The almanac of a bed: the spot it lies in may be colder or warmer. */
export const almanacOfBed = (name: string) =>
  almanacOf(climate, { offsetC: beds.find((bed) => bed.name === name)!.offsetC });

/** Lets a season happen to a planting: steps a few days off their plan, each moving what follows. */
function logSeason(planting: DemoPlanting, random: () => number): void {
  if (planting.waitsFor) return;
  const almanac = almanacOfBed(planting.bed);
  const crop = plainCatalogue.crop(planting.cropId)!;
  const plan = { ...planting, crop, variety: varietyOf(crop, planting.varietyId)! };
  const happened: Happened[] = [];
  const late = neverUp(planting) ? -5 : Math.round(random() * 9) - 2;
  for (;;) {
    const steps = computeMilestones(plan, almanac, defaultRules, happened)!;
    const step = steps.find(({ kind }) => loggedAs[kind] && !happened.some((fact) => fact.kind === kind));
    if (!step) break;
    if (step.kind === 'emerge' && neverUp(planting)) break;
    const off = step.kind === 'emerge' ? 0 : step === steps[0] ? late : Math.round(random() * 4) - 1;
    const on = addDays(step.on, off);
    if (on > demoToday) break;
    happened.push({ kind: step.kind, on });
    planting.entries.push({ kind: loggedAs[step.kind]!, on });
  }
  const steps = computeMilestones(plan, almanac, defaultRules, happened)!;
  if (crop.perennial) logLaterYears(planting, plan, random);
  const out = inGroundOf(steps)!;
  const stuck = steps.some(({ kind, done }) => kind === 'emerge' && !done);
  const first = steps.find(({ kind }) => kind === 'firstPick')?.on;
  const last = steps.find(({ kind }) => kind === 'lastPick')?.on;
  if (!out.done || stuck || !first || !last) return;
  logPicking(planting, first, last, random);
  if (crop.perennial) return;
  const cleared = addDays(last, 4 + Math.floor(random() * 6));
  const lastLogged = planting.entries.reduce((day, entry) => laterOf(day, entry.on), '');
  if (cleared <= demoToday && cleared >= lastLogged) planting.entries.push({ kind: 'clearing', on: cleared });
}

/** The springs after its first of what stands for years: fed, and picked once it is old enough. */
function logLaterYears(planting: DemoPlanting, plan: PlantingPlan, random: () => number): void {
  for (let year = planting.year + 1; year <= 2026; year++) {
    const steps = computeMilestones(plan, almanacOfBed(planting.bed), defaultRules, [], year)!;
    const [fed, first, last] = (['feed', 'firstPick', 'lastPick'] as const).map(
      (kind) => steps.find((step) => step.kind === kind)?.on,
    );
    if (fed && fed <= demoToday) planting.entries.push({ kind: 'feeding', on: fed });
    if (first && last) logPicking(planting, first, last, random);
  }
}

/** A weighing about every week of picking, up to the demo's day. */
function logPicking(planting: DemoPlanting, first: Day, last: Day, random: () => number): void {
  const crop = plainCatalogue.crop(planting.cropId)!;
  const area = planting.width * planting.length;
  const kinds = destinationsOf[planting.kind];
  const weeks = Math.max(1, Math.floor(daysBetween(first, last) / 7));
  for (let week = 0; week <= weeks; week++) {
    const on = addDays(first, week * 7 + Math.floor(random() * 3));
    if (on > demoToday || on > last) break;
    const share = crop.onceOver ? 1 / (weeks + 1) : 1;
    const grams = area * gramsPerWeek[planting.cropId]! * share * (0.55 + random() * 0.8);
    const pounds = Math.max(0.1, Math.round((grams / toGrams(1, 'lb')) * 10) / 10);
    planting.entries.push({
      kind: 'harvest',
      on,
      pounds,
      destination: kinds[Math.floor(random() * kinds.length)]!,
    });
  }
}

/** Things seen on the weekly walk this spring. */
export const observations: { bed: string; on: Day; note: string }[] = [
  {
    bed: 'Bed 3',
    on: '2026-05-19',
    note: 'Flea beetle holes on the outer leaves. Net is on, edges weighed.',
  },
  { bed: 'Bed 8', on: '2026-05-18', note: 'Slugs under the board at the north end, eleven picked.' },
  { bed: 'Pollinator strip', on: '2026-05-17', note: 'First calendula in flower, bumblebees about.' },
  { bed: 'School bed 1', on: '2026-05-14', note: 'Room 4 measured the peas: 5 inches.' },
  { bed: 'Bed 1', on: '2026-05-11', note: 'Frost on the grass at six, 31 °F at the shed. Covers held.' },
];
