import type { Session } from '@unity-acre/contract/work';
import { addDays } from '@unity-acre/core/calendar';
import { Plus } from 'lucide-react';
import { useState } from 'react';
import { useTranslation } from 'react-i18next';
import { useSearchParams } from 'react-router';
import { Button } from '../kit/Button.tsx';
import { useHere, useLeads } from '../kit/garden.ts';
import { useLive } from '../kit/live.ts';
import { Bare, Loaded } from '../kit/states.tsx';
import { useBothSeasons } from '../season/year.ts';
import { CalendarAddress } from './CalendarAddress.tsx';
import { MoveSheet } from './MoveSheet.tsx';
import { SessionPaths } from './SessionPaths.tsx';
import { SessionRow } from './SessionRow.tsx';
import { SessionSheet } from './SessionSheet.tsx';
import { useSessions } from './sessionLists.ts';

/** So far back sessions are listed, days. */
const PAST_DAYS = 366;

/** Work sessions to come, and those that were. */
export default function Sessions() {
  const { t } = useTranslation('work');
  const { garden } = useHere();
  const leads = useLeads();
  const sessions = useSessions({ from: addDays(garden.today, -PAST_DAYS) });
  const tasks = useBothSeasons('tasks');
  const [search, setSearch] = useSearchParams();
  // A task on another screen may ask for a session of its own.
  const wanted = search.get('task');
  const [edited, setEdited] = useState<Session | 'new' | null>(wanted ? 'new' : null);
  const [moved, setMoved] = useState<Session | null>(null);
  useLive();
  const close = () => {
    setEdited(null);
    setSearch({}, { replace: true });
  };
  return (
    <div className="flex flex-col gap-6">
      <div className="flex flex-wrap items-end justify-between gap-3">
        <h1>{t('sessions')}</h1>
        {leads && (
          <Button look="act" onClick={() => setEdited('new')}>
            <Plus aria-hidden size={18} />
            {t('call')}
          </Button>
        )}
      </div>
      <SessionPaths />
      <Loaded of={sessions}>
        {(list) => {
          const coming = list.filter((session) => session.on >= garden.today);
          const past = list.filter((session) => session.on < garden.today).reverse();
          return (
            <>
              <section className="furrow">
                <h2>{t('toCome')}</h2>
                {coming.length === 0 && (
                  <Bare title={t('noSessions')}>{leads && <p>{t('noSessionsHint')}</p>}</Bare>
                )}
                {coming.map((session) => (
                  <SessionRow
                    key={session.id}
                    session={session}
                    tasks={tasks.data ?? []}
                    full
                    onEdit={setEdited}
                    onMove={setMoved}
                  />
                ))}
              </section>
              <CalendarAddress />
              {past.length > 0 && (
                <section className="furrow">
                  <h2>{t('past')}</h2>
                  {past.slice(0, 12).map((session) => (
                    <SessionRow
                      key={session.id}
                      session={session}
                      tasks={tasks.data ?? []}
                      onEdit={setEdited}
                    />
                  ))}
                </section>
              )}
            </>
          );
        }}
      </Loaded>
      {moved && <MoveSheet session={moved} onClose={() => setMoved(null)} />}
      {edited && tasks.data && (
        <SessionSheet
          session={edited === 'new' ? null : edited}
          tasks={tasks.data}
          wanted={wanted}
          onClose={close}
        />
      )}
    </div>
  );
}
