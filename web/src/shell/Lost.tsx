import { useTranslation } from 'react-i18next';
import { Link, useRouteError } from 'react-router';
import { Button } from '../kit/controls/index.ts';
import { Screen } from '../kit/screens/index.ts';

/** A screen that was never opened on this device, while the garden cannot be reached. */
function OutOfReach() {
  const { t } = useTranslation('shell');
  return (
    <Screen title={t('outOfReach.title')} className="flex max-w-xl flex-col gap-3 p-8">
      <p role="alert">{t('outOfReach.detail')}</p>
      <p>
        <Button look="act" onClick={() => window.location.reload()}>
          {t('outOfReach.again')}
        </Button>
      </p>
    </Screen>
  );
}

/** An address nothing stands at, or a screen that broke. */
export function Lost() {
  const { t } = useTranslation('shell');
  const error = useRouteError();
  const broken = error !== undefined && error !== null;
  // A screen's own program, or the crops, could not be fetched: it was never opened here, and there is no connection.
  if (error instanceof TypeError && /import|fetch/i.test(error.message)) return <OutOfReach />;
  return (
    <Screen title={broken ? t('broken.title') : t('lost.title')} className="flex max-w-xl flex-col gap-3 p-8">
      <p>{broken ? t('broken.detail') : t('lost.detail')}</p>
      <p>
        <Link to="/" reloadDocument={broken} className="underline underline-offset-4">
          {t('rail.thisWeek')}
        </Link>
      </p>
    </Screen>
  );
}
