import { useQuery } from '@tanstack/react-query';
import { joinInput } from '@unity-acre/contract/crew';
import { useTranslation } from 'react-i18next';
import { Link, useNavigate, useParams } from 'react-router';
import { ask } from '../kit/ask.ts';
import { Button } from '../kit/Button.tsx';
import { useBodyForm } from '../kit/form.tsx';
import { RefusedNote } from '../kit/RefusedNote.tsx';
import { Waiting } from '../kit/states.tsx';
import { useBecome } from '../shell/me.ts';
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
    <form onSubmit={form.submit} noValidate className="flex max-w-md flex-col gap-4">
      <h1>{t('account:link.title')}</h1>
      {link.data ? (
        <>
          <p>{t('account:link.lead', { email: link.data.email })}</p>
          <PasswordField
            label={t('account:password.next')}
            hint={t('account:link.hint')}
            error={form.formState.errors.password?.message}
            field={form.register('password')}
            isNew
          />
          <RefusedNote refused={form.refused} />
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
    </form>
  );
}
