import type { Round } from '@unity-acre/contract/work';
import { weekOfMonth } from '@unity-acre/core/work';
import { useTranslation } from 'react-i18next';
import { useDates } from '../../kit/dates.ts';

/** How often a round comes, as a form offers it. */
export const repeats = ['once', 'weekly', 'fortnightly', 'monthly', 'days'] as const;
export type Repeat = (typeof repeats)[number];

const daysOf: Partial<Record<Repeat, number>> = { weekly: 7, fortnightly: 14 };

/** @param every days between two, as they were typed */
export const repeatOf = ({ every, monthly }: Pick<Round, 'every' | 'monthly'>): Repeat => {
  if (monthly) return 'monthly';
  if (every === null) return 'once';
  return repeats.find((repeat) => daysOf[repeat] === every) ?? 'days';
};

/** The days between two rounds; null where they are not counted in days, undefined where somebody has to say. */
export const everyOf = (repeat: Repeat): number | null | undefined =>
  repeat === 'days' ? undefined : (daysOf[repeat] ?? null);

/** How often a round comes, in words: "every second week", "every month on the second Saturday". */
export function useRepeatWords(): (round: Pick<Round, 'every' | 'monthly' | 'first'>) => string {
  const { t } = useTranslation('day');
  const dates = useDates();
  return (round) => {
    const repeat = repeatOf(round);
    if (repeat === 'days') return t('care.days', { count: round.every });
    if (repeat !== 'monthly') return t(`care.${repeat}`);
    const which = t(`care.which.${weekOfMonth(round.first) as 1 | 2 | 3 | 4 | 5}`);
    return t('care.monthlyOn', { which, weekday: dates.weekdayLong(round.first) });
  };
}
