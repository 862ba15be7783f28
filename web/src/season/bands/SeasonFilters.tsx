import type { Bed } from '@unity-acre/contract/ground';
import type { Planting } from '@unity-acre/contract/season';
import { families } from '@unity-acre/core/crops';
import { useTranslation } from 'react-i18next';
import { useSearchParams } from 'react-router';
import { useCatalogue } from '../../crops/catalogue.ts';
import { useCropNames } from '../../crops/names.ts';
import { tenureIn } from '../../garden/index.ts';
import { compareNames } from '../../kit/compareNames.ts';
import { Select } from '../../kit/controls/index.ts';
import { Field } from '../../kit/forms/index.ts';

type Filter = 'crop' | 'family' | 'holder';
type Put = (name: Filter | 'planting', value: string | null) => void;
type Only = Record<Filter, string | null>;

/** What the address says of the season: what is shown of it, and which planting is chosen. */
export function useSeasonAddress(): { only: Only; selected: string | null; put: Put } {
  const [search, setSearch] = useSearchParams();
  const put: Put = (name, value) =>
    setSearch(
      (now) => {
        const next = new URLSearchParams(now);
        if (value) next.set(name, value);
        else next.delete(name);
        return next;
      },
      { replace: true },
    );
  const only = { crop: search.get('crop'), family: search.get('family'), holder: search.get('holder') };
  return { only, selected: search.get('planting'), put };
}

/** The beds and plantings that the filters leave. */
export function useFiltered(
  beds: Bed[],
  plantings: Planting[],
  year: number,
  only: Only,
): { beds: Bed[]; plantings: Planting[] } {
  const catalogue = useCatalogue();
  const shown = plantings.filter(
    ({ cropId }) =>
      (!only.crop || cropId === only.crop) &&
      (!only.family || catalogue.crop(cropId)?.family === only.family),
  );
  const isNarrowed = Boolean(only.crop || only.family);
  return {
    plantings: shown,
    beds: beds.filter(
      (bed) =>
        (!only.holder || (tenureIn(bed, year)?.holder ?? '') === only.holder) &&
        (!isNarrowed || shown.some(({ bedId }) => bedId === bed.id)),
    ),
  };
}

interface Props {
  beds: Bed[];
  plantings: Planting[];
  year: number;
}

/** Narrows the season to a crop, a family, or what somebody holds. */
export function SeasonFilters(props: Props) {
  return (
    <div className="flex flex-wrap gap-x-5 gap-y-2">
      <CropFilter {...props} />
      <FamilyFilter {...props} />
      <HolderFilter {...props} />
    </div>
  );
}

const grownIn = (plantings: Planting[]): string[] => [...new Set(plantings.map(({ cropId }) => cropId))];

function CropFilter({ plantings }: Props) {
  const names = useCropNames();
  const options = grownIn(plantings).map((id) => ({ value: id, label: names.crop(id) }));
  return <OneOf name="crop" options={options.sort((a, b) => compareNames(a.label, b.label))} />;
}

function FamilyFilter({ plantings }: Props) {
  const { t } = useTranslation(['kit', 'season']);
  const catalogue = useCatalogue();
  const grown = new Set(grownIn(plantings).map((id) => catalogue.crop(id)?.family));
  const options = families.filter((family) => grown.has(family));
  return (
    <OneOf
      name="family"
      options={options.map((family) => ({ value: family, label: t(`kit:family.${family}`) }))}
    />
  );
}

function HolderFilter({ beds, year }: Props) {
  const holders = [...new Set(beds.flatMap((bed) => tenureIn(bed, year)?.holder ?? []))].sort();
  if (holders.length === 0) return null;
  return <OneOf name="holder" options={holders.map((name) => ({ value: name, label: name }))} />;
}

function OneOf({ name, options }: { name: Filter; options: { value: string; label: string }[] }) {
  const { t } = useTranslation(['plan', 'season']);
  const { only, put } = useSeasonAddress();
  return (
    <Field layout="beside" label={t(`plan:only.${name}`)}>
      {(props) => (
        <Select
          {...props}
          className="w-40"
          value={only[name] ?? ''}
          onChange={(value) => put(name, value)}
          options={[{ value: '', label: t('plan:only.all') }, ...options]}
        />
      )}
    </Field>
  );
}
