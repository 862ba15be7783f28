import { useTranslation } from 'react-i18next';
import { Link, useRouteError } from 'react-router';

/** An address nothing stands at, or a screen that broke. */
export function Lost() {
  const { t } = useTranslation('shell');
  const broken = useRouteError() !== undefined;
  return (
    <div className="flex max-w-xl flex-col gap-3 p-8">
      <h1>{broken ? t('broken.title') : t('lost.title')}</h1>
      <p>{broken ? t('broken.detail') : t('lost.detail')}</p>
      <p>
        <Link to="/" reloadDocument={broken} className="underline underline-offset-4">
          {t('rail.thisWeek')}
        </Link>
      </p>
    </div>
  );
}
