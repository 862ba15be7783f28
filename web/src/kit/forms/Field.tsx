import { type ReactNode, useId, useLayoutEffect } from 'react';
import { useFormState } from '../formContext.ts';
import { useRemedy } from './refusalWords.ts';

interface FieldProps {
  label: string;
  /** its name in the form it is in, which knows what is wrong with it */
  name?: string;
  hint?: string | undefined;
  /** the code of what is wrong with it, outside a form */
  error?: string | undefined;
  /** the label over its field, beside it, or only for those who hear the page */
  layout?: keyof typeof layouts;
  children: (props: {
    id: string;
    'aria-invalid': boolean;
    'aria-describedby': string | undefined;
  }) => ReactNode;
}

const layouts = {
  above: { field: 'flex flex-col gap-1', label: 'font-semibold text-sm' },
  beside: { field: 'flex flex-wrap items-center gap-x-2', label: 'text-sm' },
  unlabelled: { field: '', label: 'sr-only' },
} as const;

/** A labelled field with its hint and its error, tied together for those who hear the page. */
export function Field({ label, name, hint, error, layout = 'above', children }: FieldProps) {
  const id = useId();
  const form = useFormState();
  useLayoutEffect(() => {
    if (!name || !form) return;
    form.shown.set(name, { ...form.shown.get(name), label });
    return () => void form.shown.delete(name);
  }, [name, label, form?.shown, form]);
  const remedy = useRemedy()(error ?? (name && form?.errors[name]));
  const described = [remedy && `${id}-error`, hint && `${id}-hint`].filter(Boolean).join(' ') || undefined;
  return (
    <div className={layouts[layout].field}>
      <label htmlFor={id} className={layouts[layout].label}>
        {label}
      </label>
      {children({ id, 'aria-invalid': remedy !== undefined, 'aria-describedby': described })}
      {hint && (
        <p id={`${id}-hint`} className="text-ink-soft text-sm">
          {hint}
        </p>
      )}
      {remedy && (
        <p
          id={`${id}-error`}
          role="alert"
          className="border-beet border-l-4 bg-beet-soft px-2 py-0.5 text-beet text-sm"
        >
          {remedy}
        </p>
      )}
    </div>
  );
}
