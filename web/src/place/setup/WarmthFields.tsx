import { useTranslation } from 'react-i18next';
import { Field } from '../../kit/forms/index.ts';
import { type GardenForm, warmthFields } from './gardenForm.ts';

/** What is known better of a garden's climate than four numbers. */
export type BetterKnown = 'record' | 'means';

/** The usual highs and lows of the warmest and of the coldest month: what two frost dates do not tell. */
export function WarmthFields({ form, better }: { form: GardenForm; better: BetterKnown | null }) {
  const { t } = useTranslation('place');
  const unit = form.watch().units === 'imperial' ? '°F' : '°C';
  return (
    <fieldset className="flex flex-col gap-2">
      <legend className="mb-1 font-semibold">{t('warmth.title')}</legend>
      <p className="max-w-prose text-ink-soft text-sm">{t('warmth.lead')}</p>
      {better && <p className="max-w-prose text-sm">{t(`warmth.${better}`)}</p>}
      <div className="grid grid-cols-2 gap-4">
        {warmthFields.map(([field]) => (
          <Field key={field} label={t(`warmth.${field}`, { unit })} name={field}>
            {(props) => (
              <input
                {...props}
                {...form.register(field, { onChange: () => form.put({ means: null }) })}
                inputMode="text"
                className="input"
              />
            )}
          </Field>
        ))}
      </div>
    </fieldset>
  );
}
