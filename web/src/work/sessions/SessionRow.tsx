import type { Session, TaskView } from '@unity-acre/contract/work';
import { crewNeed } from '@unity-acre/core/work';
import { useTranslation } from 'react-i18next';
import { Link } from 'react-router';
import { useHere, useLeads, useMeasure } from '../../garden/index.ts';
import { Button } from '../../kit/controls/index.ts';
import { useDates } from '../../kit/dates.ts';
import { fetchedPart } from '../../kit/fetchedPart.tsx';
import { inWorkOrder } from '../order.ts';
import { TaskRow } from '../TaskRow.tsx';
import { SignUpButton } from './SignUpButton.tsx';

/** Only where sessions are written out: its words come with that screen. */
const PlaceLine = fetchedPart(async () => (await import('./PlaceLine.tsx')).PlaceLine);

interface Props {
  session: Session;
  tasks: TaskView[];
  /** with the tasks written out */
  full?: boolean;
  onEdit?(session: Session): void;
  onMove?(session: Session): void;
}

/** Who is at a task by the rota; nothing where none was made. */
function CrewOf({ session, taskId }: { session: Session; taskId: string }) {
  const members = session.crews.find((crew) => crew.taskId === taskId)?.members ?? [];
  const names = new Map(session.signUps.map(({ personId, name }) => [personId, name]));
  if (session.leadId && session.lead) names.set(session.leadId, session.lead);
  const there = members.flatMap(({ personId }) => names.get(personId) || []);
  return there.length > 0 ? <span className="text-ink">{there.join(', ')}</span> : null;
}

/** A work session: when, where, who comes, and whether that is enough for its work. */
export function SessionRow({ session, tasks, full = false, onEdit, onMove }: Props) {
  const { t } = useTranslation(['work', 'kit']);
  const { garden } = useHere();
  const dates = useDates();
  const leads = useLeads();
  const { duration } = useMeasure();
  const { coming, minutes, needed, gap } = crewNeed(session, tasks);
  const own = inWorkOrder(tasks.filter((task) => session.taskIds.includes(task.id)));
  const past = session.on < garden.today;
  const isOff = session.state === 'calledOff';
  return (
    <article
      className={`${full ? 'laid-out-in-sight ' : ''}grid gap-x-6 gap-y-1 border-line border-b py-3 sm:grid-cols-[7.5rem_minmax(0,1fr)]`}
    >
      <p className="leading-tight">
        <span className="block font-semibold">{dates.short(session.on)}</span>
        <span className="text-ink-soft text-sm">{dates.times(session.from, session.to)}</span>
      </p>
      <div className="min-w-0">
        <div className="flex flex-col justify-between gap-x-4 sm:flex-row sm:items-start">
          <div className="min-w-0">
            <h3 className={isOff ? 'line-through' : ''}>
              <Link to={`/sessions/${session.id}`} className="hover:underline">
                {session.title}
              </Link>
            </h3>
            <p className="text-ink-soft text-sm">
              {[session.meetAt, session.lead && t('work:ledBy', { name: session.lead })]
                .filter(Boolean)
                .join(' · ')}
            </p>
          </div>
          <span className="flex shrink-0 flex-wrap gap-1">
            {!past && !isOff && <SignUpButton session={session} />}
            {leads && onMove && !isOff && (
              <Button look="quiet" onClick={() => onMove(session)}>
                {t('work:rainOrFrost')}
                <span className="sr-only">: {session.title}</span>
              </Button>
            )}
            {leads && onEdit && (
              <Button
                look="quiet"
                onClick={() => onEdit(session)}
                aria-label={t('work:editSession', { title: session.title })}
              >
                {t('kit:change')}
              </Button>
            )}
          </span>
        </div>
        {isOff && (
          <p className="mt-1 font-semibold text-beet">
            {t('work:calledOff')} {session.why}
          </p>
        )}
        {session.movedFrom && !isOff && (
          <p className="mt-1 text-ink-soft text-sm">
            {t('work:movedFrom', { day: dates.short(session.movedFrom) })} {session.why}
          </p>
        )}
        <p className="mt-1">
          {t('work:coming', { coming, capacity: session.capacity })}
          {minutes > 0 && ` ${t('work:workload', { time: duration(minutes), needed })}`}
          {gap > 0 && !past && <strong className="text-beet"> {t('work:gap', { gap })}</strong>}
        </p>
        {full && (
          <>
            {session.signUps.length > 0 && (
              <p className="text-sm">
                {session.signUps
                  .map(({ name, headcount }) =>
                    headcount > 1 ? `${name} (${headcount})` : name || t('work:underAge'),
                  )
                  .join(', ')}
              </p>
            )}
            {!past && !isOff && <PlaceLine session={session} />}
            {session.note && <p className="mt-1 max-w-prose whitespace-pre-line text-sm">{session.note}</p>}
            {own.length > 0 && (
              <ul className="mt-2 border-line border-t">
                {own.map((task) => (
                  <TaskRow key={task.id} task={task}>
                    <CrewOf session={session} taskId={task.id} />
                  </TaskRow>
                ))}
              </ul>
            )}
          </>
        )}
      </div>
    </article>
  );
}
