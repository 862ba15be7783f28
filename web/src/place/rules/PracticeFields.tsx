import type { RulesInput } from '@unity-acre/contract/place';
import { type PracticeSchool, type Practices, practiceSchools, practicesOf } from '@unity-acre/core/crops';
import { useTranslation } from 'react-i18next';
import { Select } from '../../kit/controls/index.ts';
import { Field } from '../../kit/forms/index.ts';

const schools = Object.keys(practiceSchools) as PracticeSchool[];

/** How each step is done where growers disagree, one choice for each. */
export function PracticeFields({
  rules,
  onChoose,
  readOnly,
}: {
  rules: RulesInput;
  onChoose(practices: Practices): void;
  readOnly: boolean;
}) {
  const { t } = useTranslation('practices');
  const chosen = practicesOf(rules.practices);
  return (
    <section className="furrow">
      <h2>{t('title')}</h2>
      <p className="mb-3 max-w-prose text-ink-soft">{t('lead')}</p>
      <div className="grid gap-x-8 gap-y-4 sm:grid-cols-2 xl:grid-cols-3">
        {schools.map((school) => (
          <Field key={school} label={t(`${school}.name`)} name={`practices.${school}`}>
            {(props) => (
              <Select
                {...props}
                value={chosen[school]}
                disabled={readOnly}
                onChange={(way) => onChoose({ ...chosen, [school]: way })}
                options={(practiceSchools[school] as readonly Practices[PracticeSchool][]).map((way) => ({
                  value: way,
                  label: t(`${school}.choice.${way}` as 'slugs.choice.traps'),
                }))}
              />
            )}
          </Field>
        ))}
      </div>
    </section>
  );
}
