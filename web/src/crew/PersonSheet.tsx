import { roles } from '@unity-acre/contract';
import { crewFacts, type Person, type PersonInput, personInput } from '@unity-acre/contract/crew';
import { channels, consents, personKinds } from '@unity-acre/core/crew';
import { type ReactNode, useState } from 'react';
import { useTranslation } from 'react-i18next';
import { v7 as newId } from 'uuid';
import { Field, useBodyForm, useRemedy } from '../kit/form.tsx';
import { presentPeople, useHere, useList, useWrite } from '../kit/garden.ts';
import { RefusedNote } from '../kit/RefusedNote.tsx';
import { Sheet } from '../kit/Sheet.tsx';
import { SheetActions } from '../kit/SheetActions.tsx';
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

/** Adds a person or changes one. */
export function PersonSheet({ person, onClose }: { person: Person | null; onClose(): void }) {
  const { t } = useTranslation(['crew', 'people', 'shell', 'kit']);
  const { garden } = useHere();
  const remedy = useRemedy();
  const people = useList('people');
  const [id] = useState(() => person?.id ?? newId());
  const save = useWrite('savePerson', ({ data }) => t('crew:saved', { name: data.name }));
  const remove = useWrite('removePerson', () => t('crew:removed', { name: person?.name }));
  const form = useBodyForm<PersonValues, PersonInput>({
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
    <Sheet open title={person ? person.name : t('crew:add')} onClose={onClose}>
      <form onSubmit={form.submit} noValidate className="flex flex-col gap-6">
        <Part title={t('people:sections.who')}>
          <Field label={t('crew:name')} hint={t('crew:nameHint')} error={errors.name?.message}>
            {(props) => <input {...props} {...form.register('name')} className="input" autoComplete="off" />}
          </Field>
          <Field label={t('people:kind')} error={errors.kind?.message}>
            {(props) => (
              <select {...props} {...form.register('kind')} className="input">
                {personKinds.map((one) => (
                  <option key={one} value={one}>
                    {t(`people:kinds.${one}`)}
                  </option>
                ))}
              </select>
            )}
          </Field>
          {kind === 'group' && (
            <div className="grid grid-cols-2 gap-4">
              <Field label={t('crew:headcount')} error={errors.headcount?.message}>
                {(props) => (
                  <input {...props} {...form.register('headcount')} inputMode="numeric" className="input" />
                )}
              </Field>
              <Field label={t('people:children')} error={errors.children?.message}>
                {(props) => (
                  <input {...props} {...form.register('children')} inputMode="numeric" className="input" />
                )}
              </Field>
            </div>
          )}
          {kind === 'minor' && (
            <Field
              label={t('people:guardian')}
              hint={t('people:guardianHint')}
              error={errors.guardianId?.message}
            >
              {(props) => (
                <select {...props} {...form.register('guardianId')} className="input">
                  <option value="">{t('people:noGuardian')}</option>
                  {others
                    .filter((one) => one.kind === 'adult')
                    .map((one) => (
                      <option key={one.id} value={one.id}>
                        {one.name}
                      </option>
                    ))}
                </select>
              )}
            </Field>
          )}
          {kind === 'minor' && (
            <fieldset>
              <legend className="font-semibold text-sm">{t('people:consents')}</legend>
              {consents.map((one) => (
                <label key={one} className="flex min-h-target items-center gap-3">
                  <input
                    type="checkbox"
                    value={one}
                    {...form.register('consents')}
                    className="size-5 shrink-0 accent-blossom-deep"
                  />
                  {t(`people:consent.${one}`)}
                </label>
              ))}
            </fieldset>
          )}
          <Field label={t('crew:role')} error={errors.role?.message}>
            {(props) => (
              <select {...props} {...form.register('role')} className="input">
                {roles.map((role) => (
                  <option key={role} value={role}>
                    {t(`shell:role.${role}`)}
                  </option>
                ))}
              </select>
            )}
          </Field>
          <Field label={t('crew:household')} error={errors.household?.message}>
            {(props) => <input {...props} {...form.register('household')} className="input" />}
          </Field>
        </Part>
        <Part title={t('people:sections.reach')}>
          <Field label={t('crew:email')} hint={t('crew:emailHint')} error={errors.email?.message}>
            {(props) => (
              <input
                {...props}
                {...form.register('email')}
                type="email"
                className="input"
                autoComplete="off"
              />
            )}
          </Field>
          <Field label={t('people:phone')} error={errors.phone?.message}>
            {(props) => (
              <input {...props} {...form.register('phone')} type="tel" className="input" autoComplete="off" />
            )}
          </Field>
          <div className="grid grid-cols-2 gap-4">
            <Field label={t('people:channel')} error={errors.channel?.message}>
              {(props) => (
                <select {...props} {...form.register('channel')} className="input">
                  {channels.map((channel) => (
                    <option key={channel} value={channel}>
                      {t(`people:channels.${channel}`)}
                    </option>
                  ))}
                </select>
              )}
            </Field>
            <Field label={t('people:language')} error={errors.language?.message}>
              {(props) => (
                <select {...props} {...form.register('language')} className="input">
                  <option value="en">English</option>
                  <option value="es">Español</option>
                </select>
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
            <Field label={t('people:pledged')} error={errors.pledged?.message}>
              {(props) => (
                <input {...props} {...form.register('pledged')} inputMode="decimal" className="input" />
              )}
            </Field>
            <Field label={t('people:mostPerWeek')} error={errors.mostPerWeek?.message}>
              {(props) => (
                <input {...props} {...form.register('mostPerWeek')} inputMode="decimal" className="input" />
              )}
            </Field>
            <Field label={t('people:minutesAway')} error={errors.minutesAway?.message}>
              {(props) => (
                <input {...props} {...form.register('minutesAway')} inputMode="numeric" className="input" />
              )}
            </Field>
          </div>
          <Field
            label={t('crew:waitingLabel')}
            hint={t('crew:waitingHint')}
            error={errors.waitingSince?.message}
          >
            {(props) => <input {...props} {...form.register('waitingSince')} type="date" className="input" />}
          </Field>
        </Part>
        {person && <PersonDoors person={person} onDone={onClose} />}
        <RefusedNote refused={form.refused ?? remove.error} clash={form.clash} />
        <SheetActions
          busy={form.busy}
          onCancel={onClose}
          onRemove={
            person
              ? () => remove.mutate({ params: { id }, ifMatch: person.version }, { onSuccess: onClose })
              : undefined
          }
        />
      </form>
    </Sheet>
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
