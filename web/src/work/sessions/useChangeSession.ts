import type { Session, SessionInput } from '@unity-acre/contract/work';
import { useWrite } from '../../garden/index.ts';
import { useDates } from '../../kit/dates.ts';

/** A session as it is saved again, with nothing changed. */
function bodyOf(session: Session): SessionInput {
  const { title, on, from, to, meetAt, leadId, capacity, children, note, taskIds } = session;
  return { title, on, from, to, meetAt, leadId, capacity, children, note, taskIds };
}

/** Changes a few fields of a session at a press. @param say what is said once it is saved, beside its "Undo" */
export function useChangeSession(say: (named: { session: string; day: string }) => string) {
  const dates = useDates();
  const save = useWrite('saveSession', ({ data }) => say({ session: data.title, day: dates.short(data.on) }));
  return {
    isPending: save.isPending,
    change: (session: Session, fields: Partial<SessionInput>) =>
      save.mutate({
        params: { id: session.id },
        ifMatch: session.version,
        body: { ...bodyOf(session), ...fields },
      }),
  };
}
