import type { Session, TaskView } from '@unity-acre/contract/work';
import { Plus } from 'lucide-react';
import { useDeferredValue, useState } from 'react';
import { useTranslation } from 'react-i18next';
import { useSearchParams } from 'react-router';
import { useHere, useLeads, useLive } from '../../garden/index.ts';
import { PlacePaths } from '../../garden/paths/index.ts';
import { Button } from '../../kit/controls/index.ts';
import { fetchedPart } from '../../kit/fetchedPart.tsx';
import { LinkGroup } from '../../kit/LinkGroup.tsx';
import { Bare, Loaded, Screen } from '../../kit/screens/index.ts';
import { useMedia } from '../../kit/useMedia.ts';
import { useTasks } from '../taskLists.ts';
import { CalendarAddress } from './CalendarAddress.tsx';
import { SessionRow } from './SessionRow.tsx';
import { SessionsCalendar } from './SessionsCalendar.tsx';
import { listedDays, useSessions } from './sessionLists.ts';

// Fetched when they are first shown: the screen beneath does not wait for all that a form is made with.
const MoveSheet = fetchedPart(async () => (await import('./MoveSheet.tsx')).MoveSheet);
const SessionSheet = fetchedPart(async () => (await import('./SessionSheet.tsx')).SessionSheet);

/** Work sessions to come, and those that were. */
export default function Sessions() {
  const { t } = useTranslation('work');
  const { garden } = useHere();
  const leads = useLeads();
  const sessions = useSessions(listedDays(garden.today));
  const tasks = useTasks({ ...listedDays(garden.today), taken: 'only' });
  const [search, setSearch] = useSearchParams();
  // A task on another screen may ask for a session of its own.
  const wanted = search.get('task');
  const opened = search.get('session') ?? (wanted ? 'new' : null);
  const edited = sessions.data?.find(({ id }) => id === opened) ?? null;
  const open = (id: string) => setSearch({ session: id });
  const [moved, setMoved] = useState<Session | null>(null);
  useLive();
  const isWide = useMedia('(min-width: 48rem)');
  const view = useView(isWide);
  const viewBar = isWide && <ViewBar view={view} />;
  const close = () => setSearch({}, { replace: true });
  return (
    <Screen
      title={t('sessions')}
      actions={
        leads && (
          <Button look="act" onClick={() => open('new')}>
            <Plus aria-hidden size={18} />
            {t('call')}
          </Button>
        )
      }
    >
      <PlacePaths of="rota" />
      <Loaded of={sessions} also={[tasks]}>
        {(list) => {
          const coming = list.filter((session) => session.on >= garden.today);
          const past = list.filter((session) => session.on < garden.today).reverse();
          if (view !== 'list')
            return (
              <>
                {viewBar}
                <SessionsCalendar span={view} sessions={list} tasks={tasks.data ?? []} />
                <CalendarAddress />
              </>
            );
          return (
            <>
              {viewBar}
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
                    onEdit={({ id }) => open(id)}
                    onMove={setMoved}
                  />
                ))}
              </section>
              <CalendarAddress />
              <Past sessions={past} tasks={tasks.data ?? []} onEdit={({ id }) => open(id)} />
            </>
          );
        }}
      </Loaded>
      {moved && tasks.data && (
        <MoveSheet
          session={moved}
          taken={tasks.data}
          onClose={() => setMoved(null)}
          onUnfetched={() => setMoved(null)}
        />
      )}
      {(opened === 'new' || edited) && tasks.data && (
        <SessionSheet
          session={edited}
          taken={tasks.data}
          wanted={wanted}
          onUnfetched={close}
          onMove={(session) => {
            close();
            setMoved(session);
          }}
          onClose={close}
        />
      )}
    </Screen>
  );
}

const views = ['list', 'month', 'week'] as const;
type View = (typeof views)[number];

/** How sessions are looked at, from the address; a calendar has no room on a phone. */
function useView(isWide: boolean): View {
  const asked = useSearchParams()[0].get('view');
  return (isWide && views.find((view) => view === asked)) || 'list';
}

function ViewBar({ view }: { view: View }) {
  const { t } = useTranslation('work');
  return (
    <LinkGroup
      label={t('calendar.view')}
      links={views.map((name) => ({
        to: `?view=${name}`,
        label: t(`calendar.${name}`),
        isCurrent: name === view,
      }))}
    />
  );
}

/** The last of those that were. They are under all else: drawn after it. */
function Past({
  sessions,
  ...row
}: {
  sessions: Session[];
  tasks: TaskView[];
  onEdit(session: Session): void;
}) {
  const { t } = useTranslation('work');
  const isTheirTurn = useDeferredValue(true, false);
  if (!isTheirTurn || sessions.length === 0) return null;
  return (
    <section className="furrow">
      <h2>{t('past')}</h2>
      {sessions.slice(0, 12).map((session) => (
        <SessionRow key={session.id} session={session} {...row} />
      ))}
    </section>
  );
}
