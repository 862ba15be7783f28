import type { Planting } from '@unity-acre/contract/season';
import { startOf } from '@unity-acre/core/season';
import { useState } from 'react';
import { useTranslation } from 'react-i18next';
import { v7 as newId } from 'uuid';
import { useCoordinates, useWrite } from '../../../../garden/index.ts';
import { Button, ButtonLink } from '../../../../kit/controls/index.ts';
import { useDates } from '../../../../kit/dates.ts';
import { inputOf } from '../../../../season/bands/index.ts';
import { useChangeSession } from '../../../sessions/index.ts';
import type { About } from '../useDecisionWords.ts';
import type { RemedyProps } from './remedyProps.ts';

const plantingsOf = ({ decision: { plantingIds = [] }, about }: RemedyProps): Planting[] =>
  plantingIds.flatMap((id) => about.plantings.find((planting) => planting.id === id) ?? []);
const sessionOf = ({ decision, about }: RemedyProps): About['sessions'][number] | undefined =>
  about.sessions.find(({ id }) => id === decision.sessionId);

/** Writes the sowing off and plans it again on the day that fits; past its time, what else fits is shown. */
export function SowAgain(props: RemedyProps) {
  const { t } = useTranslation('week');
  const dates = useDates();
  const [ids] = useState(() => ({ id: newId(), entryId: newId() }));
  const sow = useWrite('sowAgain', ({ data }) => t('decide.notUp.done', { day: dates.short(data.startOn!) }));
  const { decision } = props;
  const { again } = decision.days ?? {};
  if (again === undefined)
    return (
      <ButtonLink look="act" to={`/season/still?bed=${decision.bedIds?.[0]}`}>
        {t('decide.notUp.late')}
      </ButtonLink>
    );
  return (
    <Button
      look="act"
      disabled={sow.isPending}
      onClick={() =>
        sow.mutate({
          params: { id: decision.plantingIds![0]! },
          body: { ...ids, on: again, sessionId: sessionOf(props)?.id ?? null },
        })
      }
    >
      {t('decide.notUp.do', { day: dates.short(again) })}
    </Button>
  );
}

/** Seedlings wait for the session after the cold nights, or go out under cloth where that is warm enough. */
export function HoldOrCover(props: RemedyProps) {
  const { t } = useTranslation('week');
  const dates = useDates();
  const { taskIds = [], numbers } = props.decision;
  const coordinates = useCoordinates();
  const session = sessionOf(props);
  const hold = useChangeSession((named) => t('decide.coldNights.held', named));
  const cover = useWrite('savePlantings', ({ data }) =>
    t('decide.coldNights.covered', { count: data.length }),
  );
  return (
    <>
      {session ? (
        <Button
          look="act"
          disabled={hold.isPending}
          onClick={() => hold.change(session, { taskIds: [...new Set([...session.taskIds, ...taskIds])] })}
        >
          {t('decide.coldNights.do', { day: dates.short(session.on) })}
        </Button>
      ) : (
        <ButtonLink look="act" to={`/sessions?task=${taskIds[0]}`}>
          {t('decide.coldNights.later')}
        </ButtonLink>
      )}
      {numbers?.covered === 1 && coordinates && (
        <Button
          disabled={cover.isPending}
          onClick={() =>
            cover.mutate({
              body: {
                plantings: plantingsOf(props).map((planting) => ({
                  ...inputOf(planting),
                  ...{ id: planting.id, version: planting.version, protection: 'cloth' as const },
                })),
                remove: [],
              },
            })
          }
        >
          {t('decide.coldNights.cover')}
        </Button>
      )}
    </>
  );
}

/** Moves a planting to the best day of its window that is left; where none is, its plan is opened. */
export function IntoWindow(props: RemedyProps) {
  const { t } = useTranslation('week');
  const dates = useDates();
  const move = useWrite('savePlanting', ({ data }) =>
    t('decide.outsideWindow.done', { day: dates.short(startOf(data.steps)!.on) }),
  );
  const [planting] = plantingsOf(props);
  const { better } = props.decision.days ?? {};
  if (!planting) return null;
  if (better === undefined)
    return (
      <ButtonLink look="act" to={`/ground/${planting.bedId}/plan/${planting.id}`}>
        {t('decide.outsideWindow.open')}
      </ButtonLink>
    );
  return (
    <Button
      look="act"
      disabled={move.isPending}
      onClick={() =>
        move.mutate({
          params: { id: planting.id },
          ifMatch: planting.version,
          body: { ...inputOf(planting), startOn: better },
        })
      }
    >
      {t('decide.outsideWindow.do', { day: dates.short(better) })}
    </Button>
  );
}
