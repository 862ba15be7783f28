import { isDay } from '@unity-acre/core/calendar';
import type { Reason } from '@unity-acre/core/season';
import { useTranslation } from 'react-i18next';
import { useCropNames } from '../../crops/names.ts';
import { useMeasure } from '../../garden/index.ts';
import { useDates } from '../../kit/dates.ts';
import { useMoveWords } from './Moves.tsx';

/** Puts a reason of the core into words: its parameters become dates, temperatures and names. */
export function useReasonWords(): (reason: Reason) => string {
  const { t } = useTranslation(['season', 'reasons']);
  const dates = useDates();
  const { temperature } = useMeasure();
  const names = useCropNames();
  /** "1 year of 4", "3 years of 4": shares of years as people count them. */
  const years = (share: number): string => {
    if (Math.abs(share - 0.5) < 0.01) return t('yearsOf.half');
    if (share < 0.5) return t('yearsOf.one', { of: Math.round(1 / share) });
    const of = Math.round(1 / (1 - share));
    return t('yearsOf.most', { n: of - 1, of });
  };
  const moved = useMoveWords();
  return (reason) => {
    const words: Record<string, string | number> = {};
    for (const [name, value] of Object.entries(reason)) {
      words[name] = typeof value === 'string' && isDay(value) ? dates.short(value) : value;
    }
    if ('nightC' in reason) words.night = temperature(reason.nightC);
    if ('soilC' in reason) words.soil = temperature(reason.soilC);
    if ('highC' in reason) words.high = temperature(reason.highC);
    if ('atC' in reason) words.at = temperature(reason.atC);
    if ('risk' in reason) words.risk = years(reason.risk);
    if (reason.code === 'nightsSteady') words.share = years(reason.share);
    if ('cropId' in reason) words.crop = names.inText(reason.cropId);
    if (reason.code === 'maturity') words.since = t(`since.${reason.since}`);
    if (reason.code === 'coolSummer') {
      words.mean = temperature(reason.meanC);
      words.wanted = temperature(reason.wantedC);
    }
    if (reason.code === 'thisYear') words.by = moved(reason);
    if (reason.code === 'wrongDayLength') words.onion = t(`reasons:onions.${reason.kind}`);
    return t(`reasons:${reason.code}` as 'reasons:chosen', words);
  };
}
