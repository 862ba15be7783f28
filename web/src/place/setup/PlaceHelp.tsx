import tzLookup from '@photostructure/tz-lookup';
import { extremesOf, frostsOfNormals, isSeaZone, readCoordinate } from '@unity-acre/core/place';
import { nearestTown, type Town, townAtHeight, townLabel, towns } from '@unity-acre/core/place/towns';
import { useTranslation } from 'react-i18next';
import { Button, Combobox } from '../../kit/controls/index.ts';
import { useDates } from '../../kit/dates.ts';
import { Field } from '../../kit/forms/index.ts';
import {
  type GardenForm,
  type GardenValues,
  heightShown,
  heightTyped,
  inWords,
  warmthFields,
  warmthShown,
} from './gardenForm.ts';

const options = towns
  .map((town) => ({ value: townLabel(town), label: townLabel(town) }))
  .sort((a, b) => a.label.localeCompare(b.label));

/** Farther than this a town says little of a garden, km. */
const FARTHEST_KM = 300;
const KM_PER_MILE = 1.609344;
/** A smaller difference of height goes without saying, m. */
const FLAT_M = 30;

/** Finds a town of the table, and fills in all that is known of it. */
export function TownField({ form }: { form: GardenForm }) {
  const { t } = useTranslation('place');
  const take = useTaking(form);
  const goTo = (label: string) => {
    const town = towns.find((one) => townLabel(one) === label);
    if (!town) return;
    const { latitude, longitude, height } = town;
    form.put({
      latitude: String(latitude),
      longitude: String(longitude),
      height: heightShown(height, form.watch().units),
      timeZone: tzLookup(latitude, longitude),
    });
    take(town, height);
  };
  return (
    <Field label={t('town.find')} hint={t('town.hint')} name="town">
      {(props) => <Combobox {...props} value="" options={options} onChange={goTo} />}
    </Field>
  );
}

/** What is known of the point that is typed in: its clocks, and the nearest town of the table. To be taken or left. */
export function PointHelp({ form }: { form: GardenForm }) {
  const take = useTaking(form);
  const values = form.watch();
  const latitude = readCoordinate(values.latitude, 'latitude');
  const longitude = readCoordinate(values.longitude, 'longitude');
  if (latitude === null || longitude === null) return null;
  return (
    <div className="flex flex-col gap-3 border-leaf border-l-4 bg-leaf-soft px-3 py-2.5 text-sm">
      <ZoneHelp form={form} zone={tzLookup(latitude, longitude)} />
      <NearHelp form={form} take={take} near={nearestTown({ latitude, longitude })} />
    </div>
  );
}

/** Fills in what is usual in a town: highs and lows, and the frosts that they let one expect. */
function useTaking(form: GardenForm): (town: Town, height: number | null) => void {
  const dates = useDates();
  return (town, height) => {
    const { units } = form.watch();
    const means = townAtHeight(town, height);
    const frosts = frostsOfNormals(town.latitude, means);
    form.put({
      ...warmthShown(extremesOf(means), units, 1),
      means,
      frostIsRare: frosts === null,
      lastFrost: inWords(frosts?.lastFrost ?? null, dates),
      firstFrost: inWords(frosts?.firstFrost ?? null, dates),
    });
  };
}

/** Says where the clocks of a place are others than those chosen. */
function ZoneHelp({ form, zone }: { form: GardenForm; zone: string }) {
  const { t } = useTranslation('place');
  if (isSeaZone(zone)) return <p role="status">{t('town.sea')}</p>;
  if (zone === form.watch().timeZone) return null;
  return (
    <p className="flex flex-wrap items-center gap-x-3 gap-y-1" role="status">
      {t('town.zone', { zone })}
      <Button onClick={() => form.put({ timeZone: zone })}>{t('town.useZone')}</Button>
    </p>
  );
}

interface NearProps {
  form: GardenForm;
  take: ReturnType<typeof useTaking>;
  near: ReturnType<typeof nearestTown>;
}

/** Proposes what is usual in the nearest town, with how far off and how much higher or lower it lies. */
function NearHelp({ form, take, near: { town, km } }: NearProps) {
  const { t } = useTranslation('place');
  const values = form.watch();
  const { units } = values;
  if (km > FARTHEST_KM) return <p>{t('town.none')}</p>;
  const height = heightTyped(values.height, units);
  const shown = warmthShown(extremesOf(townAtHeight(town, height)), units, 1);
  const isTaken = warmthFields.every(([field]) => shown[field] === values[field]);
  const degrees = (field: (typeof warmthFields)[number][0]) =>
    `${shown[field]} ${units === 'imperial' ? '°F' : '°C'}`;
  return (
    <div className="flex flex-col items-start gap-2">
      <p>
        {t('town.near', { town: townLabel(town), distance: distanceWords(km, units) })}{' '}
        {heightWords(t, town, height, units)}{' '}
        {t('town.usual', {
          warmestHigh: degrees('warmestHigh'),
          warmestLow: degrees('warmestLow'),
          coldestHigh: degrees('coldestHigh'),
          coldestLow: degrees('coldestLow'),
        })}
      </p>
      {!isTaken && <Button onClick={() => take(town, height)}>{t('town.use')}</Button>}
    </div>
  );
}

const distanceWords = (km: number, units: GardenValues['units']): string =>
  units === 'imperial' ? `${Math.round(km / KM_PER_MILE)} mi` : `${Math.round(km)} km`;

function heightWords(
  t: ReturnType<typeof useTranslation<'place'>>['t'],
  town: Town,
  height: number | null,
  units: GardenValues['units'],
): string {
  if (height === null || Math.abs(height - town.height) < FLAT_M) return '';
  const shown = Math.round(Number(heightShown(Math.abs(height - town.height), units)) / 10) * 10;
  const difference = `${shown} ${units === 'imperial' ? 'ft' : 'm'}`;
  return height > town.height ? t('town.higher', { difference }) : t('town.lower', { difference });
}
