import { useQuery } from '@tanstack/react-query';
import { joinInput } from '@unity-acre/contract/crew';
import { useTranslation } from 'react-i18next';
import { useNavigate, useParams } from 'react-router';
import { ask } from '../kit/ask.ts';
import { Button } from '../kit/Button.tsx';
import { useBodyForm } from '../kit/form.tsx';
import { RefusedNote } from '../kit/RefusedNote.tsx';
import { Loaded } from '../kit/states.tsx';
import { useBecome } from '../shell/me.ts';
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
  const form = useBodyForm({
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
        <form onSubmit={form.submit} noValidate className="flex max-w-md flex-col gap-4">
          <h1>{t('join.title', { garden })}</h1>
          <p>{t('join.lead', { name, email })}</p>
          <PasswordField
            label={hasAccount ? t('password') : t('join.choose')}
            hint={hasAccount ? t('join.known') : t('join.hint')}
            error={form.formState.errors.password?.message}
            field={form.register('password')}
            isNew={!hasAccount}
          />
          <RefusedNote refused={form.refused} />
          <Button type="submit" look="act" disabled={form.busy} className="self-start">
            {t('join.go')}
          </Button>
        </form>
      )}
    </Loaded>
  );
}
