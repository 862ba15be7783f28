import type { Person } from '@unity-acre/contract/crew';
import type { Rota, RotaHolds, Session, TaskView } from '@unity-acre/contract/work';
import { addDays } from '@unity-acre/core/calendar';
import { useState } from 'react';
import { useTranslation } from 'react-i18next';
import { Link, useSearchParams } from 'react-router';
import { useHere, useList, useMeasure, useWatched, useWrite } from '../../garden/index.ts';
import { PlacePaths } from '../../garden/paths/index.ts';
import { Button, Checkbox, DateField, Progress } from '../../kit/controls/index.ts';
import { useDates } from '../../kit/dates.ts';
import { Field, hasFields } from '../../kit/forms/index.ts';
import { Bare, Loaded, Screen } from '../../kit/screens/index.ts';
import { useSessions } from '../sessions/index.ts';
import { useTasks } from '../taskLists.ts';
import { Goals, useGoalWords } from './Goals.tsx';
import { holdCount, noHolds } from './holds.ts';
import { LeftOutPeople, LeftOutTasks } from './LeftOut.tsx';
import { RotaSessions } from './RotaSessions.tsx';

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
  const { garden } = useHere();
  const tasks = useTasks({ from: garden.today });
  const people = useList('people');
  const sessions = useSessions({ from: garden.today });
  return (
    <Screen title={t('title')}>
      <PlacePaths of="rota" />
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
    </Screen>
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
  const begin = useWrite('makeRota', { isShownHere: hasFields });
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
          {(props) => <DateField {...props} value={from} onChange={(value) => setFrom(value)} />}
        </Field>
        <Field label={t('until')} error={fieldError('until')}>
          {(props) => <DateField {...props} value={until} onChange={(value) => setUntil(value)} />}
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
        <Checkbox label={t('repairing')} checked={repairing} onChange={(checked) => setRepairing(checked)} />
      </form>
      {isGone && <p className="border-blossom border-l-4 bg-straw-soft px-3 py-2">{t('gone')}</p>}
      {isWorking && now && (
        <div aria-live="polite">
          <p>
            {t('working', {
              seconds: number(now.seconds, 0),
              people: t('size.people', { count: now.size.people }),
              sessions: t('size.sessions', { count: now.size.sessions }),
              tasks: t('size.tasks', { count: now.size.tasks }),
            })}
          </p>
          {now.goals.length > 0 && (
            <p className="text-ink-soft">
              {t('reaching', { goals: now.goals.slice(0, 2).map(goalWords).join('; ') })}
            </p>
          )}
          <Progress className="max-w-xl" label={t('make')} share={null} />
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
      <MoveNote rota={rota} names={names} />
      <div className="grid items-start gap-8 xl:grid-cols-[minmax(0,1.5fr)_minmax(0,1fr)]">
        <section className="furrow min-w-0">
          <h2>{t('perSession')}</h2>
          {!rota.applied && (
            <div className="flex flex-wrap items-center gap-x-4 gap-y-1 print:hidden">
              <Checkbox
                label={t('hold.toggle')}
                checked={isHolding}
                onChange={(checked) => setIsHolding(checked)}
              />
              {isHolding && (
                <>
                  <p className="basis-full text-ink-soft text-sm">{t('hold.hint')}</p>
                  <span>{t('hold.count', { count: holdCount(holds) })}</span>
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
      {to
        ? t('move.to', { ...said, to: `${dates.short(to.on)}, ${dates.times(to.from, to.to)}` })
        : t('move.off', said)}
    </p>
  );
}
