import type { UseFormRegisterReturn } from 'react-hook-form';
import { Field } from '../../kit/forms/index.ts';

/** A field for the e-mail one signs in with. */
export function EmailField({ label, field }: { label: string; field: UseFormRegisterReturn }) {
  return (
    <Field label={label} name={field.name}>
      {(props) => <input {...props} {...field} type="email" autoComplete="username" className="input" />}
    </Field>
  );
}
