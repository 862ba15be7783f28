import type { Person } from '@unity-acre/contract/crew';
import type { Rota, RotaHolds, Session, TaskView } from '@unity-acre/contract/work';
import { addDays } from '@unity-acre/core/calendar';
import { useState } from 'react';
import { useTranslation } from 'react-i18next';
import { Link, useSearchParams } from 'react-router';
import { Button } from '../kit/Button.tsx';
import { useDates } from '../kit/dates.ts';
import { Field } from '../kit/form.tsx';
import { useHere, useList, useWrite } from '../kit/garden.ts';
import { useMeasure } from '../kit/measure.ts';
import { RefusedNote } from '../kit/RefusedNote.tsx';
import { Bare, Loaded } from '../kit/states.tsx';
import { useWatched } from '../kit/watch.ts';
import { useBothSeasons } from '../season/year.ts';
import { Goals, useGoalWords } from './Goals.tsx';
import { holdCount, noHolds } from './holds.ts';
import { LeftOutPeople, LeftOutTasks } from './LeftOut.tsx';
import { RotaSessions } from './RotaSessions.tsx';
import { SessionPaths } from './SessionPaths.tsx';
import { useSessions } from './sessionLists.ts';

/** How far ahead a rota looks unless somebody says otherwise, days. */
const AHEAD = 27;

/** What the pieces of a rota speak of. */
export interface RotaNames {
  tasks: TaskView[];
  people: Person[];
  sessions: Session[];
}

/** Makes the rota: begun, watched, looked at with its reasons, and put into the sessions as one change. */
export default function RotaPage() {
  const { t } = useTranslation('rota');
  const tasks = useBothSeasons('tasks');
  const people = useList('people');
  const { garden } = useHere();
  const sessions = useSessions({ from: garden.today });
  return (
    <div className="flex flex-col gap-6">
      <h1>{t('title')}</h1>
      <SessionPaths />
      <p className="max-w-prose text-ink-soft">{t('lead')}</p>
      <Loaded of={sessions}>
        {(sessionList) => (
          <Loaded of={people}>
            {(peopleList) =>
              sessionList.length === 0 ? (
                <Bare title={t('noSessions')}>
                  <p>{t('noSessionsHint')}</p>
                </Bare>
              ) : (
                <Making names={{ tasks: tasks.data ?? [], people: peopleList, sessions: sessionList }} />
              )
            }
          </Loaded>
        )}
      </Loaded>
    </div>
  );
}

function Making({ names }: { names: RotaNames }) {
  const { t } = useTranslation('rota');
  const { garden } = useHere();
  const { number } = useMeasure();
  const [search, setSearch] = useSearchParams();
  // In the address, so that one may look elsewhere and come back.
  const id = search.get('rota');
  const [from, setFrom] = useState(garden.today);
  const [until, setUntil] = useState(addDays(garden.today, AHEAD));
  const [repairing, setRepairing] = useState(false);
  const begin = useWrite('makeRota');
  const stop = useWrite('stopRota');
  const goalWords = useGoalWords();
  const { now, isWorking, isGone, refresh } = useWatched('rota', id);
  // What is held by hand stays held here, whatever becomes of the rota it was looked at in.
  const [changedHolds, setHolds] = useState<RotaHolds | null>(null);
  const holds = changedHolds ?? now?.holds ?? noHolds;
  const make = () =>
    begin.mutate(
      { body: { from, until, repairing, holds } },
      {
        onSuccess: ({ data }) => {
          setHolds(holds);
          setSearch({ rota: data.id }, { replace: true });
        },
      },
    );
  const fieldError = (field: string) =>
    begin.error?.problem.errors?.find((error) => error.field === field)?.code;
  return (
    <>
      <form
        className="flex flex-wrap items-start gap-x-4 gap-y-2"
        onSubmit={(event) => {
          event.preventDefault();
          make();
        }}
      >
        <Field label={t('from')} error={fieldError('from')}>
          {(props) => (
            <input
              {...props}
              type="date"
              className="input"
              value={from}
              onChange={(event) => setFrom(event.target.value)}
            />
          )}
        </Field>
        <Field label={t('until')} error={fieldError('until')}>
          {(props) => (
            <input
              {...props}
              type="date"
              className="input"
              value={until}
              onChange={(event) => setUntil(event.target.value)}
            />
          )}
        </Field>
        <Button type="submit" look="act" disabled={isWorking || begin.isPending} className="mt-6">
          {t('make')}
        </Button>
        {isWorking && now && (
          <Button
            className="mt-6"
            onClick={() => stop.mutate({ params: { id: now.id } }, { onSuccess: refresh })}
          >
            {t('stop')}
          </Button>
        )}
        <label className="flex min-h-target basis-full items-center gap-2">
          <input
            type="checkbox"
            className="size-5 accent-blossom-deep"
            checked={repairing}
            onChange={(event) => setRepairing(event.target.checked)}
          />
          {t('repairing')}
        </label>
      </form>
      {begin.error && !begin.error.problem.errors && <RefusedNote refused={begin.error} />}
      {isGone && <p className="border-blossom border-l-4 bg-straw-soft px-3 py-2">{t('gone')}</p>}
      {isWorking && now && (
        <div aria-live="polite">
          <p>{t('working', { seconds: number(now.seconds, 0), ...now.size })}</p>
          {now.goals.length > 0 && (
            <p className="text-ink-soft">
              {t('reaching', { goals: now.goals.slice(0, 2).map(goalWords).join('; ') })}
            </p>
          )}
          <progress className="w-full max-w-xl accent-blossom-deep" aria-label={t('make')} />
        </div>
      )}
      {now && !isWorking && (
        <Made
          key={now.id}
          rota={now}
          names={names}
          refresh={refresh}
          holds={holds}
          setHolds={setHolds}
          again={make}
          busy={begin.isPending}
        />
      )}
    </>
  );
}

