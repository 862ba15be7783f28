import { addDays } from '@unity-acre/core/calendar';
import {
  inGroundOf,
  type Milestone,
  type PlantingPlan,
  quotedDays,
  type Rehearsal,
} from '@unity-acre/core/season';
import { useEffect, useRef, useState } from 'react';
import { useTranslation } from 'react-i18next';
import { useHere, useMeasure } from '../../garden/index.ts';
import { Button, Progress } from '../../kit/controls/index.ts';
import { useDates } from '../../kit/dates.ts';
import type { RehearsalAsked, RehearsalTold } from './rehearse.worker.ts';

/** Years of simulated weather a planting is grown through. */
const YEARS = 200;

type State = { at: 'rest' } | { at: 'going'; done: number } | { at: 'told'; result: Rehearsal | null };

/** How sure a planting is: grown through many simulated years, in a worker of its own. */
export function RehearsalNote({
  plan,
  steps,
  offsetC,
}: {
  plan: PlantingPlan;
  steps: Milestone[];
  offsetC: number;
}) {
  const { t } = useTranslation('season');
  const { garden } = useHere();
  const dates = useDates();
  const { number } = useMeasure();
  const [state, setState] = useState<State>({ at: 'rest' });
  const worker = useRef<Worker | null>(null);
  const out = inGroundOf(steps)?.on ?? '';
  const subject = `${plan.crop.id} ${plan.variety.id} ${plan.method} ${out} ${offsetC}`;

  const stop = () => {
    worker.current?.terminate();
    worker.current = null;
    setState({ at: 'rest' });
  };
  // Another plan makes the answer one to another question.
  // biome-ignore lint/correctness/useExhaustiveDependencies: it is the subject whose change matters
  useEffect(() => {
    setState({ at: 'rest' });
    return () => {
      worker.current?.terminate();
      worker.current = null;
    };
  }, [subject]);

  const begin = () => {
    worker.current?.terminate();
    const going = new Worker(new URL('./rehearse.worker.ts', import.meta.url), { type: 'module' });
    worker.current = going;
    setState({ at: 'going', done: 0 });
    going.onmessage = ({ data }: MessageEvent<RehearsalTold>) => {
      if ('done' in data) setState({ at: 'going', done: data.done });
      else {
        setState({ at: 'told', result: data.result });
        going.terminate();
      }
    };
    const asked: RehearsalAsked = {
      crop: plan.crop,
      steps,
      days: quotedDays(plan),
      climate: garden.climate,
      offsetC: garden.offsetC + offsetC,
      years: YEARS,
    };
    going.postMessage(asked);
  };

  return (
    <section className="furrow" aria-live="polite">
      <h2>{t('risk.title')}</h2>
      {state.at === 'rest' && (
        <Button className="mt-2" onClick={begin}>
          {t('risk.rehearse', { years: YEARS })}
        </Button>
      )}
      {state.at === 'going' && (
        <div className="mt-2 flex items-center gap-3">
          <Progress className="max-w-48" label={t('risk.title')} share={state.done / YEARS} />
          <span>{t('risk.going', { done: state.done, years: YEARS })}</span>
          <Button onClick={stop}>{t('risk.stop')}</Button>
        </div>
      )}
      {state.at === 'told' && !state.result && <p className="mt-2">{t('risk.none')}</p>}
      {state.at === 'told' && state.result && (
        <>
          <dl className="mt-2 grid gap-x-4 gap-y-1 sm:grid-cols-[8rem_1fr]">
            <dt className="text-ink-soft">{t('risk.frost')}</dt>
            <dd>{t('risk.frostSay', { percent: number(state.result.frostDamage * 100, 0) })}</dd>
            <dt className="text-ink-soft">{t('risk.unfinished')}</dt>
            <dd>{t('risk.unfinishedSay', { percent: number(state.result.unfinished * 100, 0) })}</dd>
            {state.result.daysToPick && (
              <>
                <dt className="text-ink-soft">{t('risk.pick')}</dt>
                <dd>
                  {t('risk.pickSay', {
                    early: dates.bare(addDays(out, state.result.daysToPick.early)),
                    middle: dates.bare(addDays(out, state.result.daysToPick.middle)),
                    late: dates.bare(addDays(out, state.result.daysToPick.late)),
                  })}
                </dd>
              </>
            )}
          </dl>
          <p className="mt-1 text-ink-soft text-sm">
            {t('risk.note', { years: YEARS })}{' '}
            <Button look="quiet" onClick={begin}>
              {t('risk.again')}
            </Button>
          </p>
        </>
      )}
    </section>
  );
}
