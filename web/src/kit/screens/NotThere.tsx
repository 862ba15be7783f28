import { useTranslation } from 'react-i18next';
import { Link } from 'react-router';
import { Screen } from './Screen.tsx';

/** What an address leads to is not there: what it was, why it may be gone, and the way on. */
export function NotThere({ title, why, to, way }: { title: string; why: string; to: string; way: string }) {
  const { t } = useTranslation('kit');
  return (
    <Screen title={title} className="flex max-w-xl flex-col gap-3">
      <p>{why}</p>
      <p className="flex flex-wrap gap-x-6">
        <Link to={to} className="inline-flex min-h-target items-center underline underline-offset-4">
          {way}
        </Link>
        <Link to="/log" className="inline-flex min-h-target items-center underline underline-offset-4">
          {t('notThere.changes')}
        </Link>
      </p>
    </Screen>
  );
}
