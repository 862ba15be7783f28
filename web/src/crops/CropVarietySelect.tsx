import type { Variety } from '@unity-acre/core/crops';
import { Select } from '../kit/controls/index.ts';
import { Field } from '../kit/forms/index.ts';
import { CropSelect } from './CropSelect.tsx';
import { useCatalogue } from './catalogue.ts';
import { useCropNames } from './names.ts';

/** A crop and one of its varieties, as two fields of a form. Another crop takes its own first variety. */
export function CropVarietySelect({
  cropId,
  varietyId,
  onChange,
  labels,
  say,
}: {
  cropId: string;
  varietyId: string;
  onChange(chosen: { cropId: string; varietyId: string }): void;
  labels: { crop: string; variety: string };
  /** a variety in words of the form's own; its name where it has none */
  say?(variety: Variety): string;
}) {
  const names = useCropNames();
  const catalogue = useCatalogue();
  const varieties = catalogue.crop(cropId)?.varieties ?? [];
  const choose = (id: string) => {
    const of = catalogue.crop(id)?.varieties ?? [];
    const kept = of.find((variety) => variety.id === varietyId) ?? of[0];
    onChange({ cropId: id, varietyId: kept?.id ?? '' });
  };
  return (
    <>
      <Field label={labels.crop} name="cropId">
        {(props) => <CropSelect {...props} name="cropId" value={cropId} onChange={choose} />}
      </Field>
      <Field label={labels.variety} name="varietyId">
        {(props) => (
          <Select
            {...props}
            name="varietyId"
            value={varietyId}
            onChange={(id) => onChange({ cropId, varietyId: id })}
            options={varieties.map((variety) => ({
              value: variety.id,
              label: say?.(variety) ?? names.variety(cropId, variety.id),
            }))}
          />
        )}
      </Field>
    </>
  );
}
