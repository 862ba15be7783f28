import { roles } from '@unity-acre/contract';
import { crewFacts, type Person, type PersonInput, personInput } from '@unity-acre/contract/crew';
import { channels, consents, personKinds } from '@unity-acre/core/crew';
import { type ReactNode, useState } from 'react';
import { useTranslation } from 'react-i18next';
import { v7 as newId } from 'uuid';
import { PersonSelect, presentPeople, useHere, useList, useWrite } from '../../garden/index.ts';
import { Checkbox, DateField, Select } from '../../kit/controls/index.ts';
import { Field, useBodyForm, useRemedy } from '../../kit/forms/index.ts';
import { FormSheet } from '../../kit/screens/index.ts';
import { AtWork } from './AtWork.tsx';
import { AvailabilityField } from './AvailabilityField.tsx';
import { PersonDoors } from './PersonDoors.tsx';
import { listsOf, type WillingBy, willingOf } from './Strains.tsx';

export interface PersonValues
  extends Pick<
    PersonInput,
    'name' | 'role' | 'household' | 'kind' | 'phone' | 'channel' | 'language' | 'beginner' | 'availability'
  > {
  email: string;
  headcount: string;
  children: string;
  waitingSince: string;
  guardianId: string;
  skills: PersonInput['skills'];
  consents: PersonInput['consents'];
  strain: WillingBy;
  /** hours, as typed */
  pledged: string;
  mostPerWeek: string;
  minutesAway: string;
  together: string[];
}

const nobodyYet: PersonInput = {
  ...crewFacts.parse({}),
  name: '',
  email: null,
  role: 'volunteer',
  household: '',
  headcount: 1,
  waitingSince: null,
};

function valuesOf(person: PersonInput): PersonValues {
  const hours = (minutes: number | null) => (minutes === null ? '' : String(minutes / 60));
  return {
    name: person.name,
    email: person.email ?? '',
    role: person.role,
    household: person.household,
    kind: person.kind,
    headcount: String(person.headcount),
    children: String(person.children),
    waitingSince: person.waitingSince ?? '',
    guardianId: person.guardianId ?? '',
    phone: person.phone,
    channel: person.channel,
    language: person.language,
    beginner: person.beginner,
    availability: person.availability,
    skills: person.skills,
    consents: person.consents,
    strain: willingOf(person),
    pledged: hours(person.pledged),
    mostPerWeek: hours(person.mostPerWeek),
    minutesAway: person.minutesAway === null ? '' : String(person.minutesAway),
    together: person.together,
  };
}

/** What the pieces of the form are given of it. */
export type PersonForm = ReturnType<typeof useBodyForm<PersonValues, PersonInput>>;

