import { useQuery } from '@tanstack/react-query';
import { joinInput } from '@unity-acre/contract/crew';
import { useEffect } from 'react';
import { useTranslation } from 'react-i18next';
import { useNavigate, useParams } from 'react-router';
import { useBecome } from '../../garden/index.ts';
import { ask } from '../../kit/ask.ts';
import { Button } from '../../kit/controls/index.ts';
import { Form, FormFaults, useBodyForm } from '../../kit/forms/index.ts';
import { Loaded, Title } from '../../kit/screens/index.ts';
import { usePreferences } from '../../preferences.ts';
import { PasswordField } from './PasswordField.tsx';

/** Accepting an invitation. */
export default function Join() {
  const { token = '' } = useParams();
  const { t } = useTranslation('crew');
  const become = useBecome();
  const navigate = useNavigate();
  const invitation = useQuery({
    queryKey: ['invitation', token],
    queryFn: async () => (await ask('invitation', { params: { token } })).data,
  });
  // Who was invited is met in their own language.
  const language = invitation.data?.language;
  useEffect(() => {
    if (language) usePreferences.getState().choose({ language });
  }, [language]);
  const form = useBodyForm({
    draft: null,
    schema: joinInput,
    defaults: { password: '' },
    toBody: (values) => values,
    send: async (body) => {
      const { data } = await ask('join', { params: { token }, body });
      become(data);
      await navigate('/', { replace: true });
    },
  });
  return (
    <Loaded of={invitation}>
      {({ garden, name, email, hasAccount }) => (
        <Form of={form} className="flex max-w-md flex-col gap-4">
          <Title>{t('join.title', { garden })}</Title>
          <p>{t('join.lead', { name, email })}</p>
          <PasswordField
            label={hasAccount ? t('password') : t('join.choose')}
            hint={hasAccount ? t('join.known') : t('join.hint')}
            field={form.register('password')}
            isNew={!hasAccount}
          />
          <FormFaults />
          <Button type="submit" look="act" disabled={form.busy} className="self-start">
            {t('join.go')}
          </Button>
        </Form>
      )}
    </Loaded>
  );
}
