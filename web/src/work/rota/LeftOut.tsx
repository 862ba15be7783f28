import type { Rota } from '@unity-acre/contract/work';
import type { TaskReason } from '@unity-acre/core/work';
import { useTranslation } from 'react-i18next';
import { useDates } from '../../kit/dates.ts';
import { useToolName } from '../care/index.ts';
import { useTaskSentence } from '../sentence.ts';
import { HoldButtons } from './HoldButtons.tsx';
import { holdTask, taskHold } from './holds.ts';
import type { RotaNames } from './RotaPage.tsx';
import type { Holding } from './RotaSessions.tsx';

/** How many are written out before the rest is counted. */
const SHOWN = 40;

/** Tasks in no session: the fact that binds, and the smallest change that would help. */
export function LeftOutTasks({
  rota,
  names,
  holding,
}: {
  rota: Rota;
  names: RotaNames;
  holding: Holding | null;
}) {
  const { t } = useTranslation(['rota', 'work']);
  const sentence = useTaskSentence();
  const words = useReasonWords(names);
  const left = rota.tasksLeft.flatMap((reason) => {
    const task = names.tasks.find(({ id }) => id === reason.taskId);
    return task ? [{ reason, task }] : [];
  });
  // What was left out by hand can be let go of again: it stands first.
  left.sort((a, b) => Number(b.reason.why === 'keptOut') - Number(a.reason.why === 'keptOut'));
  return (
    <section className="furrow">
      <h2>{t('rota:tasksLeft', { count: left.length })}</h2>
      {left.length === 0 && <p>{t('rota:allTasksIn')}</p>}
      <ul>
        {left.slice(0, SHOWN).map(({ reason, task }) => (
          <li
            key={reason.taskId}
            className="flex items-start justify-between gap-3 border-line border-b py-1.5"
          >
            <span>
              {sentence(task)}
              <span className="block text-sm">
                <span className="text-beet">{words.why(reason)}</span> {reason.fix && words.fix(reason.fix)}
              </span>
            </span>
            {holding && reason.why === 'keptOut' && (
              <HoldButtons
                of={sentence(task)}
                only={['leave']}
                hold={taskHold(holding.holds, task.id)}
                onHold={(next) => holding.change(holdTask(holding.holds, task.id, '', next))}
              />
            )}
          </li>
        ))}
      </ul>
      {left.length > SHOWN && (
        <p className="text-ink-soft">{t('work:andMore', { count: left.length - SHOWN })}</p>
      )}
    </section>
  );
}

function useReasonWords(names: RotaNames) {
  const { t } = useTranslation(['rota', 'people']);
  const dates = useDates();
  const toolName = useToolName();
  const personOf = (id: string) => names.people.find((person) => person.id === id)?.name ?? '';
  const dayOf = (id: string) => {
    const session = names.sessions.find((one) => one.id === id);
    return session ? dates.short(session.on) : '';
  };
  const span = ({ from, to }: { from: string; to: string }) => ({
    from: dates.short(from),
    to: dates.short(to),
  });
  return {
    why(reason: TaskReason): string {
      switch (reason.why) {
        case 'noSession':
        case 'nobodyCan':
          return t(`rota:why.${reason.why}`, span(reason));
        case 'tool':
          return t('rota:why.tool', { tool: toolName(reason.tool) });
        case 'skill':
          return t('rota:why.skill', { skill: t(`people:skill.${reason.skill}`), ...span(reason) });
        case 'tooFew':
          return t('rota:why.tooFew', { fewest: reason.fewest, most: reason.most, ...span(reason) });
        case 'full':
          return t('rota:why.full', { minutes: reason.minutes });
        default:
          return t(`rota:why.${reason.why}`);
      }
    },
    fix(fix: NonNullable<TaskReason['fix']>): string {
      switch (fix.fix) {
        case 'callSession':
          return t('rota:fix.callSession', span(fix));
        case 'getTool':
          return t('rota:fix.getTool', { tool: toolName(fix.tool) });
        case 'teach':
          return t('rota:fix.teach', {
            person: personOf(fix.personId),
            skill: t(`people:skill.${fix.skill}`),
          });
        case 'askToCome':
          return t('rota:fix.askToCome', { person: personOf(fix.personId), day: dayOf(fix.sessionId) });
        case 'longer':
          return t('rota:fix.longer', { minutes: fix.minutes, day: dayOf(fix.sessionId) });
        case 'place':
          return t('rota:fix.place');
      }
    },
  };
}

/** People in no session, each with why. */
export function LeftOutPeople({ rota, names }: { rota: Rota; names: RotaNames }) {
  const { t } = useTranslation('rota');
  const left = rota.peopleLeft.flatMap((reason) => {
    const person = names.people.find(({ id }) => id === reason.personId);
    return person ? [{ person, why: reason.why }] : [];
  });
  if (left.length === 0) return null;
  return (
    <section className="furrow">
      <h2>{t('peopleLeft', { count: left.length })}</h2>
      <ul>
        {left.map(({ person, why }) => (
          <li key={person.id} className="flex flex-wrap justify-between gap-x-4 border-line border-b py-1">
            <span>{person.name}</span>
            <span className="text-ink-soft text-sm">{t(`person.${why}`)}</span>
          </li>
        ))}
      </ul>
    </section>
  );
}
