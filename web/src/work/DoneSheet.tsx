import { type TaskView, taskMarkInput } from '@unity-acre/contract/work';
import { useTranslation } from 'react-i18next';
import { presentPeople, useHere, useList, useWrite } from '../garden/index.ts';
import { Checkbox, DateField, ScrollArea, Select } from '../kit/controls/index.ts';
import { Field, useBodyForm } from '../kit/forms/index.ts';
import { FormSheet } from '../kit/screens/index.ts';
import { useTaskSentence } from './sentence.ts';
import { usePartsDone } from './usePartsDone.ts';

/** How a task went: on which day, how much of it, how long it took, and who was at it. */
export function DoneSheet({ task, onClose }: { task: TaskView; onClose(): void }) {
  const { t } = useTranslation('day');
  const { garden } = useHere();
  const sentence = useTaskSentence();
  const parts = usePartsDone();
  const people = presentPeople(useList('people').data).filter(({ role }) => role !== 'receiver');
  const mark = useWrite('markTask', ({ data }) => t('went.kept', { task: sentence(data) }));
  const form = useBodyForm({
    draft: `done ${task.id}`,
    schema: taskMarkInput,
    defaults: {
      doneOn: task.doneOn ?? garden.today,
      share: String(task.share ?? 1),
      minutes: '',
      people: [] as string[],
    },
    toBody: (values, read) => ({
      doneOn: values.doneOn,
      at: null,
      share: Number(values.share),
      minutes: values.minutes === '' ? null : read.number('minutes', values.minutes),
      people: values.people,
    }),
    send: async (body) => {
      await mark.mutateAsync({ params: { id: task.id }, body });
      onClose();
    },
  });
  return (
    <FormSheet of={form} title={sentence(task)} onClose={onClose}>
      <div className="grid grid-cols-2 gap-4">
        <Field label={t('went.on')} name="doneOn">
          {(props) => <DateField {...props} {...form.control('doneOn')} />}
        </Field>
        <Field label={t('howMuch')} name="share">
          {(props) => (
            <Select
              {...props}
              {...form.control('share')}
              options={[...parts, { value: '1', label: t('went.all') }]}
            />
          )}
        </Field>
        <Field label={t('went.minutes')} hint={t('went.minutesHint')} name="minutes">
          {(props) => (
            <input {...props} {...form.register('minutes')} inputMode="numeric" className="input" />
          )}
        </Field>
      </div>
      <fieldset>
        <legend className="font-semibold text-sm">{t('went.who')}</legend>
        <ScrollArea label={t('went.who')} className="h-56">
          <ul>
            {people.map(({ id, name }) => (
              <li key={id} className="border-line border-b">
                <Checkbox label={name} {...form.checkIn('people', id)} />
              </li>
            ))}
          </ul>
        </ScrollArea>
      </fieldset>
    </FormSheet>
  );
}
