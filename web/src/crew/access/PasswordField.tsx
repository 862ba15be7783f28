import type { UseFormRegisterReturn } from 'react-hook-form';
import { Field } from '../../kit/forms/index.ts';

/** A field for a password: the one that somebody has, or a new one for their browser to offer and to keep. */
export function PasswordField({
  label,
  hint,
  field,
  isNew = false,
}: {
  label: string;
  hint?: string;
  field: UseFormRegisterReturn;
  isNew?: boolean;
}) {
  return (
    <Field label={label} hint={hint} name={field.name}>
      {(props) => (
        <input
          {...props}
          {...field}
          type="password"
          autoComplete={isNew ? 'new-password' : 'current-password'}
          className="input"
        />
      )}
    </Field>
  );
}
