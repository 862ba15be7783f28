import type { Person } from '@unity-acre/contract/crew';
import type { Session, TaskView } from '@unity-acre/contract/work';
import { minuteOf } from '@unity-acre/core/crew';
import { useState } from 'react';
import { useTranslation } from 'react-i18next';
import { useHere } from '../../garden/index.ts';
import { Button } from '../../kit/controls/index.ts';
import { useDates } from '../../kit/dates.ts';
import { timeFor, useMarks } from '../day/index.ts';
import { GoodUntil } from '../GoodUntil.tsx';
import { useTaskSentence } from '../sentence.ts';
import { TaskCard } from './TaskCard.tsx';
import { TookForm } from './TookForm.tsx';

type Work = Session['work'][number];
type Body = Omit<Work, 'taskId'>;

const notBegun: Body = {
  state: 'open',
  began: null,
  minutes: null,
  adults: 0,
  beginners: 0,
  children: 0,
  note: '',
  share: null,
};

/** What the state of a task looks like, beside its word. */
export const stateLook: Record<Work['state'], string> = {
  open: 'border-line-strong',
  underWay: 'border-leaf bg-leaf-soft',
  stuck: 'border-beet bg-beet-soft text-beet',
  done: 'border-leaf text-leaf',
};

interface Props {
  task: TaskView;
  session: Session;
  people: Person[];
  /** of its beds on the map; none where it is for the whole garden */
  numbers: number[];
  mayMark: boolean;
}

/** A task in its session: its card, who is at it, and how it goes. */
export function WorkCard({ task, session, people, numbers, mayMark }: Props) {
  const { t } = useTranslation('day');
  const { garden } = useHere();
  const dates = useDates();
  const sentence = useTaskSentence();
  const add = useMarks((marks) => marks.add);
  const [asks, setAsks] = useState<'done' | 'stuck' | null>(null);
  const known = session.work.find(({ taskId }) => taskId === task.id);
  const { taskId: _, ...work } = known ?? { taskId: task.id, ...notBegun };
  const mark = (over: Partial<Body>) => {
    setAsks(null);
    add({
      gardenId: garden.id,
      sessionId: session.id,
      kind: 'logWork',
      taskId: task.id,
      what: sentence(task),
      body: { ...work, ...over },
    });
  };
  const members = session.crews.find(({ taskId }) => taskId === task.id)?.members ?? [];
  const names = new Map(session.signUps.map(({ personId, name }) => [personId, name]));
  if (session.leadId && session.lead) names.set(session.leadId, session.lead);
  const crew = members.map(({ personId }) => names.get(personId)).filter(Boolean);
  const now = timeFor(session, garden);
  const since = work.began ? Math.max(1, minuteOf(now) - minuteOf(work.began)) : null;
  return (
    <li className="border-line border-b py-3 print:break-inside-avoid">
      <div className="flex items-start gap-3">
        <span
          className={`grid size-8 shrink-0 place-items-center rounded-full border-2 border-ink font-semibold ${numbers.length > 1 ? 'text-xs' : ''}`}
        >
          {numbers.length > 1 ? `${numbers[0]}+` : (numbers[0] ?? '∗')}
        </span>
        <div className="min-w-0 flex-1">
          <h3 className={work.state === 'done' ? 'line-through' : ''}>{sentence(task)}</h3>
          <p className="text-ink-soft text-sm">
            <GoodUntil task={task} />
          </p>
          {crew.length > 0 && <p className="font-semibold">{crew.join(', ')}</p>}
          <div className={work.state === 'done' ? 'hidden print:block' : undefined}>
            <TaskCard task={task} />
          </div>
          <p className="mt-2 flex flex-wrap items-center gap-2 print:hidden">
            <span className={`rounded-sm border-2 px-2 py-0.5 text-sm ${stateLook[work.state]}`}>
              {t(`state.${work.state}`)}
              {work.state === 'underWay' &&
                work.began &&
                ` · ${t('board.since', { time: dates.time(work.began) })}`}
            </span>
            {mayMark && work.state !== 'done' && (
              <>
                {work.state !== 'underWay' && (
                  <Button onClick={() => mark({ state: 'underWay', began: work.began ?? now })}>
                    {t(work.state === 'stuck' ? 'goOn' : 'begin')}
                  </Button>
                )}
                {work.state === 'underWay' && <Button onClick={() => setAsks('stuck')}>{t('stuck')}</Button>}
                <Button look={work.state === 'underWay' ? 'act' : 'plain'} onClick={() => setAsks('done')}>
                  {t('finish')}
                </Button>
              </>
            )}
            {mayMark && work.state === 'done' && (
              <Button look="quiet" onClick={() => mark({ state: 'open', minutes: null, share: null })}>
                {t('reopen')}
              </Button>
            )}
          </p>
          {work.state === 'done' && work.minutes && (
            <p className="text-ink-soft text-sm">
              {t('tookSay', {
                minutes: work.minutes,
                count: work.adults + work.beginners + work.children,
              })}
            </p>
          )}
          {work.share !== null && (
            <p className="text-sm">{t('partDone', { percent: Math.round(work.share * 100) })}</p>
          )}
          {work.note && <p className="text-sm">{work.note}</p>}
          {asks && (
            <TookForm
              asks={asks}
              work={work}
              minutes={since ?? task.minutes}
              crew={members.flatMap(({ personId }) => people.find(({ id }) => id === personId) ?? [])}
              onKeep={mark}
              onCancel={() => setAsks(null)}
            />
          )}
          <p className="mt-2 hidden text-sm print:block">
            {t('finish')} ☐ · {t('minutes')} ______ · {t('notes')} ______________________
          </p>
        </div>
      </div>
    </li>
  );
}
