import type { Milestone } from '@unity-acre/core/season';
import { useTranslation } from 'react-i18next';
import { useDates } from '../kit/dates.ts';
import { useReasonWords } from './reasons.ts';

const bounds = ['earliest', 'best', 'latest'] as const;

/** True where one reason sets the whole window, so that it need be read only once. */
const isSameThroughout = ({ reasons }: Milestone): boolean =>
  reasons.earliest.length === 1 &&
  reasons.latest.length === 1 &&
  JSON.stringify(reasons.earliest) === JSON.stringify(reasons.latest) &&
  JSON.stringify(reasons.earliest[0]) === JSON.stringify(reasons.best[0]);

/** Every step with its three dates, and why each stands where it stands. */
export function Reasons({ steps }: { steps: Milestone[] }) {
  const { t } = useTranslation('season');
  const dates = useDates();
  const words = useReasonWords();
  return (
    <ol className="mt-2 flex flex-col gap-3">
      {steps.map((step) => (
        <li key={step.kind}>
          <p className="font-semibold">
            {t(`step.${step.kind}`)}: {dates.short(step.on)}
            {step.done && <span className="text-leaf"> · {t('done')}</span>}
          </p>
          {isSameThroughout(step) ? (
            <p className="text-sm">
              <span className="text-ink-soft">
                {t('between', {
                  earliest: dates.short(step.window.earliest),
                  latest: dates.short(step.window.latest),
                })}
              </span>{' '}
              {step.reasons.best.map(words).join(' ')}
            </p>
          ) : (
            <dl className="grid gap-x-3 text-sm sm:grid-cols-[5.5rem_6.5rem_1fr]">
              {bounds.map((bound) => (
                <div key={bound} className="contents">
                  <dt className="text-ink-soft">{t(`bound.${bound}`)}</dt>
                  <dd>{dates.short(step.window[bound])}</dd>
                  <dd className="mb-1 sm:mb-0">{step.reasons[bound].map(words).join(' ')}</dd>
                </div>
              ))}
            </dl>
          )}
        </li>
      ))}
    </ol>
  );
}
