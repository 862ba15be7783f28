import type { Milestone } from '@unity-acre/core/season';
import { ChevronLeft, ChevronRight } from 'lucide-react';
import { useId, useState } from 'react';
import { useTranslation } from 'react-i18next';
import { Button, Select, Switch } from '../../kit/controls/index.ts';
import { useDates } from '../../kit/dates.ts';
import { useReasonWords } from './reasons.ts';

const bounds = ['earliest', 'best', 'latest'] as const;

/** True where one reason sets the whole window, so that it need be read only once. */
const isSameThroughout = ({ reasons }: Milestone): boolean =>
  JSON.stringify(reasons.earliest) === JSON.stringify(reasons.latest) &&
  JSON.stringify(reasons.earliest) === JSON.stringify(reasons.best);

/** Why each step stands where it stands: one step at a time, or all below one another. */
export function Reasons({ steps }: { steps: Milestone[] }) {
  const { t } = useTranslation('season');
  const [at, setAt] = useState(0);
  const [all, setAll] = useState(false);
  const id = useId();
  const dates = useDates();
  const step = steps[Math.min(at, steps.length - 1)]!;
  const go = (by: number) => setAt((Math.min(at, steps.length - 1) + by + steps.length) % steps.length);
  return (
    <div className="mt-2">
      <div className="flex flex-wrap items-center gap-1">
        {!all && (
          <>
            <Button look="quiet" aria-label={t('oneBack')} onClick={() => go(-1)}>
              <ChevronLeft aria-hidden size={18} />
            </Button>
            <label className="sr-only" htmlFor={id}>
              {t('whichStep')}
            </label>
            <Select
              id={id}
              className="w-auto font-semibold"
              value={step.kind}
              onChange={(value) => setAt(steps.findIndex(({ kind }) => kind === value))}
              options={steps.map(({ kind, on }) => ({
                value: kind,
                label: `${t(`step.${kind}`)}: ${dates.short(on)}`,
              }))}
            />
            <Button look="quiet" aria-label={t('oneOn')} onClick={() => go(1)}>
              <ChevronRight aria-hidden size={18} />
            </Button>
          </>
        )}
        <span className="ml-auto">
          <Switch label={t('allAtOnce')} checked={all} onChange={setAll} />
        </span>
      </div>
      {all ? (
        <ol className="flex flex-col gap-3">
          {steps.map((one) => (
            <li key={one.kind}>
              <p className="font-semibold">
                {t(`step.${one.kind}`)}: {dates.short(one.on)}
                {one.done && <span className="text-leaf"> · {t('done')}</span>}
              </p>
              <Bounds step={one} />
            </li>
          ))}
        </ol>
      ) : (
        <div className="min-h-24 border-blossom border-l-4 bg-straw-soft px-3 py-2" aria-live="polite">
          <Bounds step={step} />
        </div>
      )}
    </div>
  );
}

/** The three dates of a step, and why each stands where it stands. */
function Bounds({ step }: { step: Milestone }) {
  const { t } = useTranslation('season');
  const dates = useDates();
  const words = useReasonWords();
  if (isSameThroughout(step)) {
    return (
      <p className="text-sm">
        <span className="text-ink-soft">
          {t('between', {
            earliest: dates.short(step.window.earliest),
            latest: dates.short(step.window.latest),
          })}
        </span>{' '}
        {step.reasons.best.map(words).join(' ')}
      </p>
    );
  }
  return (
    <dl className="grid gap-x-3 text-sm sm:grid-cols-[5.5rem_6.5rem_1fr]">
      {bounds.map((bound) => (
        <div key={bound} className="contents">
          <dt className="text-ink-soft">{t(`bound.${bound}`)}</dt>
          <dd>{dates.short(step.window[bound])}</dd>
          <dd className="mb-1 sm:mb-0">{step.reasons[bound].map(words).join(' ')}</dd>
        </div>
      ))}
    </dl>
  );
}
