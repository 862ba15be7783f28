import type { Bed, Landmark } from '@unity-acre/contract/ground';
import { addDays, daysBetween } from '@unity-acre/core/calendar';
import { lightOf, outlineOf, seasonMean, shadowOf } from '@unity-acre/core/ground';
import { dayInSeason, growingMonths, solarNoon, sunPosition } from '@unity-acre/core/place';
import { useMemo, useState } from 'react';
import { useTranslation } from 'react-i18next';
import { Link, useNavigate } from 'react-router';
import { useCatalogue } from '../../crops/catalogue.ts';
import { datesAlone, useHere, useList, useMeasure, useSeasonList } from '../../garden/index.ts';
import { PlacePaths } from '../../garden/paths/index.ts';
import { Checkbox, Progress, Select, Slider } from '../../kit/controls/index.ts';
import { useDates } from '../../kit/dates.ts';
import { Field } from '../../kit/forms/index.ts';
import { Bare, Loaded, Screen } from '../../kit/screens/index.ts';
import { frameOf, Plan, pathOf } from '../plan/index.ts';
import { ColourKey } from './ColourKey.tsx';
import { openPlaces, standing, tallOnes, useSun } from './sun.ts';
import { sunColour } from './sunColour.ts';

/** About how many squares the heat map has. */
const CELLS = 1600;

/** Hours of sun of the ground and of every bed, by month, and the shadows of any hour. */
export default function SunPage() {
  const { t } = useTranslation('layout');
  const { role } = useHere();
  const beds = useList('beds');
  const landmarks = useList('landmarks');
  return (
    <Screen title={t('sun.title')} className="flex flex-col gap-5">
      <PlacePaths of="layout" />
      <Loaded of={beds}>
        {(bedList) => (
          <Loaded of={landmarks}>
            {(marks) =>
              bedList.length === 0 ? (
                <Bare title={t('sun.noBeds')} />
              ) : role === 'receiver' ? (
                <Sun beds={bedList} landmarks={marks} crops={[]} />
              ) : (
                <WithCrops beds={bedList} landmarks={marks} />
              )
            }
          </Loaded>
        )}
      </Loaded>
    </Screen>
  );
}

function WithCrops({ beds, landmarks }: { beds: Bed[]; landmarks: Landmark[] }) {
  const { garden } = useHere();
  const catalogue = useCatalogue();
  const year = garden.seasonYear;
  const plantings = useSeasonList('plantings', year, datesAlone);
  const crops = useMemo(
    () =>
      tallOnes(beds, plantings.data ?? [], catalogue, dayInSeason(garden.latitude, year, 0), {
        latitude: garden.latitude,
        north: garden.ground.north,
      }),
    [beds, plantings.data, catalogue, year, garden.latitude, garden.ground.north],
  );
  return <Loaded of={plantings}>{() => <Sun beds={beds} landmarks={landmarks} crops={crops} />}</Loaded>;
}

interface Props {
  beds: Bed[];
  landmarks: Landmark[];
  crops: ReturnType<typeof tallOnes>;
}

