import type { Decision, DecisionKind } from '@unity-acre/core/work';
import type { ComponentType } from 'react';
import { useTranslation } from 'react-i18next';
import { useCoordinates, useList } from '../../../../garden/index.ts';
import { ButtonLink } from '../../../../kit/controls/index.ts';
import { fetchedPart } from '../../../../kit/fetchedPart.tsx';
import { AskThem, LeadIt, PutAllInto } from './ofSessions.tsx';
import type { RemedyProps } from './remedyProps.ts';

const place = <span className="min-h-target" />;
/** Fetched where there is such a matter: the first screen does not wait for what changes a plan. */
const ofPlantings = () => import('./ofPlantings.tsx');
const SowAgain = fetchedPart(async () => (await ofPlantings()).SowAgain, place);
const HoldOrCover = fetchedPart(async () => (await ofPlantings()).HoldOrCover, place);
const IntoWindow = fetchedPart(async () => (await ofPlantings()).IntoWindow, place);

/** What is offered for a kind of decision: done at a press, or worked out on a screen of its own. */
type Row = ({ Press: ComponentType<RemedyProps> } | { to(decision: Decision): string }) & {
  /** true where only a coordinator may do it: a crew lead is led to what it is about */
  isCoordinators?: true;
};

const remedies: Record<DecisionKind, Row> = {
  frost: { to: () => '/frost' },
  notUp: { Press: SowAgain, isCoordinators: true },
  coldNights: { Press: HoldOrCover },
  potLimit: { Press: PutAllInto },
  noLead: { Press: LeadIt },
  closingWork: { Press: PutAllInto },
  shortOfPeople: { Press: AskThem },
  rotaBroken: { to: () => '/sessions/rota', isCoordinators: true },
  outsideWindow: { Press: IntoWindow, isCoordinators: true },
  plotDue: { to: () => '/crew/walk' },
  applications: { to: () => '/crew/plots' },
  emptyBeds: { to: ({ bedIds = [] }) => `/season/still?bed=${bedIds[0]}` },
};

export function Remedy({ decision, about }: RemedyProps) {
  const { t } = useTranslation('week');
  const beds = useList('beds').data ?? [];
  const row = remedies[decision.kind];
  const coordinates = useCoordinates();
  if (row.isCoordinators && !coordinates) return <Look decision={decision} />;
  if ('Press' in row) return <row.Press decision={decision} about={about} />;
  const bed = beds.find(({ id }) => id === decision.bedIds?.[0])?.name ?? '';
  return (
    <ButtonLink look="act" to={row.to(decision)}>
      {t(`decide.${decision.kind as 'frost' | 'rotaBroken' | 'plotDue' | 'applications' | 'emptyBeds'}.do`, {
        bed,
      })}
    </ButtonLink>
  );
}

/** Leads to the bed or the session that a matter is about. */
function Look({ decision: { bedIds = [], sessionId } }: Pick<RemedyProps, 'decision'>) {
  const { t } = useTranslation('week');
  const bed = useList('beds').data?.find(({ id }) => id === bedIds[0]);
  return (
    <ButtonLink to={bed ? `/ground/${bed.id}` : `/sessions/${sessionId}`}>
      {bed ? t('decide.look', { what: bed.name }) : t('decide.shortOfPeople.open')}
    </ButtonLink>
  );
}
