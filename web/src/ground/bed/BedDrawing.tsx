import type { Bed } from '@unity-acre/contract/ground';
import type { Planting } from '@unity-acre/contract/season';
import { addDays, type Day, daysBetween } from '@unity-acre/core/calendar';
import { sideFacing, workedOutline } from '@unity-acre/core/ground';
import { dayInSeason } from '@unity-acre/core/place';
import { useMemo, useState } from 'react';
import { useTranslation } from 'react-i18next';
import { useCatalogue } from '../../crops/catalogue.ts';
import { useCropNames } from '../../crops/names.ts';
import { useCoordinates, useHere } from '../../garden/index.ts';
import { Button, Slider } from '../../kit/controls/index.ts';
import { useDates } from '../../kit/dates.ts';
import { placesIn, type Standing, useSpotWords } from '../plan/index.ts';
import { PlacedPlanting } from './PlacedPlanting.tsx';
import { usePlacing } from './usePlacing.ts';

const YEAR_DAYS = 364;
/** The drawing is no higher than this, in letters. */
const MOST_HIGH_REM = 20;

interface Props {
  bed: Bed;
  /** those of the season, of this bed and others */
  plantings: Planting[];
  year: number;
}

/** The bed from above on a day, with its plantings where they stand; they are moved by hand and by keyboard. */
export function BedDrawing({ bed, plantings, year }: Props) {
  const { t } = useTranslation('ground');
  const { garden } = useHere();
  const dates = useDates();
  const names = useCropNames();
  const catalogue = useCatalogue();
  const spot = useSpotWords();
  const mayMove = useCoordinates();
  const first = dayInSeason(garden.latitude, year, 0);
  const all = useMemo(
    () => placesIn(bed, plantings, year, garden, catalogue),
    [bed, plantings, year, garden, catalogue],
  );
  const [on, setOn] = useState(() => dayToShow(all, garden.today));
  const [selected, select] = useState<string | null>(null);
  const placing = usePlacing(bed, all);
  const { across, along, outline } = workedOutline(bed);
  const standing = all.filter(({ from, until }) => from <= on && on <= until);
  const homeless = standing.filter(({ place }) => !place);
  const chosen = standing.find(({ id }) => id === selected);
  if (all.length === 0) return null;
  const facing = (side: 'near' | 'far') => t(`compass.${sideFacing(bed, side, garden.ground.north)}`);
  return (
    <div className="mt-2 mb-6">
      <div className="mb-1 max-w-xl">
        <h3>
          {t('drawing.title')}, <span aria-hidden>{dates.long(on)}</span>
        </h3>
        <Slider
          aria-label={t('drawing.day')}
          shown={dates.long(on)}
          min={0}
          max={YEAR_DAYS}
          value={Math.max(0, Math.min(YEAR_DAYS, daysBetween(first, on)))}
          onChange={(day) => setOn(addDays(first, day))}
        />
      </div>
      <div className="flex items-center gap-2">
        <span className="text-ink-soft text-sm">{facing('near')}</span>
        <div
          className="relative min-w-0 flex-1"
          style={{ aspectRatio: `${along} / ${across}`, maxWidth: `${(MOST_HIGH_REM * along) / across}rem` }}
        >
          <svg
            viewBox={`0 0 ${along} ${across}`}
            className="absolute inset-0 size-full overflow-visible"
            aria-hidden
          >
            <polygon
              points={outline.map(({ x, y }) => `${y},${x}`).join(' ')}
              className="fill-straw-soft stroke-ink"
              strokeWidth={0.03}
            />
          </svg>
          {standing.map((one) => {
            const place = placing.placeOf(one);
            return (
              place && (
                <PlacedPlanting
                  key={one.id}
                  standing={one}
                  place={place}
                  room={{ across, along }}
                  isSelected={one.id === selected}
                  isHeld={placing.heldId === one.id}
                  mayMove={mayMove}
                  onSelect={() => select(one.id)}
                  placing={placing}
                />
              )
            );
          })}
        </div>
        <span className="text-ink-soft text-sm">{facing('far')}</span>
      </div>
      {standing.length === 0 && <p className="text-ink-soft">{t('drawing.none')}</p>}
      {homeless.length > 0 && (
        <p className="text-beet">
          {t('drawing.noRoom', {
            list: homeless.map(({ planting }) => names.crop(planting.cropId)).join(', '),
          })}
        </p>
      )}
      {chosen?.place && (
        <p className="mt-2 flex flex-wrap items-center gap-x-3">
          <span>
            <strong>{names.crop(chosen.planting.cropId)}</strong>,{' '}
            {names.variety(chosen.planting.cropId, chosen.planting.varietyId)}:{' '}
            {spot(bed, chosen.planting, placing.placeOf(chosen)!) ?? t('drawing.whole')};{' '}
            {t('drawing.stands', { from: dates.bare(chosen.from), until: dates.bare(chosen.until) })}
          </span>
          {mayMove && chosen.planting.at && (
            <Button look="quiet" onClick={() => placing.layOut(chosen)}>
              {t('drawing.back')}
            </Button>
          )}
        </p>
      )}
      {mayMove && standing.length > 0 && <p className="text-ink-soft text-sm">{t('drawing.hint')}</p>}
    </div>
  );
}

/** Today where something stands, else the first day on which something does. */
function dayToShow(all: readonly Standing[], today: Day): Day {
  const isToday = all.some(({ from, until }) => from <= today && today <= until);
  return isToday ? today : (all.map(({ from }) => from).sort()[0] ?? today);
}
