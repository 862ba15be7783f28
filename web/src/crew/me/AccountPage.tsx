import { useQuery, useQueryClient } from '@tanstack/react-query';
import { emailInput, passwordInput } from '@unity-acre/contract/crew';
import { useTranslation } from 'react-i18next';
import { useBecome, useMe, useWrite } from '../../garden/index.ts';
import { ask } from '../../kit/ask.ts';
import { Button } from '../../kit/controls/index.ts';
import { useDates } from '../../kit/dates.ts';
import { Field, Form, FormFaults, useBodyForm } from '../../kit/forms/index.ts';
import { Loaded, Screen, useNotices } from '../../kit/screens/index.ts';
import { PasswordField } from '../access/index.ts';
import { browserName } from './browserName.ts';
import { DateChoice } from './DateChoice.tsx';

/** One's own account: what one signs in with, and where. */
export default function AccountPage() {
  const { t } = useTranslation('account');
  const me = useMe();
  return (
    <Screen title={t('title')} className="flex flex-col gap-7">
      <p className="max-w-prose text-ink-soft">{t('lead', { email: me.data?.account?.email ?? '' })}</p>
      <div className="grid gap-10 xl:grid-cols-2">
        <div className="flex flex-col gap-8">
          <PasswordForm />
          <EmailForm />
        </div>
        <div className="flex flex-col gap-8">
          <DateChoice />
          <Devices />
        </div>
      </div>
    </Screen>
  );
}

function PasswordForm() {
  const { t } = useTranslation(['account', 'crew']);
  const become = useBecome();
  const show = useNotices((notices) => notices.show);
  const form = useBodyForm({
    draft: null,
    schema: passwordInput,
    defaults: { current: '', password: '' },
    toBody: (values) => values,
    send: async (body) => {
      const { data } = await ask('savePassword', { body });
      become(data);
      form.reset({ current: '', password: '' });
      show({ text: t('account:password.saved') });
    },
  });
  return (
    <Form of={form} className="furrow flex max-w-lg flex-col gap-4">
      <h2>{t('account:password.title')}</h2>
      <PasswordField label={t('account:current')} field={form.register('current')} />
      <PasswordField
        label={t('account:password.next')}
        hint={t('account:password.hint')}
        field={form.register('password')}
        isNew
      />
      <FormFaults />
      <Button type="submit" look="act" disabled={form.busy} className="self-start">
        {t('account:password.go')}
      </Button>
    </Form>
  );
}

function EmailForm() {
  const { t } = useTranslation(['account', 'crew']);
  const become = useBecome();
  const show = useNotices((notices) => notices.show);
  const form = useBodyForm({
    draft: null,
    schema: emailInput,
    defaults: { current: '', email: '' },
    toBody: (values) => values,
    send: async (body) => {
      const { data } = await ask('saveEmail', { body });
      become(data);
      form.reset({ current: '', email: '' });
      show({ text: t('account:email.saved', { email: body.email }) });
    },
  });
  return (
    <Form of={form} className="furrow flex max-w-lg flex-col gap-4">
      <h2>{t('account:email.title')}</h2>
      <Field label={t('account:email.next')} name="email">
        {(props) => (
          <input {...props} {...form.register('email')} type="email" autoComplete="email" className="input" />
        )}
      </Field>
      <PasswordField label={t('crew:password')} field={form.register('current')} />
      <FormFaults />
      <Button type="submit" disabled={form.busy} className="self-start">
        {t('account:email.go')}
      </Button>
    </Form>
  );
}

const DEVICES = ['devices'];

function Devices() {
  const { t } = useTranslation('account');
  const dates = useDates();
  const client = useQueryClient();
  const devices = useQuery({ queryKey: DEVICES, queryFn: async () => (await ask('devices')).data });
  const keep = (told: { data: typeof devices.data }) => client.setQueryData(DEVICES, told.data);
  const one = useWrite('signOutDevice', () => t('devices.signedOut'));
  const others = useWrite('signOutElsewhere', () => t('devices.othersSignedOut'));
  return (
    <section className="furrow flex flex-col gap-3">
      <h2>{t('devices.title')}</h2>
      <Loaded of={devices}>
        {(rows) => (
          <>
            <ul>
              {rows.map((device) => (
                <li
                  key={device.id}
                  className="flex min-h-12 items-center justify-between gap-4 border-line border-b py-1"
                >
                  <span>
                    <span className="font-semibold">{browserName(device.agent) || t('devices.unknown')}</span>
                    <span className="block text-ink-soft text-sm">
                      {device.here
                        ? t('devices.here')
                        : t('devices.seen', { when: dates.moment(device.seen) })}
                    </span>
                  </span>
                  {!device.here && (
                    <Button onClick={() => one.mutate({ params: { id: device.id } }, { onSuccess: keep })}>
                      {t('devices.signOut')}
                    </Button>
                  )}
                </li>
              ))}
            </ul>
            {rows.length > 1 && (
              <Button
                className="self-start"
                disabled={others.isPending}
                onClick={() => others.mutate({}, { onSuccess: keep })}
              >
                {t('devices.others')}
              </Button>
            )}
          </>
        )}
      </Loaded>
    </section>
  );
}
