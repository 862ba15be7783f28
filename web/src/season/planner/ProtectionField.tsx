import { protections, shelters } from '@unity-acre/core/place';
import { useTranslation } from 'react-i18next';
import { degreesShown, useHere } from '../../garden/index.ts';
import { Select } from '../../kit/controls/index.ts';
import { Field, type useBodyForm } from '../../kit/forms/index.ts';
import type { PlanValues } from './Planner.tsx';

/** What stands over a planting or lies on its soil, with what that is worth. */
export function ProtectionField({
  form,
}: {
  form: Pick<ReturnType<typeof useBodyForm<PlanValues, never>>, 'control' | 'watch'>;
}) {
  const { t } = useTranslation('season');
  const { units } = useHere().garden;
  const { protection } = form.watch();
  const { frostC, nightsC } = shelters[protection];
  const unit = units === 'imperial' ? '°F' : '°C';
  const hint = t(`protection.does.${protection}`, {
    frost: `${degreesShown(frostC, units)} ${unit}`,
    nights: `${degreesShown(nightsC, units)} ${unit}`,
  });
  return (
    <Field label={t('protection.label')} hint={hint} name="protection">
      {(props) => (
        <Select
          {...props}
          {...form.control('protection')}
          options={protections.map((value) => ({ value, label: t(`protection.kind.${value}`) }))}
        />
      )}
    </Field>
  );
}
