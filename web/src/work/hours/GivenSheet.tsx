import { type GivenInput, givenInput, type HoursOf } from '@unity-acre/contract/work';
import { useState } from 'react';
import { useTranslation } from 'react-i18next';
import { v7 as newId } from 'uuid';
import { PersonSelect, useHere, useMeasure, useWrite } from '../../garden/index.ts';
import { DateField } from '../../kit/controls/index.ts';
import { Field, useBodyForm } from '../../kit/forms/index.ts';
import { FormSheet } from '../../kit/screens/index.ts';

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
    draft: `hours ${visit?.given ? id : 'new'}`,
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
  return (
    <FormSheet
      of={form}
      title={t('hours.log')}
      onClose={onClose}
      onRemove={
        visit
          ? () => remove.mutate({ params: { id }, ifMatch: visit.given! }, { onSuccess: onClose })
          : undefined
      }
    >
      <Field label={t('hours.person')} name="personId">
        {(props) => (
          <PersonSelect
            {...props}
            {...form.control('personId')}
            disabled={visit !== null}
            people={people.map((one) => ({ id: one.personId, name: one.name }))}
          />
        )}
      </Field>
      <Field label={t('hours.what')} hint={t('hours.whatHint')} name="what">
        {(props) => <input {...props} {...form.register('what')} className="input" />}
      </Field>
      <div className="grid grid-cols-2 items-start gap-4">
        <Field label={t('hours.on')} name="on">
          {(props) => <DateField {...props} {...form.control('on')} />}
        </Field>
        <Field label={t('hours.howLong')} name="minutes">
          {(props) => (
            <input {...props} {...form.register('minutes')} inputMode="decimal" className="input" />
          )}
        </Field>
      </div>
    </FormSheet>
  );
}
