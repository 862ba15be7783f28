import { readCoordinates } from '@unity-acre/core/place';
import type { ClipboardEvent } from 'react';
import { useTranslation } from 'react-i18next';
import { Combobox, RadioGroup } from '../../kit/controls/index.ts';
import { fetchedPart } from '../../kit/fetchedPart.tsx';
import { Field } from '../../kit/forms/index.ts';
import { FrostFields } from './FrostFields.tsx';
import type { GardenForm } from './gardenForm.ts';
import { type BetterKnown, WarmthFields } from './WarmthFields.tsx';

/** The table of towns is long, and so is that of time zones: they are fetched beside the form. */
const TownField = fetchedPart(async () => (await import('./PlaceHelp.tsx')).TownField);
const PointHelp = fetchedPart(async () => (await import('./PlaceHelp.tsx')).PointHelp);

const zones = Intl.supportedValuesOf('timeZone');

interface Props {
  form: GardenForm;
  readOnly?: boolean;
  /** true where the garden may differ from its station */
  spot?: boolean;
  better?: BetterKnown | null;
}

/** The fields of a garden: its name, its place, its frosts, and how warm and cold it gets. */
export function GardenFields({ form, readOnly = false, spot = false, better = null }: Props) {
  const { t } = useTranslation('place');
  const { register } = form;
  const { units } = form.watch();
  return (
    <fieldset disabled={readOnly} className="flex flex-col gap-4">
      <Field label={t('name')} name="name">
        {(props) => <input {...props} {...register('name')} className="input" autoComplete="off" />}
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
      {!readOnly && <TownField form={form} />}
      <PlaceFields form={form} />
      {!readOnly && <PointHelp form={form} />}
      <FrostFields form={form} />
      <WarmthFields form={form} better={better} />
      {spot && (
        <Field
          label={t('spot', { unit: units === 'imperial' ? '°F' : '°C' })}
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

/** Where the garden lies. */
function PlaceFields({ form }: Pick<Props, 'form'>) {
  const { t } = useTranslation('place');
  const { register } = form;
  const { timeZone, units } = form.watch();
  /** Both coordinates, pasted into either field, go where they belong. */
  const pasteBoth = (event: ClipboardEvent) => {
    const both = readCoordinates(event.clipboardData.getData('text'));
    if (!both) return;
    event.preventDefault();
    form.put({ latitude: String(both.latitude), longitude: String(both.longitude) });
  };
  return (
    <div className="grid gap-4 sm:grid-cols-2">
      <Field label={t('latitude')} hint={t('latitudeHint')} name="latitude">
        {(props) => <input {...props} {...register('latitude')} onPaste={pasteBoth} className="input" />}
      </Field>
      <Field label={t('longitude')} hint={t('longitudeHint')} name="longitude">
        {(props) => <input {...props} {...register('longitude')} onPaste={pasteBoth} className="input" />}
      </Field>
      <Field
        label={t('height', { unit: units === 'imperial' ? 'ft' : 'm' })}
        hint={t('heightHint')}
        name="height"
      >
        {(props) => <input {...props} {...register('height')} inputMode="decimal" className="input" />}
      </Field>
      <Field label={t('timeZone')} name="timeZone">
        {(props) => (
          <Combobox
            {...props}
            {...form.control('timeZone')}
            options={[...new Set([timeZone, ...zones])].map((zone) => ({ value: zone, label: zone }))}
          />
        )}
      </Field>
    </div>
  );
}
