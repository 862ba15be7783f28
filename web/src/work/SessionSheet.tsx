import { type Session, sessionInput, type TaskView } from '@unity-acre/contract/work';
import { addDays, weekday } from '@unity-acre/core/calendar';
import { useState } from 'react';
import { useTranslation } from 'react-i18next';
import { v7 as newId } from 'uuid';
import { Field, useBodyForm, useRemedy } from '../kit/form.tsx';
import { presentPeople, useHere, useList, useWrite } from '../kit/garden.ts';
import { RefusedNote } from '../kit/RefusedNote.tsx';
import { Sheet } from '../kit/Sheet.tsx';
import { SheetActions } from '../kit/SheetActions.tsx';
import { useTaskSentence } from './sentence.ts';

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
  tasks: TaskView[];
  /** a task to begin with */
  wanted?: string | null;
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
export function SessionSheet({ session, tasks, wanted = null, onClose }: Props) {
  const { t } = useTranslation(['work', 'rota', 'kit']);
  const { garden } = useHere();
  const people = useList('people');
  const sentence = useTaskSentence();
  const remedy = useRemedy();
  const [id] = useState(() => session?.id ?? newId());
  const save = useWrite('saveSession', ({ data }) => t('rota:sheet.sessionSaved', { title: data.title }));
  // Made once, so that what is sent again is the same.
  const [ids] = useState(() => Array.from({ length: MOST_REPEATED }, (_, i) => (i === 0 ? id : newId())));
  const callAll = useWrite('callSessions', ({ data }) =>
    t('rota:repeat.saved', { n: data.length, title: data[0]?.title }),
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
  const { errors } = form.formState;
  const on = form.watch('on');
  const chosen = form.watch('taskIds');
  const fitting = tasks.filter(
    (task) =>
      chosen.includes(task.id) ||
      (task.state !== 'done' && task.window.earliest <= on && addDays(task.window.latest, 14) >= on),
  );
  return (
    <Sheet open title={session ? session.title : t('work:call')} onClose={onClose}>
      <form onSubmit={form.submit} noValidate className="flex flex-col gap-4">
        <Field label={t('rota:sheet.title')} error={errors.title?.message}>
          {(props) => <input {...props} {...form.register('title')} className="input" />}
        </Field>
        <Field label={t('rota:sheet.on')} error={errors.on?.message}>
          {(props) => <input {...props} {...form.register('on')} type="date" className="input" />}
        </Field>
        {!session && (
          <Field label={t('rota:repeat.label')} hint={t('rota:repeat.hint')}>
            {(props) => <input {...props} {...form.register('until')} type="date" className="input" />}
          </Field>
        )}
        <div className="grid grid-cols-2 gap-4">
          <Field label={t('rota:sheet.from')} error={errors.from?.message}>
            {(props) => <input {...props} {...form.register('from')} type="time" className="input" />}
          </Field>
          <Field label={t('rota:sheet.to')} error={errors.to?.message}>
            {(props) => <input {...props} {...form.register('to')} type="time" className="input" />}
          </Field>
          <Field label={t('rota:sheet.meetAt')} error={errors.meetAt?.message}>
            {(props) => <input {...props} {...form.register('meetAt')} className="input" />}
          </Field>
          <Field label={t('rota:sheet.capacity')} error={errors.capacity?.message}>
            {(props) => (
              <input {...props} {...form.register('capacity')} inputMode="numeric" className="input" />
            )}
          </Field>
        </div>
        <Field label={t('rota:sheet.lead')} error={errors.leadId?.message}>
          {(props) => (
            <select {...props} {...form.register('leadId')} className="input">
              <option value="">{t('work:noLead')}</option>
              {presentPeople(people.data, session?.leadId).map((person) => (
                <option key={person.id} value={person.id}>
                  {person.name}
                </option>
              ))}
            </select>
          )}
        </Field>
        <label className="flex min-h-target items-center gap-3">
          <input
            type="checkbox"
            {...form.register('children')}
            className="size-5 shrink-0 accent-blossom-deep"
          />
          {t('rota:sheet.children')}
        </label>
        <fieldset>
          <legend className="font-semibold text-sm">{t('work:tasks')}</legend>
          {fitting.length === 0 && <p className="text-ink-soft text-sm">{t('rota:sheet.noFitting')}</p>}
          <ul className="max-h-64 overflow-y-auto">
            {fitting.map((task) => (
              <li key={task.id} className="border-line border-b">
                <label className="flex min-h-target items-center gap-3 py-1">
                  <input
                    type="checkbox"
                    value={task.id}
                    {...form.register('taskIds')}
                    className="size-5 shrink-0 accent-blossom-deep"
                  />
                  <span className="text-sm">
                    {sentence(task)}
                    {task.sessionId && task.sessionId !== id && (
                      <span className="block text-ink-soft">{t('rota:sheet.inAnother')}</span>
                    )}
                  </span>
                </label>
              </li>
            ))}
          </ul>
          {errors.taskIds?.message && <p className="text-beet text-sm">{remedy(errors.taskIds.message)}</p>}
        </fieldset>
        <Field label={t('rota:sheet.note')} hint={t('kit:optional')} error={errors.note?.message}>
          {(props) => <textarea {...props} {...form.register('note')} rows={3} className="input" />}
        </Field>
        <RefusedNote refused={form.refused ?? remove.error} clash={form.clash} />
        <SheetActions
          busy={form.busy}
          onCancel={onClose}
          removeWords={t('rota:sheet.callOff')}
          onRemove={
            session
              ? () => remove.mutate({ params: { id }, ifMatch: session.version }, { onSuccess: onClose })
              : undefined
          }
        />
      </form>
    </Sheet>
  );
}
