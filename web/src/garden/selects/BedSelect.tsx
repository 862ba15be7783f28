import { Combobox, type ControlProps } from '../../kit/controls/index.ts';
import { useList } from '../lists.ts';

/** Chooses a bed. */
export function BedSelect({
  none,
  but = [],
  ...props
}: ControlProps & {
  value: string;
  onChange(bedId: string): void;
  /** the words for no bed, where one may choose none */
  none?: string;
  /** beds that are not offered */
  but?: readonly string[];
}) {
  const beds = (useList('beds').data ?? []).filter(({ id }) => !but.includes(id));
  return (
    <Combobox
      {...props}
      options={[
        ...(none === undefined ? [] : [{ value: '', label: none }]),
        ...beds.map(({ id, name }) => ({ value: id, label: name })),
      ]}
    />
  );
}
