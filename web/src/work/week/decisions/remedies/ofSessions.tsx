import { useState } from 'react';
import { useTranslation } from 'react-i18next';
import { useHere } from '../../../../garden/index.ts';
import { Button, ButtonLink } from '../../../../kit/controls/index.ts';
import { useDates } from '../../../../kit/dates.ts';
import { fetchedPart } from '../../../../kit/fetchedPart.tsx';
import { speakOf } from '../../../../words/index.ts';
import { useChangeSession } from '../../../sessions/index.ts';
import type { RemedyProps } from './remedyProps.ts';

const AskSheet = fetchedPart(async () => {
  const [{ AskSheet: sheet }] = await Promise.all([import('./AskSheet.tsx'), speakOf('home')]);
  return sheet;
});

/** Who presses it leads the session. */
export function LeadIt({ decision, about }: RemedyProps) {
  const { t } = useTranslation('week');
  const { personId } = useHere();
  const session = about.sessions.find(({ id }) => id === decision.sessionId);
  const { change, isPending } = useChangeSession((named) => t('decide.noLead.done', named));
  if (!session) return null;
  return (
    <Button look="act" disabled={isPending} onClick={() => change(session, { leadId: personId })}>
      {t('decide.noLead.do')}
    </Button>
  );
}

/** Puts the work into the session that was found for it; where there is none, a session can be scheduled. */
export function PutAllInto({ decision: { sessionId, taskIds = [] }, about }: RemedyProps) {
  const { t } = useTranslation('week');
  const dates = useDates();
  const session = about.sessions.find(({ id }) => id === sessionId);
  const { change, isPending } = useChangeSession((named) =>
    t('decide.closingWork.done', { count: taskIds.length, ...named }),
  );
  if (!session)
    return (
      <ButtonLink look="act" to={`/sessions?task=${taskIds[0]}`}>
        {t('decide.closingWork.new')}
      </ButtonLink>
    );
  return (
    <Button
      look="act"
      disabled={isPending}
      onClick={() => change(session, { taskIds: [...new Set([...session.taskIds, ...taskIds])] })}
    >
      {t('decide.closingWork.do', { session: session.title, day: dates.short(session.on) })}
    </Button>
  );
}

/** Asks those who are free to come, once one has seen what they are written; where nobody is, the session is opened. */
export function AskThem({ decision: { sessionId, personIds = [] }, about }: RemedyProps) {
  const { t } = useTranslation('week');
  const [isOpen, open] = useState(false);
  const session = about.sessions.find(({ id }) => id === sessionId);
  if (!session || personIds.length === 0)
    return (
      <ButtonLink look="act" to={`/sessions/${sessionId}`}>
        {t('decide.shortOfPeople.open')}
      </ButtonLink>
    );
  return (
    <>
      <Button look="act" onClick={() => open(true)}>
        {t('decide.shortOfPeople.do', { count: personIds.length })}
      </Button>
      {isOpen && (
        <AskSheet
          session={session}
          personIds={personIds}
          onClose={() => open(false)}
          onUnfetched={() => open(false)}
        />
      )}
    </>
  );
}
