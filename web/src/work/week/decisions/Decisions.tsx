import { type Decision, decide, type GardenNow } from '@unity-acre/core/work';
import { useState } from 'react';
import { useTranslation } from 'react-i18next';
import { Button } from '../../../kit/controls/index.ts';
import { Bare } from '../../../kit/screens/index.ts';
import { Remedy } from './remedies/index.tsx';
import { type About, useDecisionWords } from './useDecisionWords.ts';
import { usePutOff, usePutOffs } from './usePutOff.ts';

/** So many are shown before somebody asks for the rest. */
const SHOWN = 4;

/** What needs a person, worst first: one sentence each, what it was seen by, and what can be done about it. */
export function Decisions({ now, about }: { now: GardenNow; about: About }) {
  const { t } = useTranslation('week');
  const { isAway } = usePutOffs();
  const [all, setAll] = useState(false);
  const list = decide(now, isAway);
  return (
    <section className="furrow">
      <h2>{t('decide.title')}</h2>
      {list.length === 0 ? (
        <Bare title={t('decide.none')}>{t('decide.looked')}</Bare>
      ) : (
        <>
          <p className="text-ink-soft text-sm">{t('decide.lead')}</p>
          <ul className="grid gap-x-10 xl:grid-cols-2">
            {(all ? list : list.slice(0, SHOWN)).map((decision) => (
              <DecisionRow key={decision.id} decision={decision} about={about} />
            ))}
          </ul>
          {list.length > SHOWN && !all && (
            <Button look="quiet" className="self-start" onClick={() => setAll(true)}>
              {t('decide.more', { count: list.length - SHOWN })}
            </Button>
          )}
        </>
      )}
    </section>
  );
}

function DecisionRow({ decision, about }: { decision: Decision; about: About }) {
  const { t } = useTranslation('week');
  const { says, why } = useDecisionWords(about)(decision);
  const { put, isPending } = usePutOff(() => t('decide.away', { what: says }));
  return (
    <li className="flex flex-col gap-1 border-line border-b py-2.5">
      <p className="font-semibold">{says}</p>
      <p className="max-w-prose text-ink-soft text-sm">{why}</p>
      <p className="flex flex-wrap items-center gap-x-3 gap-y-1">
        <Remedy decision={decision} about={about} />
        <Button look="quiet" className="text-sm" disabled={isPending} onClick={() => put(decision.id)}>
          {t('decide.notNow')}
          <span className="sr-only">: {says}</span>
        </Button>
      </p>
    </li>
  );
}
