import type { Garden } from '@unity-acre/contract/place';
import { isMonthDay } from '@unity-acre/core/calendar';
import { almanacOf, climateOfFrosts, frostDates, frostsInOrder, growingDays } from '@unity-acre/core/place';
import type { FieldErrors, UseFormRegister } from 'react-hook-form';
import { useTranslation } from 'react-i18next';
import { useDates } from '../kit/dates.ts';
import { degreesIn, degreesShown } from '../kit/degrees.ts';
import { Field, type Reading } from '../kit/form.tsx';

/** What the form of a garden holds: text as typed. */
export interface GardenValues {
  name: string;
  latitude: string;
  longitude: string;
  timeZone: string;
  units: 'imperial' | 'metric';
  lastFrost: string;
  firstFrost: string;
  offsetC: string;
}

export const emptyGarden = (): GardenValues => ({
  name: '',
  latitude: '',
  longitude: '',
  timeZone: Intl.DateTimeFormat().resolvedOptions().timeZone,
  units: 'imperial',
  lastFrost: '',
  firstFrost: '',
  offsetC: '0',
});

export const gardenValues = (garden: Garden): GardenValues => ({
  offsetC: degreesShown(garden.offsetC, garden.units),
  name: garden.name,
  latitude: String(garden.latitude),
  longitude: String(garden.longitude),
  timeZone: garden.timeZone,
  units: garden.units,
  lastFrost: garden.lastFrost,
  firstFrost: garden.firstFrost,
});

export const gardenBody = (values: GardenValues, read: Reading) => ({
  name: values.name,
  latitude: read.number('latitude', values.latitude),
  longitude: read.number('longitude', values.longitude),
  timeZone: values.timeZone,
  units: values.units,
  lastFrost: values.lastFrost.trim(),
  firstFrost: values.firstFrost.trim(),
  offsetC: degreesIn(read.number('offsetC', values.offsetC), values.units),
});

const zones = Intl.supportedValuesOf('timeZone');

interface Props {
  register: UseFormRegister<GardenValues>;
  errors: FieldErrors<GardenValues>;
  values: GardenValues;
  readOnly?: boolean;
  /** true where the garden may differ from its station */
  spot?: boolean;
}

/** The fields of a garden: its name, its place and its frosts. */
export function GardenFields({ register, errors, values, readOnly = false, spot = false }: Props) {
  const { t } = useTranslation('place');
  return (
    <fieldset disabled={readOnly} className="flex flex-col gap-4">
      <Field label={t('name')} error={errors.name?.message}>
        {(props) => <input {...props} {...register('name')} className="input" autoComplete="off" />}
      </Field>
      <div className="grid gap-4 sm:grid-cols-2">
        <Field label={t('latitude')} hint={t('latitudeHint')} error={errors.latitude?.message}>
          {(props) => <input {...props} {...register('latitude')} inputMode="decimal" className="input" />}
        </Field>
        <Field label={t('longitude')} hint={t('longitudeHint')} error={errors.longitude?.message}>
          {(props) => <input {...props} {...register('longitude')} inputMode="decimal" className="input" />}
        </Field>
        <Field label={t('timeZone')} error={errors.timeZone?.message}>
          {(props) => (
            <select {...props} {...register('timeZone')} className="input">
              {[...new Set([values.timeZone, ...zones])].map((zone) => (
                <option key={zone}>{zone}</option>
              ))}
            </select>
          )}
        </Field>
        <Field label={t('units')} error={errors.units?.message}>
          {(props) => (
            <select {...props} {...register('units')} className="input">
              <option value="imperial">{t('imperial')}</option>
              <option value="metric">{t('metric')}</option>
            </select>
          )}
        </Field>
        <Field label={t('lastFrost')} hint={t('frostHint')} error={errors.lastFrost?.message}>
          {(props) => <input {...props} {...register('lastFrost')} placeholder="05-10" className="input" />}
        </Field>
        <Field label={t('firstFrost')} hint={t('frostHint')} error={errors.firstFrost?.message}>
          {(props) => <input {...props} {...register('firstFrost')} placeholder="10-03" className="input" />}
        </Field>
      </div>
      <FrostsRead values={values} />
      {spot && (
        <Field
          label={t('spot', { unit: values.units === 'imperial' ? '°F' : '°C' })}
          hint={t('spotHint')}
          error={errors.offsetC?.message}
        >
          {(props) => (
            <input {...props} {...register('offsetC')} inputMode="decimal" className="input max-w-40" />
          )}
        </Field>
      )}
    </fieldset>
  );
}

/** The frosts as the program understands them, while they are typed. */
function FrostsRead({ values }: { values: GardenValues }) {
  const { t } = useTranslation('place');
  const dates = useDates();
  const latitude = Number(values.latitude.replace(',', '.'));
  const { lastFrost, firstFrost } = values;
  const place = { latitude, longitude: 0, lastFrost: lastFrost.trim(), firstFrost: firstFrost.trim() };
  const readable = [place.lastFrost, place.firstFrost].every(isMonthDay) && Number.isFinite(latitude);
  if (!readable || values.latitude.trim() === '' || !frostsInOrder(place)) return null;
  const almanac = almanacOf(climateOfFrosts(place));
  const frosts = frostDates(almanac, 2026);
  if (frosts.lastFrost === null || frosts.firstFrost === null) return null;
  return (
    <p className="border-rain border-l-4 bg-rain-soft px-3 py-1.5">
      {t('frostsRead', {
        last: dates.bare(frosts.lastFrost),
        first: dates.bare(frosts.firstFrost),
        days: growingDays(almanac),
      })}
    </p>
  );
}
