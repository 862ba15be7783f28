import { setUpInput } from '@unity-acre/contract/crew';
import { useState } from 'react';
import { useTranslation } from 'react-i18next';
import { Navigate, useNavigate } from 'react-router';
import { v7 as newId } from 'uuid';
import { useBecome, useMe } from '../../garden/index.ts';
import { ask } from '../../kit/ask.ts';
import { Button } from '../../kit/controls/index.ts';
import { useDates } from '../../kit/dates.ts';
import { Field, Form, FormFaults, useBodyForm } from '../../kit/forms/index.ts';
import { Loaded, Title } from '../../kit/screens/index.ts';
import { GardenFields } from './GardenFields.tsx';
import { emptyGarden, type GardenValues, gardenBody, gardenField } from './gardenForm.ts';

type Values = GardenValues & { person: string; email: string; password: string };

/** The schema's fields lie in two groups; the form's lie flat. */
const flat = (path: string) =>
  gardenField(path.replace('coordinator.name', 'person').replace(/^(garden|coordinator)\./, ''));

/** First run: the garden and the one who coordinates it. */
export default function SetUp() {
  const me = useMe();
  const { t } = useTranslation('place');
  const dates = useDates();
  const become = useBecome();
  const navigate = useNavigate();
  const [ids] = useState(() => ({ garden: newId(), person: newId() }));
  const form = useBodyForm<Values, ReturnType<typeof setUpInput.parse>>({
    schema: setUpInput,
    draft: 'set-up',
    secrets: ['password'],
    flat,
    defaults: { ...emptyGarden(), person: '', email: '', password: '' },
    toBody: (values, read) => ({
      id: ids.garden,
      coordinator: { id: ids.person, name: values.person, email: values.email, password: values.password },
      garden: gardenBody(values, read, dates),
      normals: values.means,
    }),
    send: async (body) => {
      const { data } = await ask('setUp', { body });
      become(data);
      await navigate('/');
    },
  });
  if (me.data?.setUp) return <Navigate to="/" replace />;
  return (
    <Loaded of={me}>
      {() => (
        <Form of={form} className="flex max-w-2xl flex-col gap-5">
          <div>
            <Title>{t('setUp.title')}</Title>
            <p className="mt-2 text-ink-soft">{t('setUp.lead')}</p>
          </div>
          <section className="furrow flex flex-col gap-4">
            <h2>{t('setUp.garden')}</h2>
            <GardenFields form={form as never} />
          </section>
          <section className="furrow flex flex-col gap-4">
            <h2>{t('setUp.you')}</h2>
            <Field label={t('setUp.name')} name="person">
              {(props) => (
                <input {...props} {...form.register('person')} className="input" autoComplete="name" />
              )}
            </Field>
            <Field label={t('setUp.email')} name="email">
              {(props) => (
                <input
                  {...props}
                  {...form.register('email')}
                  type="email"
                  className="input"
                  autoComplete="username"
                />
              )}
            </Field>
            <Field label={t('setUp.password')} hint={t('setUp.passwordHint')} name="password">
              {(props) => (
                <input
                  {...props}
                  {...form.register('password')}
                  type="password"
                  className="input"
                  autoComplete="new-password"
                />
              )}
            </Field>
          </section>
          <FormFaults />
          <Button type="submit" look="act" disabled={form.busy} className="self-start">
            {t('setUp.begin')}
          </Button>
        </Form>
      )}
    </Loaded>
  );
}