function Made({
  rota,
  names,
  refresh,
  holds,
  setHolds,
  again,
  busy,
}: {
  rota: Rota;
  names: RotaNames;
  refresh(): void;
  holds: RotaHolds;
  setHolds(holds: RotaHolds): void;
  /** makes it again with what is held by hand */
  again(): void;
  busy: boolean;
}) {
  const { t } = useTranslation('rota');
  const { number } = useMeasure();
  const apply = useWrite('applyRota', () => t('applied'));
  const [isHolding, setIsHolding] = useState(holdCount(holds) > 0);
  const holding = isHolding && !rota.applied ? { holds, change: setHolds } : null;
  if (rota.state === 'failed') {
    return <p className="border-beet border-l-4 bg-beet-soft px-3 py-2 text-beet">{t('failed')}</p>;
  }
  return (
    <div className="flex flex-col gap-6">
      <div className="flex flex-wrap items-center gap-4">
        {rota.applied ? (
          <p className="font-semibold text-leaf">
            {t('isIn')}{' '}
            <Link to="/sessions" className="underline">
              {t('toSessions')}
            </Link>
          </p>
        ) : (
          <Button
            look="act"
            disabled={apply.isPending}
            onClick={() => apply.mutate({ params: { id: rota.id }, body: {} }, { onSuccess: refresh })}
          >
            {t('apply')}
          </Button>
        )}
        <span className="text-ink-soft text-sm">
          {rota.state === 'stopped' ? t('stopped') : t('done', { seconds: number(rota.seconds, 0) })}
        </span>
      </div>
      <RefusedNote refused={apply.error} />
      <MoveNote rota={rota} names={names} />
      <div className="grid items-start gap-8 xl:grid-cols-[minmax(0,1.5fr)_minmax(0,1fr)]">
        <section className="furrow min-w-0">
          <h2>{t('perSession')}</h2>
          {!rota.applied && (
            <div className="flex flex-wrap items-center gap-x-4 gap-y-1 print:hidden">
              <label className="flex min-h-target items-center gap-2">
                <input
                  type="checkbox"
                  className="size-5 accent-blossom-deep"
                  checked={isHolding}
                  onChange={(event) => setIsHolding(event.target.checked)}
                />
                {t('hold.toggle')}
              </label>
              {isHolding && (
                <>
                  <p className="basis-full text-ink-soft text-sm">{t('hold.hint')}</p>
                  <span>{t('hold.count', { n: holdCount(holds) })}</span>
                  <Button disabled={busy} onClick={again}>
                    {t('hold.again')}
                  </Button>
                  {holdCount(holds) > 0 && (
                    <Button look="quiet" onClick={() => setHolds(noHolds)}>
                      {t('hold.clear')}
                    </Button>
                  )}
                </>
              )}
            </div>
          )}
          <RotaSessions rota={rota} names={names} holding={holding} />
        </section>
        <div className="flex min-w-0 flex-col gap-6">
          <Goals goals={rota.goals} settled={rota.settled} />
          <LeftOutTasks rota={rota} names={names} holding={holding} />
          <LeftOutPeople rota={rota} names={names} />
        </div>
      </div>
    </div>
  );
}

/** The session that falls away or moves with this rota. */
function MoveNote({ rota, names }: { rota: Rota; names: RotaNames }) {
  const { t } = useTranslation('rota');
  const dates = useDates();
  const session = names.sessions.find(({ id }) => id === rota.move?.sessionId);
  if (!rota.move || !session || rota.applied) return null;
  const { to } = rota.move;
  const said = { title: session.title, day: dates.short(session.on) };
  return (
    <p className="max-w-prose border-blossom border-l-4 bg-straw-soft px-3 py-2">
      {to ? t('move.to', { ...said, to: `${dates.short(to.on)}, ${to.from}–${to.to}` }) : t('move.off', said)}
    </p>
  );
}
