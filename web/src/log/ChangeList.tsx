import { useInfiniteQuery } from '@tanstack/react-query';
import type { Change, ChangeDeed, ChangeThing } from '@unity-acre/contract/log';
import { useTranslation } from 'react-i18next';
import { useCropNames } from '../crops/names.ts';
import { listKey, useHere, useWrite } from '../garden/index.ts';
import { ask } from '../kit/ask.ts';
import { Button } from '../kit/controls/index.ts';
import { useDates } from '../kit/dates.ts';
import { Bare, Loaded } from '../kit/screens/index.ts';

/** The audit trail: who changed what and when, each to be taken back where that still can be. */
export function ChangeList() {
  const { t } = useTranslation(['log', 'changes', 'kit']);
  const gardenId = useHere().garden.id;
  const pages = useInfiniteQuery({
    queryKey: listKey(gardenId, 'changes'),
    queryFn: async ({ pageParam }) =>
      (await ask('changes', { params: { gardenId }, query: { limit: 40, after: pageParam } })).data,
    initialPageParam: undefined as string | undefined,
    getNextPageParam: (page) => page.next ?? undefined,
  });
  return (
    <Loaded of={pages as never}>
      {() => {
        const changes = pages.data!.pages.flatMap((page) => page.changes);
        if (changes.length === 0) return <Bare title={t('log:noChanges')} />;
        return (
          <>
            <ol>
              {changes.map((change) => (
                <ChangeRow key={change.id} change={change} />
              ))}
            </ol>
            {pages.hasNextPage && (
              <Button className="mt-3" onClick={() => pages.fetchNextPage()}>
                {t('kit:more')}
              </Button>
            )}
          </>
        );
      }}
    </Loaded>
  );
}

function ChangeRow({ change }: { change: Change }) {
  const { t } = useTranslation(['log', 'changes', 'kit']);
  const dates = useDates();
  const names = useCropNames();
  const undo = useWrite('undo', () => t('kit:undone'));
  const [thing, deed] = change.verb.split('.') as [ChangeThing, ChangeDeed];
  return (
    <li className="grid grid-cols-[minmax(0,1fr)_auto] items-center gap-x-4 border-line border-b py-1 sm:grid-cols-[11rem_minmax(0,1fr)_auto]">
      <span className="col-span-2 text-ink-soft text-sm sm:col-span-1">{dates.moment(change.at)}</span>
      <span className={change.undone ? 'line-through' : ''}>
        {t(`changes:thing.${thing}`)} {t(`changes:verb.${deed}`)}
        {change.what && `: ${names.crop(change.what)}`}{' '}
        <span className="text-ink-soft text-sm">{change.by ?? t('changes:byClock')}</span>
      </span>
      {change.mayUndo ? (
        <Button
          look="quiet"
          disabled={undo.isPending}
          onClick={() => undo.mutate({ params: { id: change.id }, body: {} })}
        >
          {t('kit:undo')}
        </Button>
      ) : (
        <span />
      )}
    </li>
  );
}
