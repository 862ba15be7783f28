import type { Rota, RotaHolds, Session } from '@unity-acre/contract/work';
import { workNeeds } from '@unity-acre/core/work';
import { useTranslation } from 'react-i18next';
import { useDates } from '../../kit/dates.ts';
import { useTaskSentence } from '../sentence.ts';
import { HoldButtons } from './HoldButtons.tsx';
import { holdPerson, holdTask, personHold, taskHold } from './holds.ts';
import type { RotaNames } from './RotaPage.tsx';

/** What is held by hand, while that is being changed. */
export interface Holding {
  holds: RotaHolds;
  change(holds: RotaHolds): void;
}

interface Props {
  rota: Rota;
  names: RotaNames;
  /** absent while nothing is to be held */
  holding: Holding | null;
}

type Filled = Rota['sessions'][number];

/** Each session with its work, and who is at what for how long. */
export function RotaSessions({ rota, names, holding }: Props) {
  const { t } = useTranslation('rota');
  const dates = useDates();
  const personOf = (id: string) => names.people.find((person) => person.id === id)?.name ?? '';
  return (
    <ul>
      {rota.sessions.map((filled) => {
        const session = names.sessions.find(({ id }) => id === filled.sessionId);
        if (!session) return null;
        return (
          <li
            key={filled.sessionId}
            className="grid gap-x-5 gap-y-1 border-line border-b py-3 sm:grid-cols-[7.5rem_minmax(0,1fr)]"
          >
            <p className="leading-tight">
              <span className="block font-semibold">{dates.short(session.on)}</span>
              <span className="text-ink-soft text-sm">{dates.times(session.from, session.to)}</span>
            </p>
            <div className="min-w-0">
              <h3>{session.title}</h3>
              {filled.people.length === 0 && <p className="text-ink-soft text-sm">{t('nobody')}</p>}
              {holding ? (
                <HeldPeople filled={filled} session={session} personOf={personOf} {...holding} />
              ) : (
                <p className="text-sm">
                  {filled.people.map(({ personId, isNew }, i) => (
                    <span key={personId}>
                      {i > 0 && ', '}
                      {personOf(personId)}
                      {isNew && <span className="text-leaf"> ({t('new')})</span>}
                    </span>
                  ))}
                </p>
              )}
              {filled.dropped.length > 0 && (
                <p className="text-beet text-sm">
                  {t('dropped', { names: filled.dropped.map(personOf).join(', ') })}
                </p>
              )}
              {filled.taskIds.length === 0 && <p className="text-ink-soft text-sm">{t('nothing')}</p>}
              <ul className="mt-1">
                {filled.taskIds.map((taskId) => (
                  <TaskLine
                    key={taskId}
                    task={names.tasks.find(({ id }) => id === taskId)}
                    people={names.people}
                    members={filled.crews.find((crew) => crew.taskId === taskId)?.members ?? []}
                    personOf={personOf}
                    session={session}
                    holding={holding}
                  />
                ))}
              </ul>
            </div>
          </li>
        );
      })}
    </ul>
  );
}

/** Those of a session, each to be kept or left out; who said so themselves stays anyway. */
function HeldPeople({
  filled,
  session,
  personOf,
  holds,
  change,
}: Holding & { filled: Filled; session: Session; personOf(id: string): string }) {
  const { t } = useTranslation('rota');
  const isFree = (id: string) =>
    id !== session.leadId && (session.signUps.find(({ personId }) => personId === id)?.byRota ?? true);
  const out = holds.people.filter(
    (one) =>
      one.sessionId === session.id &&
      !one.comes &&
      !filled.people.some(({ personId }) => personId === one.personId),
  );
  const shown = [...filled.people.map(({ personId }) => personId), ...out.map(({ personId }) => personId)];
  return (
    <ul className="my-1 grid gap-x-6 gap-y-1 sm:grid-cols-2">
      {shown.map((id) => {
        const hold = personHold(holds, id, session.id);
        return (
          <li key={id} className="flex min-h-8 items-center justify-between gap-2 text-sm">
            <span className={hold === 'leave' ? 'line-through' : ''}>{personOf(id)}</span>
            {isFree(id) ? (
              <HoldButtons
                of={personOf(id)}
                hold={hold}
                onHold={(next) => change(holdPerson(holds, id, session.id, next))}
              />
            ) : (
              <span className="shrink-0 text-ink-soft">{t('hold.byHand')}</span>
            )}
          </li>
        );
      })}
    </ul>
  );
}

function TaskLine({
  task,
  people,
  members,
  personOf,
  session,
  holding,
}: {
  task: RotaNames['tasks'][number] | undefined;
  people: RotaNames['people'];
  members: Filled['crews'][number]['members'];
  personOf(id: string): string;
  session: Session;
  holding: Holding | null;
}) {
  const { t } = useTranslation(['rota', 'people']);
  const sentence = useTaskSentence();
  if (!task) return null;
  const isByHand = session.taskIds.includes(task.id) && !session.rotaTaskIds.includes(task.id);
  const hold = holding && taskHold(holding.holds, task.id);
  const { skill } = workNeeds(task);
  const isUnstated = skill !== null && !people.some(({ skills }) => skills.includes(skill));
  return (
    <li className="flex items-start justify-between gap-3 border-line border-t py-1">
      <span className="min-w-0">
        <span className={hold === 'leave' ? 'line-through' : ''}>{sentence(task)}</span>
        <span className="block text-ink-soft text-sm">
          {members
            .map(
              ({ personId, minutes }) =>
                `${personOf(personId)}, ${minutes > 0 ? t('minutes', { minutes }) : t('lendsAHand')}`,
            )
            .join(' · ')}
        </span>
        {isUnstated && (
          <span className="block border-blossom border-l-4 pl-2 text-sm">
            {t('unstated', { skill: t(`people:skill.${skill}`) })}
          </span>
        )}
      </span>
      {holding && !isByHand && (
        <HoldButtons
          of={sentence(task)}
          hold={hold}
          onHold={(next) => holding.change(holdTask(holding.holds, task.id, session.id, next))}
        />
      )}
      {holding && isByHand && <span className="shrink-0 text-ink-soft text-sm">{t('hold.byHand')}</span>}
    </li>
  );
}
