import type { EntryInput } from '@unity-acre/contract/log';
import type { Planting } from '@unity-acre/contract/season';
import { useTranslation } from 'react-i18next';
import { useLeads, useList } from '../garden/index.ts';
import { Field } from '../kit/forms/index.ts';

type SeedsFrom = NonNullable<EntryInput['seedsFrom']>;

/** How many seeds a sowing took out of each packet of its variety; where nothing is said, it takes what the plan takes. */
export function SeedsFromField({
  planting,
  value,
  onChange,
}: {
  planting: Planting;
  value: EntryInput['seedsFrom'];
  onChange(value: SeedsFrom): void;
}) {
  const { t } = useTranslation('log');
  const leads = useLeads();
  const lots = (useList('seedLots', leads).data ?? []).filter(
    ({ cropId, varietyId }) => cropId === planting.cropId && varietyId === planting.varietyId,
  );
  if (lots.length === 0) return null;
  const planned: SeedsFrom = planting.seedSources.flatMap(({ lotId, seeds }) =>
    lotId === null ? [] : [{ lotId, seeds }],
  );
  const taken = value ?? planned;
  const take = (lotId: string, typed: string) => {
    const seeds = Math.round(Number(typed));
    const others = taken.filter((one) => one.lotId !== lotId);
    onChange(seeds > 0 ? [...others, { lotId, seeds }] : others);
  };
  return (
    <fieldset className="col-span-full flex flex-wrap items-end gap-3">
      <legend className="mb-1 font-semibold text-sm">{t('seedsFrom')}</legend>
      {lots.map(({ id, year, source }) => (
        <Field key={id} label={[year, source].filter(Boolean).join(', ')} name="seedsFrom">
          {(props) => (
            <input
              {...props}
              className="input w-40"
              inputMode="numeric"
              autoComplete="off"
              value={taken.find(({ lotId }) => lotId === id)?.seeds ?? ''}
              onChange={({ target }) => take(id, target.value)}
            />
          )}
        </Field>
      ))}
    </fieldset>
  );
}
