import { type Session, sessionInput, type TaskView } from '@unity-acre/contract/work';
import { addDays, weekday } from '@unity-acre/core/calendar';
import { useState } from 'react';
import { useTranslation } from 'react-i18next';
import { v7 as newId } from 'uuid';
import { PersonSelect, presentPeople, useHere, useList, useWrite } from '../../garden/index.ts';
import { Checkbox, DateField, TimeField } from '../../kit/controls/index.ts';
import { Field, useBodyForm } from '../../kit/forms/index.ts';
import { FormSheet } from '../../kit/screens/index.ts';
import { useTaskSentence } from '../sentence.ts';
import { useSessionTasks } from './sessionTasks.ts';
import { WaitsFor } from './WaitsFor.tsx';

interface Values {
  title: string;
  on: string;
  from: string;
  to: string;
  meetAt: string;
  leadId: string;
  capacity: string;
  taskIds: string[];
  note: string;
  children: boolean;
  /** the last day of a weekly repetition, for new ones */
  until: string;
}

interface Props {
  session: Session | null;
  /** the tasks of all sessions */
  taken: TaskView[];
  /** a task to begin with */
  wanted?: string | null;
  /** calls it off or moves it, which is told to all who are expected */
  onMove(session: Session): void;
  onClose(): void;
}

/** A session is repeated so often at most. */
const MOST_REPEATED = 52;

/** The same weekday from a day to another, the first in any case. */
function weeklyDays(on: string, until: string): string[] {
  const days = [on];
  while (days.length < MOST_REPEATED && addDays(days.at(-1)!, 7) <= until)
    days.push(addDays(days.at(-1)!, 7));
  return days;
}

