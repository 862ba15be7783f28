import { forgotInput } from '@unity-acre/contract/crew';
import { useState } from 'react';
import { useTranslation } from 'react-i18next';
import { Link } from 'react-router';
import { ask } from '../kit/ask.ts';
import { Button } from '../kit/Button.tsx';
import { Field, useBodyForm } from '../kit/form.tsx';
import { RefusedNote } from '../kit/RefusedNote.tsx';

/** Asking for a letter with a link for a new password. */
export default function Forgot() {
  const { t } = useTranslation(['account', 'crew']);
  const [sentTo, setSentTo] = useState<string | null>(null);
  const form = useBodyForm({
    schema: forgotInput,
    defaults: { email: '' },
    toBody: (values) => values,
    send: async (body) => {
      await ask('forgot', { body });
      setSentTo(body.email);
    },
  });
  return (
    <form onSubmit={form.submit} noValidate className="flex max-w-md flex-col gap-4">
      <h1>{t('account:forgot.title')}</h1>
      {sentTo === null ? (
        <>
          <p>{t('account:forgot.lead')}</p>
          <Field label={t('crew:email')} error={form.formState.errors.email?.message}>
            {(props) => (
              <input
                {...props}
                {...form.register('email')}
                type="email"
                autoComplete="username"
                className="input"
              />
            )}
          </Field>
          <RefusedNote refused={form.refused} />
          <Button type="submit" look="act" disabled={form.busy} className="self-start">
            {t('account:forgot.go')}
          </Button>
        </>
      ) : (
        <p role="status">{t('account:forgot.sent', { email: sentTo })}</p>
      )}
      <Link to="/sign-in" className="self-start underline underline-offset-4">
        {t('account:forgot.back')}
      </Link>
    </form>
  );
}
