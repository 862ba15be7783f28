import { type Me, signInInput } from '@unity-acre/contract/crew';
import { useTranslation } from 'react-i18next';
import { useMe } from '../../garden/index.ts';
import { ask } from '../../kit/ask.ts';
import { Button } from '../../kit/controls/index.ts';
import { Form, FormFaults, useBodyForm } from '../../kit/forms/index.ts';
import { Loaded } from '../../kit/screens/index.ts';
import { EmailField } from './EmailField.tsx';
import { PasswordField } from './PasswordField.tsx';

/** Signs in with e-mail and password; in the demo also by one press as one of its people. */
export function SignInForm({ onDone }: { onDone(me: Me): unknown }) {
  const { t } = useTranslation(['crew', 'shell']);
  const me = useMe();
  const form = useBodyForm({
    schema: signInInput,
    draft: null,
    defaults: { email: '', password: '' },
    toBody: (values) => values,
    send: async (body) => onDone((await ask('signIn', { body })).data),
  });
  const enter = (email: string, password: string) => {
    form.put({ email, password });
    void form.submit();
  };
  return (
    <>
      <Form of={form}>
        <EmailField label={t('crew:email')} field={form.register('email')} />
        <PasswordField label={t('crew:password')} field={form.register('password')} />
        <FormFaults />
        <Button type="submit" look="act" disabled={form.busy} className="self-start">
          {t('crew:signIn.go')}
        </Button>
      </Form>
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
                    <Button onClick={() => enter(email, password)}>{t('crew:demo.enter')}</Button>
                  </li>
                ))}
              </ul>
            </section>
          )
        }
      </Loaded>
    </>
  );
}
