import { useTranslation } from 'react-i18next';
import { Link, Navigate, useNavigate, useSearchParams } from 'react-router';
import { useBecome, useMe } from '../../garden/index.ts';
import { Screen } from '../../kit/screens/index.ts';
import { SignInForm } from './SignInForm.tsx';

/** The page asked for before signing in; only ever one of this garden's own. */
const pageAfter = (search: URLSearchParams): string => {
  const to = search.get('to') ?? '/';
  return /^\/(?![/\\])/.test(to) ? to : '/';
};

export default function SignIn() {
  const { t } = useTranslation('crew');
  const me = useMe();
  const become = useBecome();
  const navigate = useNavigate();
  const [search] = useSearchParams();
  if (me.data && !me.data.setUp) return <Navigate to="/set-up" replace />;
  return (
    <Screen title={t('signIn.title')} className="flex max-w-md flex-col gap-4">
      <SignInForm
        onDone={(who) => {
          become(who);
          return navigate(pageAfter(search), { replace: true });
        }}
      />
      <Link to="/forgot" className="self-start underline underline-offset-4">
        {t('signIn.forgot')}
      </Link>
      <p className="text-ink-soft text-sm">{t('signIn.help')}</p>
    </Screen>
  );
}
