import { workedOutline } from '../../../ground/index.ts';
import type { YearPlan } from '../../planning/index.ts';
import type { Candidate } from '../candidate.ts';
import type { Wish } from '../demand.ts';

/** The rules of a garden, checked again without the model: what a choice of candidates breaks. */
export function trespasses(
  plan: YearPlan,
  wishes: readonly Wish[],
  chosen: readonly { wishId: string; candidate: Candidate }[],
): string[] {
  const found: string[] = [];
  for (const one of plan.beds) {
    const here = chosen.filter(({ candidate }) => candidate.bedId === one.id);
    const { across, along } = workedOutline(one);
    for (const { candidate } of here) {
      const day = candidate.from;
      const now = here.filter((other) => other.candidate.from <= day && day <= other.candidate.until);
      const area = now.reduce((sum, other) => sum + other.candidate.width * other.candidate.length, 0);
      if (area > across * along + 1e-3) found.push(`${one.id} is overfull on ${day}`);
    }
    for (const { wishId } of here) {
      const { crop } = wishes.find(({ id }) => id === wishId)!;
      // Flowers for the bees come back where they like.
      if (
        crop.harvest.style !== 'flowers' &&
        crop.family !== 'coverCrops' &&
        plan.before.some(
          ({ bedId, year, crop: was }) =>
            bedId === one.id &&
            year > plan.year - 4 &&
            was.family === crop.family &&
            was.harvest.style !== 'flowers',
        )
      )
        found.push(`${crop.family} again in ${one.id}`);
      const hours = crop.sun === 'full' ? 6 : 3;
      if (one.sunHours !== null && one.sunHours < hours - 0.06)
        found.push(`${crop.id} is in the dark in ${one.id}`);
    }
    for (const [a, b] of here.flatMap((a, n) => here.slice(n + 1).map((b) => [a, b] as const))) {
      const pair = [a, b].map(({ wishId }) => wishes.find(({ id }) => id === wishId)!.crop.family).sort();
      const isTogether = a.candidate.from <= b.candidate.until && b.candidate.from <= a.candidate.until;
      if (pair.join() === 'alliums,legumes' && isTogether) found.push(`onions beside beans in ${one.id}`);
    }
  }
  return found;
}
