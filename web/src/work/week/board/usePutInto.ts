import type { Session, SessionInput, TaskView } from '@unity-acre/contract/work';
import { useTranslation } from 'react-i18next';
import { useWrite } from '../../../garden/index.ts';
import { useDates } from '../../../kit/dates.ts';

/** A session as it is saved again, with nothing changed. */
export function bodyOf(session: Session): SessionInput {
  const { title, on, from, to, meetAt, leadId, capacity, children, note, taskIds } = session;
  return { title, on, from, to, meetAt, leadId, capacity, children, note, taskIds };
}

/** Puts a task into a session, out of the one it was in: said, and undone in one press. */
export function usePutInto(): (task: TaskView, session: Session) => void {
  const { t } = useTranslation(['work', 'week']);
  const dates = useDates();
  const save = useWrite('saveSession', ({ data }) =>
    t('week:board.put', { session: data.title, day: dates.short(data.on) }),
  );
  return (task, session) => {
    if (session.taskIds.includes(task.id)) return;
    save.mutate({
      params: { id: session.id },
      ifMatch: session.version,
      body: { ...bodyOf(session), taskIds: [...session.taskIds, task.id] },
    });
  };
}
