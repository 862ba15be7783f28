import { roles } from '@unity-acre/contract';
import { type Person, personInput } from '@unity-acre/contract/crew';
import { useState } from 'react';
import { useTranslation } from 'react-i18next';
import { v7 as newId } from 'uuid';
import { Field, useBodyForm } from '../kit/form.tsx';
import { useWrite } from '../kit/garden.ts';
import { RefusedNote } from '../kit/RefusedNote.tsx';
import { Sheet } from '../kit/Sheet.tsx';
import { SheetActions } from '../kit/SheetActions.tsx';

interface Values {
  name: string;
  email: string;
  role: (typeof roles)[number];
  household: string;
  headcount: string;
  waitingSince: string;
}

const valuesOf = (person: Person | null): Values => ({
  name: person?.name ?? '',
  email: person?.email ?? '',
  role: person?.role ?? 'volunteer',
  household: person?.household ?? '',
  headcount: String(person?.headcount ?? 1),
  waitingSince: person?.waitingSince ?? '',
});

/** Adds a person or changes one. */
export function PersonSheet({ person, onClose }: { person: Person | null; onClose(): void }) {
  const { t } = useTranslation(['crew', 'shell', 'kit']);
  const [id] = useState(() => person?.id ?? newId());
  const save = useWrite('savePerson', ({ data }) => t('crew:saved', { name: data.name }));
  const remove = useWrite('removePerson', () => t('crew:removed', { name: person?.name }));
  const form = useBodyForm<Values, ReturnType<typeof personInput.parse>>({
    schema: personInput,
    defaults: valuesOf(person),
    version: person?.version,
    toValues: valuesOf,
    toBody: (values, read) => ({
      name: values.name,
      email: values.email.trim() === '' ? null : values.email,
      role: values.role,
      household: values.household,
      headcount: read.number('headcount', values.headcount),
      waitingSince: values.waitingSince || null,
    }),
    send: async (body, ifMatch) => {
      await save.mutateAsync({ params: { id }, body, ifMatch });
      onClose();
    },
  });
  const { errors } = form.formState;
  return (
    <Sheet open title={person ? person.name : t('crew:add')} onClose={onClose}>
      <form onSubmit={form.submit} noValidate className="flex flex-col gap-4">
        <Field label={t('crew:name')} hint={t('crew:nameHint')} error={errors.name?.message}>
          {(props) => <input {...props} {...form.register('name')} className="input" autoComplete="off" />}
        </Field>
        <Field label={t('crew:email')} hint={t('crew:emailHint')} error={errors.email?.message}>
          {(props) => (
            <input {...props} {...form.register('email')} type="email" className="input" autoComplete="off" />
          )}
        </Field>
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
        <Field label={t('crew:headcount')} hint={t('crew:headcountHint')} error={errors.headcount?.message}>
          {(props) => (
            <input {...props} {...form.register('headcount')} inputMode="numeric" className="input" />
          )}
        </Field>
        <Field
          label={t('crew:waitingLabel')}
          hint={t('crew:waitingHint')}
          error={errors.waitingSince?.message}
        >
          {(props) => <input {...props} {...form.register('waitingSince')} type="date" className="input" />}
        </Field>
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
