import type { Decision, DecisionKind } from '@unity-acre/core/work';
import type { ComponentType } from 'react';
import { useTranslation } from 'react-i18next';
import { useHere, useList } from '../../../garden/index.ts';
import { Button, ButtonLink } from '../../../kit/controls/index.ts';
import { useDates } from '../../../kit/dates.ts';
import { useChangeSession } from '../../sessions/index.ts';
import type { About } from './useDecisionWords.ts';

interface RemedyProps {
  decision: Decision;
  about: About;
}

function LeadIt({ decision, about }: RemedyProps) {
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

function PutAllInto({ decision: { sessionId, taskIds = [] }, about }: RemedyProps) {
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

const sowAgain = ({ plantingIds = [], bedIds = [] }: Decision, { plantings }: About): string => {
  const planting = plantings.find(({ id }) => id === plantingIds[0]);
  return `/ground/${bedIds[0]}/plan?crop=${planting?.cropId ?? ''}&method=sowInPlace`;
};

/** What is offered for each kind of decision: done at a press, or worked out on a screen of its own. */
const remedies: Record<
  DecisionKind,
  { Press: ComponentType<RemedyProps> } | { to(decision: Decision, about: About): string }
> = {
  frost: { to: () => '/frost' },
  notUp: { to: sowAgain },
  noLead: { Press: LeadIt },
  closingWork: { Press: PutAllInto },
  shortOfPeople: { to: ({ sessionId }) => `/sessions/${sessionId}` },
  rotaBroken: { to: () => '/sessions/rota' },
  plotDue: { to: () => '/crew/walk' },
  applications: { to: () => '/crew/plots' },
  emptyBeds: { to: ({ bedIds = [] }) => `/season/still?bed=${bedIds[0]}` },
};

export function Remedy({ decision, about }: RemedyProps) {
  const { t } = useTranslation('week');
  const beds = useList('beds').data ?? [];
  const row = remedies[decision.kind];
  if ('Press' in row) return <row.Press decision={decision} about={about} />;
  const bed = beds.find(({ id }) => id === decision.bedIds?.[0])?.name ?? '';
  return (
    <ButtonLink look="act" to={row.to(decision, about)}>
      {t(`decide.${decision.kind}.do`, { bed })}
    </ButtonLink>
  );
}
