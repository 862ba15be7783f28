import type { Person } from '@unity-acre/contract/crew';
import { type Session, workDoneInput } from '@unity-acre/contract/work';
import { headsOf } from '@unity-acre/core/crew';
import { useTranslation } from 'react-i18next';
import { Button, Select } from '../../kit/controls/index.ts';
import { Field, Form, useBodyForm } from '../../kit/forms/index.ts';
import { usePartsDone } from '../usePartsDone.ts';

type Body = Omit<Session['work'][number], 'taskId'>;

interface Props {
  asks: 'done' | 'stuck';
  work: Body;
  /** the minutes to begin with */
  minutes: number;
  crew: Person[];
  onKeep(over: Partial<Body>): void;
  onCancel(): void;
}

/** What a task took and who was at it, or what keeps it. The garden learns its pace from it. */
export function TookForm({ asks, work, minutes, crew, onKeep, onCancel }: Props) {
  const { t } = useTranslation(['day', 'kit']);
  const parts = usePartsDone();
  const heads = { adults: 0, beginners: 0, children: 0 };
  for (const { kind, headcount, children, beginner } of crew) {
    const own = headsOf(kind, headcount, children);
    heads.children += own.children;
    heads[beginner ? 'beginners' : 'adults'] += own.adults;
  }
  const isNew = work.adults + work.beginners + work.children === 0;
  const from = isNew ? (crew.length > 0 ? heads : { ...heads, adults: 1 }) : work;
  const form = useBodyForm({
    draft: null,
    schema: workDoneInput,
    defaults: {
      minutes: String(work.minutes ?? minutes),
      adults: String(from.adults),
      beginners: String(from.beginners),
      children: String(from.children),
      note: work.note,
      share: work.share === null ? '' : String(work.share),
    },
    toBody: (values, read) => ({
      ...work,
      state: asks,
      note: values.note,
      share: asks === 'stuck' && values.share !== '' ? Number(values.share) : null,
      ...(asks === 'done' && {
        minutes: read.number('minutes', values.minutes),
        adults: read.number('adults', values.adults),
        beginners: read.number('beginners', values.beginners),
        children: read.number('children', values.children),
      }),
    }),
    send: async (body) => onKeep(body),
  });
  const count = ['minutes', 'adults', 'beginners', 'children'] as const;
  const words = {
    minutes: 'minutes',
    adults: 'practised',
    beginners: 'beginners',
    children: 'children',
  } as const;
  return (
    <Form of={form} className="mt-2 border-straw border-l-8 bg-straw-soft p-3 print:hidden">
      <p className="font-semibold">{t(asks === 'done' ? 'day:took' : 'day:stuckHow')}</p>
      {asks === 'done' && (
        <div className="mt-2 grid grid-cols-2 gap-3 sm:grid-cols-4">
          {count.map((name) => (
            <Field key={name} label={t(`day:${words[name]}`)} name={name}>
              {(props) => <input {...props} {...form.register(name)} inputMode="numeric" className="input" />}
            </Field>
          ))}
        </div>
      )}
      <div className="mt-2 flex flex-col gap-3">
        {asks === 'stuck' && (
          <Field label={t('day:howMuch')} name="share">
            {(props) => (
              <Select
                {...props}
                {...form.control('share')}
                options={[{ value: '', label: t('day:nothingYet') }, ...parts]}
              />
            )}
          </Field>
        )}
        <Field label={t('day:notes')} name="note">
          {(props) => <input {...props} {...form.register('note')} className="input" />}
        </Field>
      </div>
      <div className="mt-3 flex flex-wrap gap-2">
        <Button type="submit" look="act">
          {t(asks === 'done' ? 'day:keepDone' : 'day:stuckKeep')}
        </Button>
        <Button onClick={onCancel}>{t('kit:cancel')}</Button>
      </div>
    </Form>
  );
}
