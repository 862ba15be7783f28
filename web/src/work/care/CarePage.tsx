import type { Round } from '@unity-acre/contract/work';
import { addDays } from '@unity-acre/core/calendar';
import { occurrencesOf } from '@unity-acre/core/work';
import { Plus } from 'lucide-react';
import { useState } from 'react';
import { useTranslation } from 'react-i18next';
import { useCoordinates, useHere, useList } from '../../garden/index.ts';
import { PlacePaths } from '../../garden/paths/index.ts';
import { Button } from '../../kit/controls/index.ts';
import { useDates } from '../../kit/dates.ts';
import { Bare, Loaded, Screen } from '../../kit/screens/index.ts';
import { RoundSheet } from './RoundSheet.tsx';
import { useRepeatWords } from './repeat.ts';

/** How far ahead the next occurrence is looked for, days. */
const AHEAD = 400;

/** Rounds of care: soil, water, scouting, protection, upkeep. */
export default function CarePage() {
  const { t } = useTranslation('day');
  const rounds = useList('rounds');
  const coordinates = useCoordinates();
  const [edited, setEdited] = useState<Round | 'new' | null>(null);
  return (
    <Screen
      title={t('care.title')}
      actions={
        coordinates && (
          <Button look="act" onClick={() => setEdited('new')}>
            <Plus aria-hidden size={18} />
            {t('care.add')}
          </Button>
        )
      }
    >
      <PlacePaths of="rota" />
      <p className="max-w-prose text-ink-soft">{t('care.lead')}</p>
      <Loaded of={rounds}>
        {(list) =>
          list.length === 0 ? (
            <Bare title={t('care.none')}>
              <p>{t('care.noneHint')}</p>
            </Bare>
          ) : (
            <ul>
              {list.map((round) => (
                <RoundRow key={round.id} round={round} onEdit={coordinates ? setEdited : undefined} />
              ))}
            </ul>
          )
        }
      </Loaded>
      {edited && <RoundSheet round={edited === 'new' ? null : edited} onClose={() => setEdited(null)} />}
    </Screen>
  );
}

function RoundRow({ round, onEdit }: { round: Round; onEdit: ((round: Round) => void) | undefined }) {
  const { t } = useTranslation(['day', 'work', 'cards']);
  const { garden } = useHere();
  const dates = useDates();
  const repeatWords = useRepeatWords();
  const title = round.title || t(`cards:${round.kind}.name`);
  const beds = useList('beds').data ?? [];
  const names = round.bedIds.flatMap((id) => beds.find((bed) => bed.id === id)?.name ?? []);
  const [next] = occurrencesOf(round, addDays(garden.today, 1 - round.span), addDays(garden.today, AHEAD));
  return (
    <li className="grid items-center gap-x-6 gap-y-0.5 border-line border-b py-2 sm:grid-cols-[14rem_minmax(0,1fr)_15rem_auto]">
      <p className="font-semibold">{title}</p>
      <p>
        {names.length > 0 ? names.join(', ') : t('work:wholeGarden')}
        {round.note && <span className="block text-ink-soft text-sm">{round.note}</span>}
      </p>
      <p className="text-sm">
        {repeatWords(round)}
        {' · '}
        {next ? t('day:care.next', { day: dates.short(next.on) }) : t('day:care.over')}
      </p>
      {onEdit && (
        <Button look="quiet" className="justify-self-start sm:justify-self-end" onClick={() => onEdit(round)}>
          {t('day:care.edit')}
          <span className="sr-only">
            : {title}, {names.join(', ')}
          </span>
        </Button>
      )}
    </li>
  );
}
