import type { Bed } from '@unity-acre/contract/ground';
import { readingOn, soilOn } from '@unity-acre/core/place';
import { useTranslation } from 'react-i18next';
import { Link } from 'react-router';
import { useAlmanac, useHere, useMeasure } from '../../garden/index.ts';
import { useDates } from '../../kit/dates.ts';

/** How warm the soil of a bed is today, by what that is known, and the way to say it better. */
export function SoilNow({ bed }: { bed: Bed }) {
  const { t } = useTranslation('ground');
  const { garden } = useHere();
  const { temperature } = useMeasure();
  const dates = useDates();
  const almanac = useAlmanac(bed);
  const soil = temperature(soilOn(almanac, garden.today));
  const reading = readingOn(almanac, garden.today);
  return (
    <section className="furrow">
      <h2>{t('soilNow.title')}</h2>
      <p>
        <strong>{soil}</strong>{' '}
        <span className="text-ink-soft">
          {reading
            ? t('soilNow.read', { soil: temperature(reading.soilC), day: dates.short(reading.on) })
            : t('soilNow.modelled')}
        </span>
      </p>
      <Link
        to={`?line=${encodeURIComponent(t('soilNow.line', { bed: bed.name }))}`}
        className="inline-flex min-h-target items-center underline decoration-line-strong underline-offset-4"
      >
        {t('soilNow.add')}
      </Link>
    </section>
  );
}
