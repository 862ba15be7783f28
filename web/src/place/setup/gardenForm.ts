import type { Garden } from '@unity-acre/contract/place';
import { dayIn } from '@unity-acre/core/calendar';
import { readCoordinate, readCoordinates } from '@unity-acre/core/place';
import type { ClipboardEvent } from 'react';
import { useTranslation } from 'react-i18next';
import { degreesIn, degreesShown } from '../../garden/index.ts';
import { Combobox, RadioGroup, typedMonthDay } from '../../kit/controls/index.ts';
import type { Dates } from '../../kit/datesIn.ts';
import { fetchedPart } from '../../kit/fetchedPart.tsx';
import { Field, type Reading, type useBodyForm } from '../../kit/forms/index.ts';

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

/** A date of every year in words. */
const inWords = (monthDay: string, dates: Dates): string => dates.bare(dayIn(2023, monthDay));

export const gardenValues = (garden: Garden, dates: Dates): GardenValues => ({
  offsetC: degreesShown(garden.offsetC, garden.units),
  name: garden.name,
  latitude: String(garden.latitude),
  longitude: String(garden.longitude),
  timeZone: garden.timeZone,
  units: garden.units,
  lastFrost: inWords(garden.lastFrost, dates),
  firstFrost: inWords(garden.firstFrost, dates),
});

/** @param language in which the dates are typed */
export const gardenBody = (values: GardenValues, read: Reading, language: string) => ({
  name: values.name,
  latitude: readCoordinate(values.latitude, 'latitude') ?? read.number('latitude', values.latitude),
  longitude: readCoordinate(values.longitude, 'longitude') ?? read.number('longitude', values.longitude),
  timeZone: values.timeZone,
  units: values.units,
  lastFrost: typedMonthDay(values.lastFrost, language) ?? values.lastFrost.trim(),
  firstFrost: typedMonthDay(values.firstFrost, language) ?? values.firstFrost.trim(),
  offsetC: degreesIn(read.number('offsetC', values.offsetC), values.units),
});

/** What the frosts come to is reckoned once there are some. */
const FrostsRead = fetchedPart(async () => (await import('./FrostsRead.tsx')).FrostsRead);

const zones = Intl.supportedValuesOf('timeZone');

interface Props {
  form: Pick<ReturnType<typeof useBodyForm<GardenValues, never>>, 'register' | 'control' | 'watch' | 'put'>;
  readOnly?: boolean;
  /** true where the garden may differ from its station */
  spot?: boolean;
}

/** The fields of a garden: its name, its place and its frosts. */
export function GardenFields({ form, readOnly = false, spot = false }: Props) {
  const { t } = useTranslation('place');
  const { register } = form;
  const values = form.watch();
  /** Both coordinates, pasted into either field, go where they belong. */
  const pasteBoth = (event: ClipboardEvent) => {
    const both = readCoordinates(event.clipboardData.getData('text'));
    if (!both) return;
    event.preventDefault();
    form.put({ latitude: String(both.latitude), longitude: String(both.longitude) });
  };
  return (
    <fieldset disabled={readOnly} className="flex flex-col gap-4">
      <Field label={t('name')} name="name">
        {(props) => <input {...props} {...register('name')} className="input" autoComplete="off" />}
      </Field>
      <div className="grid gap-4 sm:grid-cols-2">
        <Field label={t('latitude')} hint={t('latitudeHint')} name="latitude">
          {(props) => <input {...props} {...register('latitude')} onPaste={pasteBoth} className="input" />}
        </Field>
        <Field label={t('longitude')} hint={t('longitudeHint')} name="longitude">
          {(props) => <input {...props} {...register('longitude')} onPaste={pasteBoth} className="input" />}
        </Field>
        <Field label={t('timeZone')} name="timeZone">
          {(props) => (
            <Combobox
              {...props}
              {...form.control('timeZone')}
              options={[...new Set([values.timeZone, ...zones])].map((zone) => ({
                value: zone,
                label: zone,
              }))}
            />
          )}
        </Field>
        <fieldset>
          <legend className="font-semibold text-sm">{t('units')}</legend>
          <RadioGroup
            aria-label={t('units')}
            {...form.control('units')}
            disabled={readOnly}
            options={[
              { value: 'imperial', label: t('imperial') },
              { value: 'metric', label: t('metric') },
            ]}
          />
        </fieldset>
        <Field label={t('lastFrost')} hint={t('frostHint')} name="lastFrost">
          {(props) => <input {...props} {...register('lastFrost')} className="input" />}
        </Field>
        <Field label={t('firstFrost')} hint={t('frostHint')} name="firstFrost">
          {(props) => <input {...props} {...register('firstFrost')} className="input" />}
        </Field>
      </div>
      <FrostsRead values={values} />
      {spot && (
        <Field
          label={t('spot', { unit: values.units === 'imperial' ? '°F' : '°C' })}
          hint={t('spotHint')}
          name="offsetC"
        >
          {(props) => (
            <input {...props} {...register('offsetC')} inputMode="decimal" className="input max-w-40" />
          )}
        </Field>
      )}
    </fieldset>
  );
}
