import type { PersonInput } from '@unity-acre/contract/crew';
import { type Strain, strains } from '@unity-acre/core/crew';
import { useTranslation } from 'react-i18next';

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
        <label
          key={strain}
          className="grid min-h-target grid-cols-[8rem_minmax(0,1fr)] items-center gap-2 border-line border-b py-1 text-sm"
        >
          {t(`strain.${strain}`)}
          <select
            className="input"
            value={value[strain]}
            onChange={(event) => onChange({ ...value, [strain]: event.target.value as Willing })}
          >
            {choices.map((choice) => (
              <option key={choice} value={choice}>
                {t(`willing.${choice}`)}
              </option>
            ))}
          </select>
        </label>
      ))}
    </fieldset>
  );
}