function Sun({ beds, landmarks, crops }: Props) {
  const { t } = useTranslation('layout');
  const { garden } = useHere();
  const navigate = useNavigate();
  const dates = useDates();
  const { number } = useMeasure();
  const [withCrops, setWithCrops] = useState(true);
  const [month, setMonth] = useState<number | 'season'>('season');
  const [minutes, setMinutes] = useState(0);
  const year = Number(garden.today.slice(0, 4));
  const [on, setOn] = useState(garden.today);
  const sky = useMemo(
    () => ({ latitude: garden.latitude, longitude: garden.longitude, north: garden.ground.north }),
    [garden.latitude, garden.longitude, garden.ground.north],
  );
  const obstacles = useMemo(
    () => [...standing(landmarks), ...(withCrops ? crops : [])],
    [landmarks, crops, withCrops],
  );
  const frame = useMemo(() => frameOf([...beds, ...landmarks]), [beds, landmarks]);
  const cell = Math.sqrt((frame.width * frame.length) / CELLS);
  const places = useMemo(() => openPlaces(frame, cell, obstacles), [frame, cell, obstacles]);
  const asked = useMemo(
    () => ({
      beds: beds.map((bed) => ({ id: bed.id, outline: outlineOf(bed), height: bed.height })),
      obstacles,
      places,
      sky,
      year,
    }),
    [beds, obstacles, places, sky, year],
  );
  const sun = useSun(asked);
  const [first, last] = growingMonths(garden);
  const shown = (hours: readonly number[]) =>
    month === 'season' ? seasonMean(hours, first, last) : hours[month]!;
  const instant = solarNoon(on, sky.longitude) + minutes * 60_000;
  const position = sunPosition(instant, sky.latitude, sky.longitude);
  const standingNow = obstacles.filter(({ months }) => !months || months[Number(on.slice(5, 7)) - 1]);
  const shadows = standingNow.flatMap((obstacle) => shadowOf(obstacle, position, sky.north));
  const clock = dates.time(
    new Intl.DateTimeFormat('en-GB', {
      hour: '2-digit',
      minute: '2-digit',
      timeZone: garden.timeZone,
    }).format(instant),
  );
  const told = sun.at === 'told' ? sun : null;
  const months = Array.from({ length: 12 }, (_, i) => `${year}-${String(i + 1).padStart(2, '0')}-01`);
  const dayOfYear = daysBetween(`${year}-01-01`, on);

  return (
    <div className="grid items-start gap-8 xl:grid-cols-[minmax(0,1fr)_24rem]">
      <div className="flex flex-col gap-3">
        <div className="flex flex-wrap items-end gap-x-6 gap-y-2">
          <Field layout="beside" label={t('sun.hoursIn')}>
            {(props) => (
              <Select
                {...props}
                className="w-44"
                value={String(month)}
                onChange={(value) => setMonth(value === 'season' ? 'season' : Number(value))}
                options={[
                  { value: 'season', label: t('sun.season') },
                  ...months.map((first, i) => ({ value: String(i), label: dates.month(first) })),
                ]}
              />
            )}
          </Field>
          <Checkbox
            label={t('sun.withCrops')}
            checked={withCrops}
            onChange={(checked) => setWithCrops(checked)}
          />
          <ColourKey />
        </div>
        <Plan
          beds={beds}
          landmarks={landmarks}
          fillOf={(bed) => (told ? sunColour(shown(told.hours[bed.id] ?? new Array(12).fill(0))) : undefined)}
          onOpen={(bed) => navigate(`/ground/${bed.id}`)}
          className="h-[24rem] border border-line-strong sm:h-[32rem]"
          under={
            told &&
            told.places.length === places.length && (
              <g opacity={0.55} shapeRendering="crispEdges">
                {places.map((place, i) => (
                  <rect
                    key={`${place.x} ${place.y}`}
                    x={place.x - cell / 2}
                    y={-place.y - cell / 2}
                    width={cell * 1.02}
                    height={cell * 1.02}
                    style={{ fill: sunColour(shown(told.places[i]!)) }}
                  />
                ))}
              </g>
            )
          }
          over={
            shadows.length > 0 && (
              <path
                d={shadows.map((part) => pathOf(part)).join('')}
                className="pointer-events-none fill-rail"
                fillOpacity={0.5}
              />
            )
          }
        />
        <div className="grid gap-x-8 gap-y-1 sm:grid-cols-2">
          <div>
            <p aria-hidden className="font-semibold text-sm">
              {t('sun.day')}: {dates.long(on)}
            </p>
            <Slider
              aria-label={t('sun.day')}
              shown={dates.long(on)}
              min={0}
              max={364}
              value={dayOfYear}
              onChange={(day) => setOn(addDays(`${year}-01-01`, day))}
            />
          </div>
          <div>
            <p aria-hidden className="font-semibold text-sm">
              {t('sun.hour')}: {clock}
            </p>
            <Slider
              aria-label={t('sun.hour')}
              shown={clock}
              min={-480}
              max={480}
              step={10}
              value={minutes}
              onChange={setMinutes}
            />
          </div>
        </div>
        <p className="text-ink-soft text-sm">
          {position.altitude > 0
            ? t('sun.stands', {
                altitude: number(position.altitude, 0),
                azimuth: number(position.azimuth, 0),
              })
            : t('sun.down')}
        </p>
      </div>
      <section className="furrow">
        <h2>{t('sun.beds')}</h2>
        {sun.at === 'going' ? (
          <div aria-live="polite">
            <p>{t('sun.going')}</p>
            <Progress label={t('sun.going')} share={sun.share} />
          </div>
        ) : (
          <ul className="xl:max-h-[40rem] xl:overflow-y-auto">
            {beds.map((bed) => {
              const hours = sun.hours[bed.id];
              if (!hours) return null;
              const season = seasonMean(hours, first, last);
              return (
                <li key={bed.id} className="flex items-center gap-3 border-line border-b py-1.5">
                  <Link
                    to={`/ground/${bed.id}`}
                    className="min-w-0 flex-1 truncate font-semibold hover:underline"
                  >
                    {bed.name}
                  </Link>
                  <Months hours={hours} />
                  <span className="w-24 text-right text-sm">
                    <strong>{t('sun.hours', { hours: number(season) })}</strong>
                    <br />
                    {t(`sun.light.${lightOf(season)}`)}
                  </span>
                </li>
              );
            })}
          </ul>
        )}
        <p className="mt-2 text-ink-soft text-sm">{t('sun.note')}</p>
      </section>
    </div>
  );
}

/** Twelve small columns, one a month, with the line of full sun. */
function Months({ hours }: { hours: number[] }) {
  const { t } = useTranslation('layout');
  const { number } = useMeasure();
  const label = t('sun.byMonth', { list: hours.map((value) => number(value)).join(', ') });
  const high = (value: number) => (Math.min(16, value) / 16) * 30;
  return (
    <svg width="98" height="32" role="img" aria-label={label} className="shrink-0">
      <title>{label}</title>
      {hours.map((value, month) => (
        <rect
          // biome-ignore lint/suspicious/noArrayIndexKey: a month is known by its place
          key={month}
          x={1 + month * 8}
          width={7}
          y={31 - high(value)}
          height={high(value)}
          style={{ fill: sunColour(value) }}
        />
      ))}
      <line x1="0" x2="98" y1={31 - high(6)} y2={31 - high(6)} className="stroke-ink" strokeDasharray="2 3" />
    </svg>
  );
}
