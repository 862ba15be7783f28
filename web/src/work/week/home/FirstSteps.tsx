import { Check, Circle } from 'lucide-react';
import { useTranslation } from 'react-i18next';
import { Link } from 'react-router';
import { presentPeople, useCoordinates, useHere, useList } from '../../../garden/index.ts';
import { Button, ButtonLink } from '../../../kit/controls/index.ts';
import { listedDays, useSessions } from '../../sessions/index.ts';
import { usePutOff, usePutOffs } from '../decisions/usePutOff.ts';
import { type Begun, firstSteps } from './firstSteps.ts';

/** What a new garden does first: what is done is ticked, the next leads on, and all of it can be put away for good. */
export function FirstSteps({ plantings, sessions }: Pick<Begun, 'plantings' | 'sessions'>) {
  const { t } = useTranslation('home');
  const { garden } = useHere();
  const coordinates = useCoordinates();
  const beds = useList('beds', coordinates).data;
  const people = useList('people', coordinates).data;
  // A garden in winter has none these weeks, and has had many.
  const ever = useSessions(listedDays(garden.today), coordinates && sessions === 0);
  const { isAway } = usePutOffs();
  const { put } = usePutOff(() => t('first.away'));
  const isKnown = beds && people && (sessions > 0 || ever.data);
  if (!coordinates || !isKnown || isAway(MATTER)) return null;
  const steps = firstSteps({
    ...{ beds: beds.length, people: presentPeople(people).length, plantings },
    sessions: Math.max(sessions, ever.data?.length ?? 0),
  });
  const next = steps.find(({ isDone }) => !isDone);
  if (!next) return null;
  return (
    <section className="border-2 border-ink bg-paper px-4 py-3">
      <div className="flex flex-wrap items-baseline justify-between gap-x-6">
        <h2>{t('first.title')}</h2>
        <p className="text-ink-soft text-sm">
          {t('first.done', { count: steps.filter(({ isDone }) => isDone).length, of: steps.length })}
        </p>
      </div>
      <ol className="mt-1">
        {steps.map((step) => (
          <li key={step.name} className="flex items-start gap-3 border-line border-t py-2">
            {step.isDone ? (
              <Check aria-label={t('first.isDone')} size={20} className="mt-0.5 shrink-0 text-leaf" />
            ) : (
              <Circle aria-label={t('first.isOpen')} size={20} className="mt-0.5 shrink-0 text-ink-soft" />
            )}
            <div className="min-w-0 flex-1">
              <p className={step.isDone ? 'text-ink-soft' : 'font-semibold'}>
                {t(`first.${step.name}.title`)}
              </p>
              {step === next && <p className="text-sm">{t(`first.${step.name}.how`)}</p>}
            </div>
            {step === next ? (
              <ButtonLink look="act" to={step.to}>
                {t(`first.${step.name}.do`)}
              </ButtonLink>
            ) : (
              <Link
                to={step.to}
                className="inline-flex min-h-target items-center text-sm underline underline-offset-4"
              >
                {t(`first.${step.name}.do`)}
              </Link>
            )}
          </li>
        ))}
      </ol>
      <Button look="quiet" className="text-sm" onClick={() => put(MATTER, FOR_GOOD)}>
        {t('first.putAway')}
      </Button>
    </section>
  );
}

const MATTER = 'firstSteps';
const FOR_GOOD = '2200-12-31';
