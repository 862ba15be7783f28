import type { PersonInput } from '@unity-acre/contract/crew';
import { type Strain, strains } from '@unity-acre/core/crew';
import { useTranslation } from 'react-i18next';
import { Select } from '../../kit/controls/index.ts';
import { Field } from '../../kit/forms/index.ts';

/** How willing somebody is to do what is hard on a body. */
type Willing = 'can' | 'ratherNot' | 'cannot';
export type WillingBy = Record<Strain, Willing>;

const choices: Willing[] = ['can', 'ratherNot', 'cannot'];

export const willingOf = ({ cannot, ratherNot }: Pick<PersonInput, 'cannot' | 'ratherNot'>): WillingBy =>
  Object.fromEntries(
    strains.map((strain) => [
      strain,
      cannot.includes(strain) ? 'cannot' : ratherNot.includes(strain) ? 'ratherNot' : 'can',
    ]),
  ) as WillingBy;

export const listsOf = (willing: WillingBy): Pick<PersonInput, 'cannot' | 'ratherNot'> => ({
  cannot: strains.filter((strain) => willing[strain] === 'cannot'),
  ratherNot: strains.filter((strain) => willing[strain] === 'ratherNot'),
});

/** Kneeling, lifting and the like: no trouble, would rather not, or cannot. */
export function Strains({ value, onChange }: { value: WillingBy; onChange(value: WillingBy): void }) {
  const { t } = useTranslation('people');
  return (
    <fieldset>
      <legend className="font-semibold text-sm">{t('strains')}</legend>
      {strains.map((strain) => (
        <Field key={strain} layout="beside" label={t(`strain.${strain}`)}>
          {(props) => (
            <Select
              {...props}
              value={value[strain]}
              onChange={(willing) => onChange({ ...value, [strain]: willing })}
              options={choices.map((choice) => ({ value: choice, label: t(`willing.${choice}`) }))}
            />
          )}
        </Field>
      ))}
    </fieldset>
  );
}
