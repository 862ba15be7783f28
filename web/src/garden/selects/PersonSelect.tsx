import { Combobox, type ControlProps } from '../../kit/controls/index.ts';

/** Chooses one of some people. */
export function PersonSelect({
  none,
  people,
  ...props
}: ControlProps & {
  value: string;
  onChange(personId: string): void;
  placeholder?: string;
  /** the words for nobody, where one may choose nobody */
  none?: string;
  people: readonly { id: string; name: string; household?: string }[];
}) {
  return (
    <Combobox
      {...props}
      options={[
        ...(none === undefined ? [] : [{ value: '', label: none }]),
        ...people.map(({ id, name, household }) => ({
          value: id,
          label: name,
          ...(household && { detail: household }),
        })),
      ]}
    />
  );
}
