import { table } from '@unity-acre/contract';
import { useTranslation } from 'react-i18next';
import { useHere, useList } from '../../garden/index.ts';
import { useDates } from '../../kit/dates.ts';
import { usePreferences } from '../../preferences.ts';

const HOUR_MS = 3_600_000;
const DAY_HOURS = 24;

/** How long ago an instant was, in whole hours or days. */
function ageIn(language: string, instant: string): string {
  const hours = Math.round((Date.parse(instant) - Date.now()) / HOUR_MS);
  const format = new Intl.RelativeTimeFormat(language, { numeric: 'auto' });
  return Math.abs(hours) < 2 * DAY_HOURS
    ? format.format(hours, 'hour')
    : format.format(Math.round(hours / DAY_HOURS), 'day');
}

/** When everything was last saved by night, and the garden to take along. */
export function BackupSection() {
  const { t } = useTranslation('climate');
  const { garden } = useHere();
  const language = usePreferences((preferences) => preferences.language);
  const dates = useDates();
  const { data } = useList('backups');
  if (!data) return null;
  const { newest, failed, clockBehind } = data;
  return (
    <section className="furrow flex flex-col gap-3">
      <h2>{t('backup.title')}</h2>
      <p>
        {newest
          ? t('backup.last', { moment: dates.moment(newest.at), age: ageIn(language, newest.at) })
          : t('backup.none')}
      </p>
      {failed && <p className="text-beet font-semibold">{t('backup.failed')}</p>}
      {clockBehind && (
        <p className="text-beet font-semibold">
          {t('backup.clockBehind', { moment: dates.moment(clockBehind) })}
        </p>
      )}
      <a
        className="inline-flex min-h-target items-center self-start underline underline-offset-4"
        href={table.gardenBackup.path.replace(':gardenId', garden.id)}
        download
      >
        {t('backup.download')}
      </a>
      <p className="text-soft text-sm">{t('backup.hint')}</p>
    </section>
  );
}
