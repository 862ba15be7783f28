import { setUpInput } from '@unity-acre/contract/crew';
import { useState } from 'react';
import { useTranslation } from 'react-i18next';
import { Navigate, useNavigate } from 'react-router';
import { v7 as newId } from 'uuid';
import { ask } from '../kit/ask.ts';
import { Button } from '../kit/Button.tsx';
import { Field, useBodyForm } from '../kit/form.tsx';
import { RefusedNote } from '../kit/RefusedNote.tsx';
import { Loaded } from '../kit/states.tsx';
import { useBecome, useMe } from '../shell/me.ts';
import { emptyGarden, GardenFields, type GardenValues, gardenBody } from './gardenForm.tsx';

type Values = GardenValues & { person: string; email: string; password: string };

/** The schema's fields lie in two groups; the form's lie flat. */
const flat = (path: string) =>
  path.replace('coordinator.name', 'person').replace(/^(garden|coordinator)\./, '');

/** First run: the garden and the one who coordinates it. */
export default function SetUp() {
  const me = useMe();
  const { t } = useTranslation('place');
  const become = useBecome();
  const navigate = useNavigate();
  const [ids] = useState(() => ({ garden: newId(), person: newId() }));
  const form = useBodyForm<Values, ReturnType<typeof setUpInput.parse>>({
    schema: setUpInput,
    flat,
    defaults: { ...emptyGarden(), person: '', email: '', password: '' },
    toBody: (values, read) => ({
      id: ids.garden,
      coordinator: { id: ids.person, name: values.person, email: values.email, password: values.password },
      garden: gardenBody(values, read),
    }),
    send: async (body) => {
      const { data } = await ask('setUp', { body });
      become(data);
      await navigate('/');
    },
  });
  const { errors } = form.formState;
  if (me.data?.setUp) return <Navigate to="/" replace />;
  return (
    <Loaded of={me}>
      {() => (
        <form onSubmit={form.submit} noValidate className="flex max-w-2xl flex-col gap-5">
          <div>
            <h1>{t('setUp.title')}</h1>
            <p className="mt-2 text-ink-soft">{t('setUp.lead')}</p>
          </div>
          <section className="furrow flex flex-col gap-4">
            <h2>{t('setUp.garden')}</h2>
            <GardenFields register={form.register as never} errors={errors} values={form.watch()} />
          </section>
          <section className="furrow flex flex-col gap-4">
            <h2>{t('setUp.you')}</h2>
            <Field label={t('setUp.name')} error={errors.person?.message}>
              {(props) => (
                <input {...props} {...form.register('person')} className="input" autoComplete="name" />
              )}
            </Field>
            <Field label={t('setUp.email')} error={errors.email?.message}>
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
            <Field
              label={t('setUp.password')}
              hint={t('setUp.passwordHint')}
              error={errors.password?.message}
            >
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
          <RefusedNote refused={form.refused} />
          <Button type="submit" look="act" disabled={form.busy} className="self-start">
            {t('setUp.begin')}
          </Button>
        </form>
      )}
    </Loaded>
  );
}
