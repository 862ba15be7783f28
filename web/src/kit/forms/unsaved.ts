import { create } from 'zustand';
import { dropDraft } from './drafts.ts';

/** Forms in which something is typed that is not saved, each with the name of its draft, if it keeps one. */
export const useUnsaved = create<{ forms: ReadonlyMap<string, string | null> }>(() => ({
  forms: new Map(),
}));

export function noteUnsaved(form: string, isUnsaved: boolean, draft: string | null): void {
  const { forms } = useUnsaved.getState();
  if (forms.has(form) === isUnsaved) return;
  const next = new Map(forms);
  if (isUnsaved) next.set(form, draft);
  else next.delete(form);
  useUnsaved.setState({ forms: next });
}

/** Lets go of what is typed: whoever leaves it was asked. */
export function dropUnsaved(): void {
  for (const draft of useUnsaved.getState().forms.values()) if (draft !== null) dropDraft(draft);
  useUnsaved.setState({ forms: new Map() });
}