/** Calls a work session, or changes one: when, where, who leads, and which tasks. */
export function SessionSheet({ session, taken, wanted = null, onMove, onClose }: Props) {
  const { t } = useTranslation(['work', 'rota', 'kit']);
  const { garden } = useHere();
  const people = useList('people');
  const sentence = useTaskSentence();
  const [id] = useState(() => session?.id ?? newId());
  const save = useWrite('saveSession', ({ data }) => t('rota:sheet.sessionSaved', { title: data.title }));
  // Made once, so that what is sent again is the same.
  const [ids] = useState(() => Array.from({ length: MOST_REPEATED }, (_, i) => (i === 0 ? id : newId())));
  const callAll = useWrite('callSessions', ({ data }) =>
    t('rota:repeat.saved', { count: data.length, title: data[0]?.title }),
  );
  const remove = useWrite('removeSession', () => t('rota:sheet.sessionRemoved', { title: session?.title }));
  const valuesOf = (row: Session): Values => ({
    ...row,
    leadId: row.leadId ?? '',
    capacity: String(row.capacity),
    taskIds: [...row.taskIds].sort(),
    until: '',
  });
  const form = useBodyForm<Values, ReturnType<typeof sessionInput.parse>>({
    draft: `session ${session?.id ?? 'new'}`,
    schema: sessionInput,
    defaults: session
      ? valuesOf(session)
      : {
          title: t('rota:sheet.usualTitle'),
          // The next Saturday, when most gardens meet.
          on: addDays(garden.today, (6 - weekday(garden.today) + 7) % 7),
          from: '09:00',
          to: '11:30',
          meetAt: '',
          leadId: '',
          capacity: '15',
          taskIds: wanted ? [wanted] : [],
          note: '',
          children: true,
          until: '',
        },
    version: session?.version,
    toValues: valuesOf,
    toBody: (values, read) => ({
      title: values.title,
      on: values.on,
      from: values.from,
      to: values.to,
      meetAt: values.meetAt,
      leadId: values.leadId || null,
      capacity: read.number('capacity', values.capacity),
      taskIds: values.taskIds,
      note: values.note,
      children: values.children,
    }),
    send: async (body, ifMatch) => {
      const days = weeklyDays(body.on, form.getValues('until'));
      if (session || days.length < 2) await save.mutateAsync({ params: { id }, body, ifMatch });
      else {
        const list = days.map((on, i) => ({
          ...body,
          id: ids[i] ?? id,
          on,
          taskIds: i === 0 ? body.taskIds : [],
        }));
        await callAll.mutateAsync({ body: { sessions: list } });
      }
      onClose();
    },
  });
  // What somebody counts on is called off, and told; what nobody does can simply go.
  const isExpected =
    session !== null &&
    session.state === 'called' &&
    session.on >= garden.today &&
    (session.leadId !== null || session.signUps.length + session.waiting.length > 0);
  const takeAway = () => remove.mutate({ params: { id }, ifMatch: session?.version }, { onSuccess: onClose });
  const on = form.watch('on');
  const chosen = form.watch('taskIds');
  const { tasks, fitting, early } = useSessionTasks(id, taken, { on, chosen, wanted });
  return (
    <FormSheet
      of={form}
      title={session ? session.title : t('work:call')}
      onClose={onClose}
      removeWords={t(isExpected ? 'rota:sheet.callOff' : 'rota:sheet.remove')}
      onRemove={session ? (isExpected ? () => onMove(session) : takeAway) : undefined}
    >
      <Field label={t('rota:sheet.title')} name="title">
        {(props) => <input {...props} {...form.register('title')} className="input" />}
      </Field>
      <Field label={t('rota:sheet.on')} name="on">
        {(props) => <DateField {...props} {...form.control('on')} />}
      </Field>
      {!session && (
        <Field name="until" label={t('rota:repeat.label')} hint={t('rota:repeat.hint')}>
          {(props) => <DateField {...props} {...form.control('until')} />}
        </Field>
      )}
      <div className="grid grid-cols-2 gap-4">
        <Field label={t('rota:sheet.from')} name="from">
          {(props) => <TimeField {...props} {...form.control('from')} />}
        </Field>
        <Field label={t('rota:sheet.to')} name="to">
          {(props) => <TimeField {...props} {...form.control('to')} />}
        </Field>
        <Field label={t('rota:sheet.meetAt')} name="meetAt">
          {(props) => <input {...props} {...form.register('meetAt')} className="input" />}
        </Field>
        <Field label={t('rota:sheet.capacity')} name="capacity">
          {(props) => (
            <input {...props} {...form.register('capacity')} inputMode="numeric" className="input" />
          )}
        </Field>
      </div>
      <Field label={t('rota:sheet.lead')} name="leadId">
        {(props) => (
          <PersonSelect
            {...props}
            {...form.control('leadId')}
            none={t('work:noLead')}
            people={presentPeople(people.data, session?.leadId).filter(({ role }) => role !== 'receiver')}
          />
        )}
      </Field>
      <Checkbox label={t('rota:sheet.children')} {...form.check('children')} />
      <fieldset>
        <legend className="font-semibold text-sm">{t('work:tasks')}</legend>
        {fitting.length === 0 && <p className="text-ink-soft text-sm">{t('rota:sheet.noFitting')}</p>}
        <ul className="max-h-64 overflow-y-auto">
          {fitting.map((task) => (
            <li key={task.id} className="border-line border-b">
              <Checkbox
                label={
                  <span className="text-sm">
                    {sentence(task)}
                    {task.sessionId && task.sessionId !== id && (
                      <span className="block text-ink-soft">{t('rota:sheet.inAnother')}</span>
                    )}
                  </span>
                }
                {...form.checkIn('taskIds', task.id)}
              />
            </li>
          ))}
        </ul>
        <WaitsFor early={early} tasks={tasks} />
      </fieldset>
      <Field label={t('rota:sheet.note')} hint={t('kit:optional')} name="note">
        {(props) => <textarea {...props} {...form.register('note')} rows={3} className="input" />}
      </Field>
    </FormSheet>
  );
}
