import { type GivenInput, givenInput, type HoursOf } from '@unity-acre/contract/work';
import { useState } from 'react';
import { useTranslation } from 'react-i18next';
import { v7 as newId } from 'uuid';
import { Field, useBodyForm } from '../../kit/form.tsx';
import { useHere, useWrite } from '../../kit/garden.ts';
import { useMeasure } from '../../kit/measure.ts';
import { RefusedNote } from '../../kit/RefusedNote.tsx';
import { Sheet } from '../../kit/Sheet.tsx';
import { SheetActions } from '../../kit/SheetActions.tsx';

export type Visit = HoursOf['visits'][number];

interface Props {
  /** whose hours the caller may log */
  people: readonly Pick<HoursOf, 'personId' | 'name'>[];
  personId: string;
  /** time logged before, to be corrected; null for new */
  visit: Visit | null;
  onClose(): void;
}

/** Hours as they are typed, to the hundredth: near enough to find the minute again. */
const asHours = (minutes: number): string => String(Math.round((minutes / 60) * 100) / 100);

/** Logs hours somebody gave outside the sessions. */
export function GivenSheet({ people, personId, visit, onClose }: Props) {
  const { t } = useTranslation('day');
  const { garden } = useHere();
  const { number } = useMeasure();
  const [id] = useState(() => visit?.id ?? newId());
  const nameOf = (one: string) => people.find((person) => person.personId === one)?.name ?? '';
  const save = useWrite('saveGiven', ({ data }) =>
    t('hours.logged', { hours: number(data.minutes / 60, 1), name: nameOf(data.personId) }),
  );
  const remove = useWrite('removeGiven', () => t('hours.removed', { name: nameOf(personId) }));
  const valuesOf = ({ minutes, ...given }: GivenInput) => ({ ...given, minutes: asHours(minutes) });
  const form = useBodyForm({
    schema: givenInput,
    defaults: visit
      ? valuesOf({ personId, on: visit.on, minutes: visit.minutes, what: visit.title })
      : { personId, on: garden.today, minutes: '', what: '' },
    version: visit?.given ?? undefined,
    toValues: valuesOf,
    toBody: (values, read) => ({
      personId: values.personId,
      on: values.on,
      minutes: Math.round(read.number('minutes', values.minutes) * 60),
      what: values.what,
    }),
    send: async (body, ifMatch) => {
      await save.mutateAsync({ params: { id }, body, ifMatch });
      onClose();
    },
  });
  const { errors } = form.formState;
  return (
    <Sheet open title={t('hours.log')} onClose={onClose}>
      <form onSubmit={form.submit} noValidate className="flex flex-col gap-4">
        <Field label={t('hours.person')} error={errors.personId?.message}>
          {(props) => (
            <select {...props} {...form.register('personId')} className="input" disabled={visit !== null}>
              {people.map((one) => (
                <option key={one.personId} value={one.personId}>
                  {one.name}
                </option>
              ))}
            </select>
          )}
        </Field>
        <Field label={t('hours.what')} hint={t('hours.whatHint')} error={errors.what?.message}>
          {(props) => <input {...props} {...form.register('what')} className="input" />}
        </Field>
        <div className="grid grid-cols-2 items-start gap-4">
          <Field label={t('hours.on')} error={errors.on?.message}>
            {(props) => <input {...props} {...form.register('on')} type="date" className="input" />}
          </Field>
          <Field label={t('hours.howLong')} error={errors.minutes && 'hoursRange'}>
            {(props) => (
              <input {...props} {...form.register('minutes')} inputMode="decimal" className="input" />
            )}
          </Field>
        </div>
        <RefusedNote refused={form.refused} clash={form.clash} />
        <SheetActions
          busy={form.busy}
          onCancel={onClose}
          onRemove={
            visit
              ? () => remove.mutate({ params: { id }, ifMatch: visit.given! }, { onSuccess: onClose })
              : undefined
          }
        />
      </form>
    </Sheet>
  );
}
