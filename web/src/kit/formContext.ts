import { createContext, useContext, useEffect } from 'react';
import type { Refused } from './refused.ts';

/** A field that somebody else changed meanwhile to something else than what is typed here. */
export interface Clash {
  field: string;
  mine: unknown;
  theirs: unknown;
}

/** What a form tells its fields and is told by them. */
interface FormState {
  /** codes of errors by the names of their fields */
  errors: Readonly<Record<string, string>>;
  refused: Refused | null;
  clashes: readonly Clash[];
  /** decides a clash: for what is typed here, or for what the other wrote */
  settle(field: string, isMine: boolean): void;
  /** fields that are shown: what they are called, and how they show a value */
  shown: Map<string, { label: string; show?: (value: unknown) => string | undefined }>;
}

const FormContext = createContext<FormState | null>(null);
export const FormProvider = FormContext.Provider;
/** The form one is in; null outside of any. */
export const useFormState = (): FormState | null => useContext(FormContext);

/** Tells the form what a field's values are called, for those that are not shown as they are. */
export function useShownAs(name: string | undefined, show: (value: unknown) => string | undefined): void {
  const form = useFormState();
  useEffect(() => {
    const field = name && form?.shown.get(name);
    if (field) field.show = show;
  });
}

/** Tells the form of a field that has no label of its own beside it, such as a cell of a table. */
export function useShownField(name: string, label: string): void {
  const form = useFormState();
  const shown = form?.shown;
  useEffect(() => {
    shown?.set(name, { label });
    return () => void shown?.delete(name);
  }, [shown, name, label]);
}
