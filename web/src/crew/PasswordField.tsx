import type { UseFormRegisterReturn } from 'react-hook-form';
import { Field } from '../kit/form.tsx';

/** A field for a password: the one that somebody has, or a new one for their browser to offer and to keep. */
export function PasswordField({
  label,
  hint,
  error,
  field,
  isNew = false,
}: {
  label: string;
  hint?: string;
  error: string | undefined;
  field: UseFormRegisterReturn;
  isNew?: boolean;
}) {
  return (
    <Field label={label} hint={hint} error={error}>
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
