import { useInfiniteQuery } from '@tanstack/react-query';
import type { Bed } from '@unity-acre/contract/ground';
import type { Entry } from '@unity-acre/contract/log';
import type { EntryKind } from '@unity-acre/core/log';
import { useState } from 'react';
import { useTranslation } from 'react-i18next';
import { useCropNames } from '../crops/names.ts';
import { useCoordinates, useHere, useList, useMeasure, useWrite } from '../garden/index.ts';
import { Button } from '../kit/controls/index.ts';
import { useDates } from '../kit/dates.ts';
import { fetchedPart } from '../kit/fetchedPart.tsx';
import { VirtualList } from '../kit/lists/index.ts';
import { Bare, Loaded } from '../kit/screens/index.ts';
import { entryPages } from './entryPages.ts';

/** Fetched when it is first shown: the list does not wait for all that a form is made with. */
const EntrySheet = fetchedPart(async () => (await import('./EntrySheet.tsx')).EntrySheet);

interface Props {
  bedId?: string;
  kind?: EntryKind;
}

/** Entries, newest first, fetched as one goes on. */
export function EntryList({ bedId, kind }: Props) {
  const { t } = useTranslation(['log', 'kit']);
  const [corrected, setCorrected] = useState<Entry | null>(null);
  const pages = useInfiniteQuery(
    entryPages(useHere().garden.id, { ...(bedId && { bedId }), ...(kind && { kind }) }),
  );
  const beds = useList('beds');
  const named = [beds, useList('ownCrops')];
  const factsOf = useEntryFacts(bedId ? undefined : beds.data);
  const { personId } = useHere();
  const coordinates = useCoordinates();
  const strike = useWrite('removeEntry', () => t('log:struck'));
  return (
    <Loaded of={pages as never} also={named}>
      {() => {
        const entries = pages.data!.pages.flatMap((page) => page.entries);
        if (entries.length === 0) return <Bare title={t('log:empty')}>{t('log:emptyHint')}</Bare>;
        return (
          <>
            <VirtualList items={entries} keyOf={({ id }) => id} usualHeight={45}>
              {(entry, i) => (
                <EntryRow
                  entry={entry}
                  sameDay={entries[i - 1]?.on === entry.on}
                  facts={factsOf(entry)}
                  mayChange={coordinates || entry.personId === personId}
                  onCorrect={() => setCorrected(entry)}
                  onStrike={() => strike.mutate({ params: { id: entry.id }, ifMatch: entry.version })}
                />
              )}
            </VirtualList>
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
              <EntrySheet
                entry={corrected}
                onClose={() => setCorrected(null)}
                onUnfetched={() => setCorrected(null)}
              />
            )}
          </>
        );
      }}
    </Loaded>
  );
}

/** What an entry says beyond its kind, in words. @param beds where the bed is to be named too */
function useEntryFacts(beds: readonly Bed[] | undefined): (entry: Entry) => string[] {
  const { t } = useTranslation('log');
  const names = useCropNames();
  const { number } = useMeasure();
  return ({ amount, cropId, bedId, destination, share, minutes }) =>
    [
      amount && `${number(amount.value, 2)} ${t(`units.${amount.unit}`)}`,
      cropId && names.crop(cropId),
      beds?.find(({ id }) => id === bedId)?.name,
      destination && t(`to.${destination}`),
      share !== null && share < 1 && t('partly', { percent: number(share * 100, 0) }),
      minutes !== null && t('took', { minutes: number(minutes, 0) }),
    ].filter((fact) => typeof fact === 'string');
}

interface RowProps {
  entry: Entry;
  sameDay: boolean;
  facts: string[];
  mayChange: boolean;
  onCorrect(): void;
  onStrike(): void;
}

function EntryRow({ entry, sameDay, facts, mayChange, onCorrect, onStrike }: RowProps) {
  const { t } = useTranslation(['log', 'kit']);
  const dates = useDates();
  return (
    <div
      className={`grid grid-cols-[6.5rem_minmax(0,1fr)] items-baseline gap-x-4 py-0.5 sm:grid-cols-[6.5rem_minmax(0,1fr)_auto] ${sameDay ? '' : 'border-line border-t'}`}
    >
      <span className="text-ink-soft">{sameDay ? '' : dates.short(entry.on)}</span>
      <span>
        <span className="font-semibold">{t(`log:kind.${entry.kind}`)}</span>
        {facts.length > 0 && <> · {facts.join(' · ')}</>}
        {entry.note && <span className="block max-w-prose break-words">{entry.note}</span>}
        <span className="text-ink-soft text-sm">
          {' '}
          {entry.by}
          {entry.people.length > 0 && ` ${t('log:with', { people: entry.people.join(', ') })}`}
        </span>
      </span>
      <span className="col-start-2 flex sm:col-start-3">
        {mayChange && (
          <>
            <Button look="quiet" onClick={onCorrect}>
              {t('kit:change')}
            </Button>
            <Button look="quiet" onClick={onStrike}>
              {t('log:strike')}
            </Button>
          </>
        )}
      </span>
    </div>
  );
}
