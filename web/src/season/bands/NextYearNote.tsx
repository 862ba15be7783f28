import { daysBetween } from '@unity-acre/core/calendar';
import { dayInSeason } from '@unity-acre/core/place';
import { useTranslation } from 'react-i18next';
import { Link } from 'react-router';
import { datesAlone, seasonListOf, useCoordinates, useHere, useRead } from '../../garden/index.ts';
import { Bare } from '../../kit/screens/index.ts';

/** From September on the next year is to be thought of: it is proposed while nothing is planned in it. */
export function NextYearNote() {
  const { t } = useTranslation('season');
  const { garden } = useHere();
  const coordinates = useCoordinates();
  const year = garden.seasonYear + 1;
  const isTime =
    daysBetween(dayInSeason(garden.latitude, garden.seasonYear, 0), garden.today) >= OUT_OF_SEASON;
  const next = useRead({
    ...seasonListOf(garden.id, 'plantings', year, datesAlone),
    enabled: coordinates && isTime,
  });
  if (!next.data || next.data.some((planting) => planting.year === year)) return null;
  return (
    <Bare title={t('nextYear.title', { year })}>
      <Link to="/season/next" className="underline underline-offset-4">
        {t('nextYear.do')}
      </Link>
    </Bare>
  );
}

/** Days after the season's first on which the next one is proposed: September 1 in the north. */
const OUT_OF_SEASON = 243;
