import { useInfiniteQuery } from '@tanstack/react-query';
import type { Entry } from '@unity-acre/contract/log';
import type { EntryKind } from '@unity-acre/core/log';
import { useState } from 'react';
import { useTranslation } from 'react-i18next';
import { useCropNames } from '../crops/names.ts';
import { ask } from '../kit/ask.ts';
import { Button } from '../kit/Button.tsx';
import { useDates } from '../kit/dates.ts';
import { useCoordinates, useHere, useList, useWrite } from '../kit/garden.ts';
import { useMeasure } from '../kit/measure.ts';
import { Sheet } from '../kit/Sheet.tsx';
import { Bare, Loaded } from '../kit/states.tsx';
import { EntryForm } from './EntryForm.tsx';

interface Props {
  bedId?: string;
  kind?: EntryKind;
}

/** Entries, newest first, fetched as one goes on. */
export function EntryList({ bedId, kind }: Props) {
  const { t } = useTranslation(['log', 'kit']);
  const gardenId = useHere().garden.id;
  const [corrected, setCorrected] = useState<Entry | null>(null);
  const pages = useInfiniteQuery({
    queryKey: ['garden', gardenId, 'entries', { bedId, kind }],
    queryFn: async ({ pageParam }) =>
      (await ask('entries', { params: { gardenId }, query: { limit: 40, bedId, kind, after: pageParam } }))
        .data,
    initialPageParam: undefined as string | undefined,
    getNextPageParam: (page) => page.next ?? undefined,
  });
  return (
    <Loaded of={pages as never}>
      {() => {
        const entries = pages.data!.pages.flatMap((page) => page.entries);
        if (entries.length === 0) return <Bare title={t('log:empty')}>{t('log:emptyHint')}</Bare>;
        return (
          <>
            <ol>
              {entries.map((entry, i) => (
                <EntryRow
                  key={entry.id}
                  entry={entry}
                  sameDay={entries[i - 1]?.on === entry.on}
                  withBed={!bedId}
                  onCorrect={() => setCorrected(entry)}
                />
              ))}
            </ol>
            {pages.hasNextPage && (
              <Button
                className="mt-3"
                disabled={pages.isFetchingNextPage}
                onClick={() => pages.fetchNextPage()}
              >
                {t('kit:more')}
              </Button>
            )}
            {corrected && (
              <Sheet open title={t('log:correct')} onClose={() => setCorrected(null)}>
                <EntryForm start={corrected as never} entry={corrected} onSaved={() => setCorrected(null)} />
              </Sheet>
            )}
          </>
        );
      }}
    </Loaded>
  );
}

interface RowProps {
  entry: Entry;
  sameDay: boolean;
  withBed: boolean;
  onCorrect(): void;
}

function EntryRow({ entry, sameDay, withBed, onCorrect }: RowProps) {
  const { t } = useTranslation(['log', 'kit']);
  const { personId } = useHere();
  const coordinates = useCoordinates();
  const dates = useDates();
  const names = useCropNames();
  const { number } = useMeasure();
  const beds = useList('beds');
  const strike = useWrite('removeEntry', () => t('log:struck'));
  const bed = beds.data?.find((one) => one.id === entry.bedId)?.name;
  const { amount } = entry;
  const facts = [
    amount && `${number(amount.value, 2)} ${t(`log:units.${amount.unit}`)}`,
    entry.cropId && names.crop(entry.cropId),
    withBed && bed,
    entry.destination && t(`log:to.${entry.destination}`),
  ].filter(Boolean);
  return (
    <li
      className={`grid grid-cols-[6.5rem_minmax(0,1fr)] items-baseline gap-x-4 py-0.5 sm:grid-cols-[6.5rem_minmax(0,1fr)_auto] ${sameDay ? '' : 'border-line border-t'}`}
    >
      <span className="text-ink-soft">{sameDay ? '' : dates.short(entry.on)}</span>
      <span>
        <span className="font-semibold">{t(`log:kind.${entry.kind}`)}</span>
        {facts.length > 0 && <> · {facts.join(' · ')}</>}
        {entry.note && <span className="block max-w-prose break-words">{entry.note}</span>}
        <span className="text-ink-soft text-sm"> {entry.by}</span>
      </span>
      <span className="col-start-2 flex sm:col-start-3">
        {(coordinates || entry.personId === personId) && (
          <>
            <Button look="quiet" onClick={onCorrect}>
              {t('kit:change')}
            </Button>
            <Button
              look="quiet"
              onClick={() => strike.mutate({ params: { id: entry.id }, ifMatch: entry.version })}
            >
              {t('log:strike')}
            </Button>
          </>
        )}
      </span>
    </li>
  );
}
