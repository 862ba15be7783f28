import type { Rota } from '@unity-acre/contract/work';
import { useTranslation } from 'react-i18next';
import { useDates } from '../kit/dates.ts';
import type { RotaNames } from './RotaPage.tsx';
import { useTaskSentence } from './sentence.ts';

/** Each session with its work, and who is at what for how long. */
export function RotaSessions({ rota, names }: { rota: Rota; names: RotaNames }) {
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
              <span className="text-ink-soft text-sm">
                {session.from}–{session.to}
              </span>
            </p>
            <div className="min-w-0">
              <h3>{session.title}</h3>
              <p className="text-sm">
                {filled.people.length === 0 && <span className="text-ink-soft">{t('nobody')}</span>}
                {filled.people.map(({ personId, isNew }, i) => (
                  <span key={personId}>
                    {i > 0 && ', '}
                    {personOf(personId)}
                    {isNew && <span className="text-leaf"> ({t('new')})</span>}
                  </span>
                ))}
              </p>
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
                    members={filled.crews.find((crew) => crew.taskId === taskId)?.members ?? []}
                    personOf={personOf}
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

function TaskLine({
  task,
  members,
  personOf,
}: {
  task: RotaNames['tasks'][number] | undefined;
  members: Rota['sessions'][number]['crews'][number]['members'];
  personOf(id: string): string;
}) {
  const { t } = useTranslation('rota');
  const sentence = useTaskSentence();
  if (!task) return null;
  return (
    <li className="border-line border-t py-1">
      {sentence(task)}
      <span className="block text-ink-soft text-sm">
        {members
          .map(
            ({ personId, minutes }) =>
              `${personOf(personId)}, ${minutes > 0 ? t('minutes', { minutes }) : t('lendsAHand')}`,
          )
          .join(' · ')}
      </span>
    </li>
  );
}
