import { type Round, type RoundInput, roundInput } from '@unity-acre/contract/work';
import { groundArea } from '@unity-acre/core/ground';
import { roundKinds, roundMinutes, roundRow } from '@unity-acre/core/work';
import { useState } from 'react';
import { useTranslation } from 'react-i18next';
import { v7 as newId } from 'uuid';
import { useHere, useList, useWrite } from '../../garden/index.ts';
import { Checkbox, ScrollArea, Select } from '../../kit/controls/index.ts';
import { Field, useBodyForm } from '../../kit/forms/index.ts';
import { FormSheet } from '../../kit/screens/index.ts';
import { AskedFields } from './AskedFields.tsx';
import { everyOf, type Repeat, repeatOf } from './repeat.ts';
import { WhenFields } from './WhenFields.tsx';

/** What is typed about a round. */
interface RoundValues {
  kind: Round['kind'];
  title: string;
  bedIds: string[];
  first: string;
  repeat: Repeat;
  every: string;
  until: string;
  span: string;
  minutes: string;
  fewest: string;
  most: string;
  skill: string;
  tools: string;
  note: string;
}

const written = (value: number | null): string => (value === null ? '' : String(value));

const valuesOf = ({ id: _, version: __, monthly, ...row }: Round): RoundValues => ({
  ...row,
  bedIds: [...row.bedIds].sort(),
  repeat: repeatOf({ ...row, monthly }),
  every: written(row.every),
  until: row.until ?? '',
  span: String(row.span),
  minutes: written(row.minutes),
  fewest: written(row.fewest),
  most: written(row.most),
  skill: row.skill ?? '',
  tools: row.tools.join('\n'),
});

/** The form of a round: what, where, when, and what it asks of people. */
export type RoundForm = ReturnType<typeof useRoundForm>;

function useRoundForm(round: Round | null, onClose: () => void) {
  const { t } = useTranslation(['day', 'cards']);
  const { garden } = useHere();
  const [id] = useState(() => round?.id ?? newId());
  const save = useWrite('saveRound', ({ data }) =>
    t('care.saved', { what: data.title || t(`cards:${data.kind}.name`) }),
  );
  return useBodyForm<RoundValues, RoundInput>({
    draft: `round ${round?.id ?? 'new'}`,
    schema: roundInput,
    defaults: round
      ? valuesOf(round)
      : {
          ...{ kind: 'weed', title: '', bedIds: [], first: garden.today, repeat: 'weekly', every: '' },
          ...{ until: '', span: '7', minutes: '', fewest: '', most: '', skill: '', tools: '', note: '' },
        },
    version: round?.version,
    toValues: valuesOf,
    toBody: ({ repeat, ...values }, read) => {
      const number = (field: 'every' | 'minutes' | 'fewest' | 'most') =>
        values[field].trim() === '' ? null : read.number(field, values[field]);
      const every = everyOf(repeat);
      return {
        ...values,
        every: every === undefined ? read.number('every', values.every) : every,
        monthly: repeat === 'monthly',
        until: values.until || null,
        span: read.number('span', values.span),
        minutes: number('minutes'),
        fewest: number('fewest'),
        most: number('most'),
        skill: values.skill || null,
        tools: values.tools.split('\n').filter((tool) => tool.trim() !== ''),
      };
    },
    send: async (body, ifMatch) => {
      await save.mutateAsync({ params: { id }, body, ifMatch });
      onClose();
    },
  });
}

/** Plans work that follows from no planting, or changes it. */
export function RoundSheet({ round, onClose }: { round: Round | null; onClose(): void }) {
  const { t } = useTranslation(['day', 'cards']);
  const beds = useList('beds').data ?? [];
  const remove = useWrite('removeRound', () => t('care.removed'));
  const form = useRoundForm(round, onClose);
  const kind = form.watch('kind');
  const chosen = form.watch('bedIds');
  const area = beds.filter((bed) => chosen.includes(bed.id)).reduce((sum, bed) => sum + groundArea(bed), 0);
  return (
    <FormSheet
      of={form}
      title={round ? round.title || t(`cards:${round.kind}.name`) : t('care.add')}
      onClose={onClose}
      onRemove={
        round
          ? () => remove.mutate({ params: { id: round.id }, ifMatch: round.version }, { onSuccess: onClose })
          : undefined
      }
    >
      <Field name="kind" label={t('care.kindLabel')}>
        {(props) => (
          <Select
            {...props}
            {...form.control('kind')}
            disabled={round !== null}
            options={roundKinds.map((one) => ({ value: one, label: t(`cards:${one}.name`) }))}
          />
        )}
      </Field>
      <Field name="title" label={t('care.titleLabel')} hint={t('care.titleHint')}>
        {(props) => <input {...props} {...form.register('title')} className="input" />}
      </Field>
      <fieldset>
        <legend className="font-semibold text-sm">{t('care.beds')}</legend>
        <p className="text-ink-soft text-sm">{t('care.bedsHint')}</p>
        <ScrollArea label={t('care.beds')} className="h-52">
          <ul className="grid grid-cols-2">
            {beds.map((bed) => (
              <li key={bed.id}>
                <Checkbox label={bed.name} {...form.checkIn('bedIds', bed.id)} />
              </li>
            ))}
          </ul>
        </ScrollArea>
      </fieldset>
      <WhenFields form={form} />
      <AskedFields form={form} usual={roundRow(kind).needs} minutes={roundMinutes(kind, area)} />
      <Field label={t('care.note')} name="note">
        {(props) => <textarea {...props} {...form.register('note')} rows={2} className="input" />}
      </Field>
    </FormSheet>
  );
}
