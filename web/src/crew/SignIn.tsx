import { signInInput } from '@unity-acre/contract/crew';
import { useTranslation } from 'react-i18next';
import { Link, Navigate, useNavigate, useSearchParams } from 'react-router';
import { ask } from '../kit/ask.ts';
import { Button } from '../kit/Button.tsx';
import { Field, useBodyForm } from '../kit/form.tsx';
import { RefusedNote } from '../kit/RefusedNote.tsx';
import { Loaded } from '../kit/states.tsx';
import { useBecome, useMe } from '../shell/me.ts';
import { PasswordField } from './PasswordField.tsx';

/** The page asked for before signing in; only ever one of this garden's own. */
const pageAfter = (search: URLSearchParams): string => {
  const to = search.get('to') ?? '/';
  return /^\/(?![/\\])/.test(to) ? to : '/';
};

export default function SignIn() {
  const { t } = useTranslation(['crew', 'shell']);
  const me = useMe();
  const become = useBecome();
  const navigate = useNavigate();
  const [search] = useSearchParams();
  const form = useBodyForm({
    schema: signInInput,
    defaults: { email: '', password: '' },
    toBody: (values) => values,
    send: async (body) => {
      const { data } = await ask('signIn', { body });
      become(data);
      await navigate(pageAfter(search), { replace: true });
    },
  });
  const { errors } = form.formState;
  if (me.data && !me.data.setUp) return <Navigate to="/set-up" replace />;
  return (
    <div className="flex max-w-md flex-col gap-8">
      <form onSubmit={form.submit} noValidate className="flex flex-col gap-4">
        <h1>{t('crew:signIn.title')}</h1>
        <Field label={t('crew:email')} error={errors.email?.message}>
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
        <PasswordField
          label={t('crew:password')}
          error={errors.password?.message}
          field={form.register('password')}
        />
        <RefusedNote refused={form.refused} />
        <Button type="submit" look="act" disabled={form.busy} className="self-start">
          {t('crew:signIn.go')}
        </Button>
        <Link to="/forgot" className="self-start underline underline-offset-4">
          {t('crew:signIn.forgot')}
        </Link>
        <p className="text-ink-soft text-sm">{t('crew:signIn.help')}</p>
      </form>
      <Loaded of={me}>
        {({ demoSignIns }) =>
          demoSignIns.length > 0 && (
            <section className="furrow">
              <h2>{t('crew:demo.title')}</h2>
              <p className="text-ink-soft">{t('crew:demo.lead')}</p>
              <ul>
                {demoSignIns.map(({ email, password, role }) => (
                  <li
                    key={email}
                    className="flex items-center justify-between gap-4 border-line border-b py-1"
                  >
                    <span>
                      <span className="font-semibold">{t(`shell:role.${role}`)}</span>
                      <br />
                      <span className="text-ink-soft text-sm">{email}</span>
                    </span>
                    <Button
                      onClick={() => {
                        form.setValue('email', email);
                        form.setValue('password', password);
                        void form.submit();
                      }}
                    >
                      {t('crew:demo.enter')}
                    </Button>
                  </li>
                ))}
              </ul>
            </section>
          )
        }
      </Loaded>
    </div>
  );
}
