import { useTranslation } from 'react-i18next';
import { Checkbox } from '../../kit/controls/index.ts';
import { fetchedPart } from '../../kit/fetchedPart.tsx';
import { Field } from '../../kit/forms/index.ts';
import type { GardenForm } from './gardenForm.ts';

/** What the frosts come to is computed once there are some. */
const FrostsRead = fetchedPart(async () => (await import('./FrostsRead.tsx')).FrostsRead);

/** The median frosts, or that there are none to speak of. */
export function FrostFields({ form }: { form: GardenForm }) {
  const { t } = useTranslation('place');
  const values = form.watch();
  return (
    <fieldset className="flex flex-col gap-3">
      <legend className="mb-2 font-semibold">{t('frosts')}</legend>
      <Checkbox {...form.check('frostIsRare')} label={t('frostIsRare')} />
      {!values.frostIsRare && (
        <>
          <div className="grid gap-4 sm:grid-cols-2">
            <Field label={t('lastFrost')} hint={t('frostHint')} name="lastFrost">
              {(props) => <input {...props} {...form.register('lastFrost')} className="input" />}
            </Field>
            <Field label={t('firstFrost')} hint={t('frostHint')} name="firstFrost">
              {(props) => <input {...props} {...form.register('firstFrost')} className="input" />}
            </Field>
          </div>
          <FrostsRead values={values} />
        </>
      )}
    </fieldset>
  );
}
