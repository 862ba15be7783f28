import { useTranslation } from 'react-i18next';
import { useList, useMeasure } from '../../garden/index.ts';

/** What the station has seen lately, and what its forecast is. */
export function WeatherNote() {
  const { t } = useTranslation('work');
  const weather = useList('weather').data;
  const { temperature, rain } = useMeasure();
  if (!weather) return null;
  const total = weather.seen.reduce((sum, day) => sum + day.rain, 0);
  const coldest = Math.min(...weather.seen.map((day) => day.low));
  return (
    <p className="mt-1 text-ink-soft text-sm">
      {t('weather.seen', { rain: rain(total), low: temperature(coldest) })} {t('weather.note')}
    </p>
  );
}
