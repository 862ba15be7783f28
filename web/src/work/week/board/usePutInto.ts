import type { Session, TaskView } from '@unity-acre/contract/work';
import { useTranslation } from 'react-i18next';
import { useChangeSession } from '../../sessions/index.ts';

/** Puts a task into a session, out of the one it was in. */
export function usePutInto(): (task: TaskView, session: Session) => void {
  const { t } = useTranslation('week');
  const { change } = useChangeSession((named) => t('board.put', named));
  return (task, session) => {
    if (!session.taskIds.includes(task.id)) change(session, { taskIds: [...session.taskIds, task.id] });
  };
}