/** Adds a person or changes one. */
export function PersonSheet({ person, onClose }: { person: Person | null; onClose(): void }) {
  const { t } = useTranslation(['crew', 'people', 'shell', 'kit']);
  const { garden } = useHere();
  const remedy = useRemedy();
  const people = useList('people');
  const [id] = useState(() => person?.id ?? newId());
  const save = useWrite('savePerson', ({ data }) => t('crew:saved', { name: data.name }));
  const remove = useWrite('removePerson', {
    say: () => t('crew:removed', { name: person?.name }),
    refusal: ({ problem }) =>
      problem.code === 'inUse' ? t('crew:inUse', { name: person?.name }) : undefined,
  });
  const form = useBodyForm<PersonValues, PersonInput>({
    draft: `person ${person?.id ?? 'new'}`,
    schema: personInput,
    defaults: valuesOf(person ?? nobodyYet),
    version: person?.version,
    toValues: valuesOf,
    toBody: (values, read) => {
      const minutes = (field: 'pledged' | 'mostPerWeek') =>
        values[field].trim() === '' ? null : Math.round(read.number(field, values[field]) * 60);
      const isGroup = values.kind === 'group';
      const isMinor = values.kind === 'minor';
      return {
        name: values.name,
        email: values.email.trim() === '' ? null : values.email,
        role: values.role,
        household: values.household,
        kind: values.kind,
        headcount: isGroup ? read.number('headcount', values.headcount) : 1,
        children: isGroup ? read.number('children', values.children) : 0,
        waitingSince: values.waitingSince || null,
        guardianId: isMinor ? values.guardianId || null : null,
        phone: values.phone,
        channel: values.channel,
        language: values.language,
        beginner: values.beginner,
        availability: values.availability,
        skills: values.skills,
        consents: isMinor ? values.consents : [],
        ...listsOf(values.strain),
        pledged: minutes('pledged'),
        mostPerWeek: minutes('mostPerWeek'),
        minutesAway: values.minutesAway.trim() === '' ? null : read.number('minutesAway', values.minutesAway),
        together: values.together,
      };
    },
    send: async (body, ifMatch) => {
      await save.mutateAsync({ params: { id }, body, ifMatch });
      onClose();
    },
  });
  const { errors } = form.formState;
  const kind = form.watch('kind');
  const others = presentPeople(people.data, person?.guardianId).filter((one) => one.id !== id);
  return (
    <FormSheet
      of={form}
      title={person ? person.name : t('crew:add')}
      onClose={onClose}
      className="flex flex-col gap-6"
      onRemove={
        person
          ? () => remove.mutate({ params: { id }, ifMatch: person.version }, { onSuccess: onClose })
          : undefined
      }
    >
      <Part title={t('people:sections.who')}>
        <Field label={t('crew:name')} hint={t('crew:nameHint')} name="name">
          {(props) => <input {...props} {...form.register('name')} className="input" autoComplete="off" />}
        </Field>
        <Field label={t('people:kind')} name="kind">
          {(props) => (
            <Select
              {...props}
              {...form.control('kind')}
              options={personKinds.map((one) => ({ value: one, label: t(`people:kinds.${one}`) }))}
            />
          )}
        </Field>
        {kind === 'group' && (
          <div className="grid grid-cols-2 gap-4">
            <Field label={t('crew:headcount')} name="headcount">
              {(props) => (
                <input {...props} {...form.register('headcount')} inputMode="numeric" className="input" />
              )}
            </Field>
            <Field label={t('people:children')} name="children">
              {(props) => (
                <input {...props} {...form.register('children')} inputMode="numeric" className="input" />
              )}
            </Field>
          </div>
        )}
        {kind === 'minor' && (
          <Field label={t('people:guardian')} hint={t('people:guardianHint')} name="guardianId">
            {(props) => (
              <PersonSelect
                {...props}
                {...form.control('guardianId')}
                none={t('people:noGuardian')}
                people={others.filter((one) => one.kind === 'adult')}
              />
            )}
          </Field>
        )}
        {kind === 'minor' && (
          <fieldset>
            <legend className="font-semibold text-sm">{t('people:consents')}</legend>
            {consents.map((one) => (
              <Checkbox key={one} label={t(`people:consent.${one}`)} {...form.checkIn('consents', one)} />
            ))}
          </fieldset>
        )}
        <Field label={t('crew:role')} name="role">
          {(props) => (
            <Select
              {...props}
              {...form.control('role')}
              options={roles.map((role) => ({ value: role, label: t(`shell:role.${role}`) }))}
            />
          )}
        </Field>
        <Field label={t('crew:household')} name="household">
          {(props) => <input {...props} {...form.register('household')} className="input" />}
        </Field>
      </Part>
      <Part title={t('people:sections.reach')}>
        <Field label={t('crew:email')} hint={t('crew:emailHint')} name="email">
          {(props) => (
            <input {...props} {...form.register('email')} type="email" className="input" autoComplete="off" />
          )}
        </Field>
        <Field label={t('people:phone')} name="phone">
          {(props) => (
            <input {...props} {...form.register('phone')} type="tel" className="input" autoComplete="off" />
          )}
        </Field>
        <div className="grid grid-cols-2 gap-4">
          <Field label={t('people:channel')} name="channel">
            {(props) => (
              <Select
                {...props}
                {...form.control('channel')}
                options={channels.map((channel) => ({
                  value: channel,
                  label: t(`people:channels.${channel}`),
                }))}
              />
            )}
          </Field>
          <Field label={t('people:language')} name="language">
            {(props) => (
              <Select
                {...props}
                {...form.control('language')}
                options={[
                  { value: 'en', label: 'English' },
                  { value: 'es', label: 'Español' },
                ]}
              />
            )}
          </Field>
        </div>
      </Part>
      <Part title={t('people:sections.when')}>
        <AvailabilityField
          value={form.watch('availability')}
          today={garden.today}
          onChange={(value) => form.setValue('availability', value, { shouldDirty: true })}
        />
        {errors.availability && (
          <p role="alert" className="text-beet text-sm">
            {remedy(String(errors.availability.message))}
          </p>
        )}
      </Part>
      <Part title={t('people:sections.work')}>
        <AtWork form={form} others={others} />
      </Part>
      <Part title={t('people:sections.hours')}>
        <div className="grid grid-cols-2 gap-4">
          <Field label={t('people:pledged')} name="pledged">
            {(props) => (
              <input {...props} {...form.register('pledged')} inputMode="decimal" className="input" />
            )}
          </Field>
          <Field label={t('people:mostPerWeek')} name="mostPerWeek">
            {(props) => (
              <input {...props} {...form.register('mostPerWeek')} inputMode="decimal" className="input" />
            )}
          </Field>
          <Field label={t('people:minutesAway')} name="minutesAway">
            {(props) => (
              <input {...props} {...form.register('minutesAway')} inputMode="numeric" className="input" />
            )}
          </Field>
        </div>
        <Field label={t('crew:waitingLabel')} hint={t('crew:waitingHint')} name="waitingSince">
          {(props) => <DateField {...props} {...form.control('waitingSince')} />}
        </Field>
      </Part>
      {person && <PersonDoors person={person} onDone={onClose} />}
    </FormSheet>
  );
}

function Part({ title, children }: { title: string; children: ReactNode }) {
  return (
    <section className="flex flex-col gap-3">
      <h3 className="border-line-strong border-b pb-0.5">{title}</h3>
      {children}
    </section>
  );
}
