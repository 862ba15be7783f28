import { Select } from '../../kit/controls/index.ts';
import { Field } from '../../kit/forms/index.ts';

/** Chooses one of some seasons, with its words beside it. */
export function YearSelect({
  label,
  value,
  onChange,
  years,
}: {
  label: string;
  value: number;
  onChange(year: number): void;
  years: readonly number[];
}) {
  const offered = years.includes(value) ? years : [...years, value].sort();
  return (
    <Field layout="beside" label={label}>
      {(props) => (
        <Select
          {...props}
          className="w-28"
          value={String(value)}
          onChange={(year) => onChange(Number(year))}
          options={offered.map((year) => ({ value: String(year), label: String(year) }))}
        />
      )}
    </Field>
  );
}
