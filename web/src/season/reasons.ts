import { isDay } from '@unity-acre/core/calendar';
import type { Reason } from '@unity-acre/core/season';
import { useTranslation } from 'react-i18next';
import { useDates } from '../kit/dates.ts';
import { useMeasure } from '../kit/measure.ts';

/** Puts a reason of the core into words: its parameters become dates, temperatures and names. */
export function useReasonWords(): (reason: Reason) => string {
  const { t } = useTranslation('season');
  const dates = useDates();
  const { temperature } = useMeasure();
  return (reason) => {
    const words: Record<string, string | number> = {};
    for (const [name, value] of Object.entries(reason)) {
      words[name] = typeof value === 'string' && isDay(value) ? dates.short(value) : value;
    }
    if (reason.code === 'nightsSteady') words.night = temperature(reason.nightC);
    if ('temperament' in reason) words.temperament = t(`temperament.${reason.temperament}`);
    if (reason.code === 'maturity') words.since = t(`since.${reason.since}`);
    if (reason.code === 'mustFinish') {
      words.spare = reason.pastFrost > 0 ? t('reason.pastFrost', { days: reason.pastFrost }) : '';
    }
    if (reason.code === 'caughtUp') {
      return reason.days > 0
        ? t('reason.slowerInPlace', { days: reason.days })
        : t('reason.alreadyGrown', { days: -reason.days });
    }
    return t(`reason.${reason.code}` as 'reason.chosen', words);
  };
}
