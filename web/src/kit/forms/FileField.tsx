import { Field } from './Field.tsx';

/** A field to choose a file with; a file that was mended may be chosen again under its own name. */
export function FileField({
  label,
  hint,
  error,
  accept,
  onFile,
}: {
  label: string;
  hint: string;
  error: string | undefined;
  accept: string;
  onFile(file: File | null): void;
}) {
  return (
    <Field label={label} hint={hint} error={error}>
      {(props) => (
        <input
          {...props}
          type="file"
          accept={accept}
          className="input py-1.5"
          onClick={(event) => {
            event.currentTarget.value = '';
          }}
          onChange={(event) => onFile(event.target.files?.[0] ?? null)}
        />
      )}
    </Field>
  );
}
