import type { Crop } from '@unity-acre/core/crops';
import { sownBy, spacingOf } from '@unity-acre/core/season';
import { useTranslation } from 'react-i18next';
import { useMeasure } from '../../garden/index.ts';
import { Field, type useBodyForm } from '../../kit/forms/index.ts';
import type { PlanValues } from './Planner.tsx';

/** How far apart and how many to a hole for this planting alone, each with what is usual for its crop. */
export function SpacingFields({
  form,
  crop,
}: {
  form: Pick<ReturnType<typeof useBodyForm<PlanValues, never>>, 'register' | 'watch'>;
  crop: Crop;
}) {
  const { t } = useTranslation('season');
  const { spacing } = useMeasure();
  const { pattern, method } = form.watch();
  const hasRows = pattern === 'rows' || pattern === 'staggered';
  const usual = (value: string | number) => t('spacing.usual', { value });
  return (
    <fieldset>
      <legend className="mb-1 font-semibold text-sm">{t('spacing.title')}</legend>
      <div className="grid grid-cols-3 gap-3">
        <Field label={t('spacing.inRow')} hint={usual(spacing(spacingOf(crop, pattern)))} name="inRow">
          {(props) => <input {...props} {...form.register('inRow')} className="input" autoComplete="off" />}
        </Field>
        {hasRows && (
          <Field label={t('spacing.betweenRows')} hint={usual(spacing(crop.betweenRows))} name="betweenRows">
            {(props) => (
              <input {...props} {...form.register('betweenRows')} className="input" autoComplete="off" />
            )}
          </Field>
        )}
        {method !== 'setPlants' && (
          <Field
            label={t('spacing.seedsPerHole')}
            hint={usual(sownBy(crop, method).seedsPerHole)}
            name="seedsPerHole"
          >
            {(props) => (
              <input
                {...props}
                {...form.register('seedsPerHole')}
                className="input"
                inputMode="numeric"
                autoComplete="off"
              />
            )}
          </Field>
        )}
      </div>
    </fieldset>
  );
}
