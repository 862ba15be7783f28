import { forgotInput } from '@unity-acre/contract/crew';
import { useState } from 'react';
import { useTranslation } from 'react-i18next';
import { Link } from 'react-router';
import { ask } from '../../kit/ask.ts';
import { Button } from '../../kit/controls/index.ts';
import { Form, FormFaults, useBodyForm } from '../../kit/forms/index.ts';
import { Title } from '../../kit/screens/index.ts';
import { EmailField } from './EmailField.tsx';

/** Asking for a letter with a link for a new password. */
export default function Forgot() {
  const { t } = useTranslation(['account', 'crew']);
  const [sentTo, setSentTo] = useState<string | null>(null);
  const form = useBodyForm({
    draft: null,
    schema: forgotInput,
    defaults: { email: '' },
    toBody: (values) => values,
    send: async (body) => {
      await ask('forgot', { body });
      setSentTo(body.email);
    },
  });
  return (
    <Form of={form} className="flex max-w-md flex-col gap-4">
      <Title>{t('account:forgot.title')}</Title>
      {sentTo === null ? (
        <>
          <p>{t('account:forgot.lead')}</p>
          <EmailField label={t('crew:email')} field={form.register('email')} />
          <FormFaults />
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
    </Form>
  );
}
