import type { Bed } from '@unity-acre/contract/ground';
import {
  type PracticeSchool,
  type Practices,
  practiceSchools,
  practicesOf,
  schoolsAt,
} from '@unity-acre/core/crops';
import { amounts } from '@unity-acre/core/season';
import type { LengthUnit } from '@unity-acre/core/units';
import { useMemo } from 'react';
import { useTranslation } from 'react-i18next';
import { useCatalogue } from '../../crops/catalogue.ts';
import { useHere } from '../../garden/index.ts';
import { Disclosure, Select } from '../../kit/controls/index.ts';
import { Field, type useBodyForm } from '../../kit/forms/index.ts';
import type { PlanValues } from './Planner.tsx';
import { planAsTyped } from './planOf.ts';

interface Props {
  form: Pick<ReturnType<typeof useBodyForm<PlanValues, never>>, 'watch' | 'put'>;
  bed: Bed;
  bare: LengthUnit;
}

/** How steps are done with this planting alone, where growers disagree on it and it makes a difference. */
export function OwnPractices({ form, bed, bare }: Props) {
  const { t } = useTranslation(['season', 'practices']);
  const { garden } = useHere();
  const catalogue = useCatalogue();
  const values = form.watch();
  const usual = practicesOf(garden.rules.practices);
  const plan = planAsTyped(values, bed, catalogue, bare);
  const { cropId, method, pattern, width, length } = plan?.body ?? {};
  // biome-ignore lint/correctness/useExhaustiveDependencies: the rest of what is typed makes no difference to it
  const schools = useMemo((): PracticeSchool[] => {
    if (!plan) return [];
    const { crop } = plan.plan;
    const { plants, packing } = amounts(
      crop,
      plan.body.method,
      plan.body.pattern,
      plan.width,
      plan.length,
      bed,
    );
    const ground = { width: plan.width, length: plan.length, plants, rows: Math.max(1, packing.rows) };
    return schoolsAt({ crop, method: plan.body.method, ...ground, practices: usual });
  }, [cropId, method, pattern, width, length]);
  if (schools.length === 0) return null;
  const wayOf = (school: PracticeSchool, way: string) =>
    t(`practices:${school}.choice.${way}` as 'practices:slugs.choice.traps');
  return (
    <Disclosure summary={t('season:practices.title')} isOpen={Object.values(values.practices).some(Boolean)}>
      <div className="mt-2 flex flex-col gap-4">
        {schools.map((school) => (
          <Field key={school} label={t(`practices:${school}.name`)} name={`practices.${school}`}>
            {(props) => (
              <Select
                {...props}
                value={values.practices[school] ?? ''}
                onChange={(way) => form.put({ practices: { ...values.practices, [school]: way } })}
                options={[
                  { value: '', label: t('season:practices.usual', { choice: wayOf(school, usual[school]) }) },
                  ...(practiceSchools[school] as readonly Practices[PracticeSchool][]).map((way) => ({
                    value: way,
                    label: wayOf(school, way),
                  })),
                ]}
              />
            )}
          </Field>
        ))}
      </div>
    </Disclosure>
  );
}
