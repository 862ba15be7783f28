import { Combobox, type ControlProps } from '../kit/controls/index.ts';
import { useCatalogue } from './catalogue.ts';
import { useCropNames } from './names.ts';

/** Chooses a crop by its name in the reader's language. */
export function CropSelect({
  none,
  ...props
}: ControlProps & {
  value: string;
  onChange(cropId: string): void;
  /** the words for no crop, where one may choose none */
  none?: string;
}) {
  const names = useCropNames();
  const { crops } = useCatalogue();
  return (
    <Combobox
      {...props}
      options={[
        ...(none === undefined ? [] : [{ value: '', label: none }]),
        ...names.sorted(crops).map(({ id }) => ({ value: id, label: names.crop(id) })),
      ]}
    />
  );
}
