import { useQuery } from '@tanstack/react-query';
import { joinInput } from '@unity-acre/contract/crew';
import { useTranslation } from 'react-i18next';
import { Link, useNavigate, useParams } from 'react-router';
import { useBecome } from '../../garden/index.ts';
import { ask } from '../../kit/ask.ts';
import { Button } from '../../kit/controls/index.ts';
import { Form, FormFaults, useBodyForm } from '../../kit/forms/index.ts';
import { Title, Waiting } from '../../kit/screens/index.ts';
import { PasswordField } from './PasswordField.tsx';

/** Choosing a new password by a link. */
export default function NewPassword() {
  const { token = '' } = useParams();
  const { t } = useTranslation(['account', 'crew']);
  const become = useBecome();
  const navigate = useNavigate();
  const link = useQuery({
    queryKey: ['passwordLink', token],
    queryFn: async () => (await ask('passwordLink', { params: { token } })).data,
    retry: false,
  });
  const form = useBodyForm({
    draft: null,
    schema: joinInput,
    defaults: { password: '' },
    toBody: (values) => values,
    send: async (body) => {
      const { data } = await ask('usePasswordLink', { params: { token }, body });
      become(data);
      await navigate('/', { replace: true });
    },
  });
  if (link.isPending) return <Waiting />;
  return (
    <Form of={form} className="flex max-w-md flex-col gap-4">
      <Title>{t('account:link.title')}</Title>
      {link.data ? (
        <>
          <p>{t('account:link.lead', { email: link.data.email })}</p>
          <PasswordField
            label={t('account:password.next')}
            hint={t('account:link.hint')}
            field={form.register('password')}
            isNew
          />
          <FormFaults />
          <Button type="submit" look="act" disabled={form.busy} className="self-start">
            {t('account:link.go')}
          </Button>
        </>
      ) : (
        <>
          <p role="alert">{t('account:link.over')}</p>
          <Link to="/forgot" className="self-start underline underline-offset-4">
            {t('account:link.again')}
          </Link>
        </>
      )}
    </Form>
  );
}
