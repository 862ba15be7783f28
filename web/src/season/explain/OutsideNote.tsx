import type { Day } from '@unity-acre/core/calendar';
import type { Crop } from '@unity-acre/core/crops';
import type { Almanac } from '@unity-acre/core/place';
import { doubtsOf, type Milestone, outsideWindow, startOf } from '@unity-acre/core/season';
import { useTranslation } from 'react-i18next';
import { Button } from '../../kit/controls/index.ts';
import { useDates } from '../../kit/dates.ts';
import { useLostWords } from './outside.ts';
import { useReasonWords } from './reasons.ts';

interface Props {
  crop: Crop;
  steps: readonly Milestone[];
  almanac: Almanac;
  year: number;
  /** puts the start on a day; absent where it cannot be moved here */
  onStart?: ((on: Day) => void) | undefined;
}

/** Says that a planting stands outside its time, what that likely costs and what would help, or that the place is against it. */
export function OutsideNote({ crop, steps, almanac, year, onStart }: Props) {
  const { t } = useTranslation('season');
  const dates = useDates();
  const lost = useLostWords();
  const reason = useReasonWords();
  const outside = outsideWindow(crop, steps, almanac, year);
  const doubts = doubtsOf(steps);
  const best = startOf(steps)?.window.best;
  if (!outside && doubts.length === 0) return null;
  return (
    <div
      role="status"
      className="my-2 flex flex-col items-start gap-2 border-beet border-l-4 bg-beet-soft px-3 py-2"
    >
      {outside && (
        <p>
          <strong>{t(`outside.${outside.how}.title`, { count: outside.days })}.</strong>{' '}
          {t(`outside.${outside.how}.opens`, { day: dates.short(outside.bound) })}{' '}
          {lost(outside.how, outside.lost)}
        </p>
      )}
      {doubts.map((doubt) => (
        <p key={doubt.code}>{reason(doubt)}</p>
      ))}
      {outside && best && onStart && (
        <Button onClick={() => onStart(best)}>{t('outside.best', { day: dates.short(best) })}</Button>
      )}
    </div>
  );
}
