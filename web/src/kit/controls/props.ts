/** What every control takes: how it is named and described, as `Field` gives it. */
export interface ControlProps {
  id?: string;
  /** its name in the form it is in */
  name?: string;
  'aria-label'?: string;
  'aria-invalid'?: boolean;
  'aria-describedby'?: string | undefined;
  disabled?: boolean;
  className?: string;
}

/** One thing that can be chosen. */
export interface Option<Value extends string = string> {
  value: Value;
  label: string;
  /** said behind it, softer */
  detail?: string;
  /** what stands over it and its neighbours of the same group */
  group?: string;
  disabled?: boolean;
}

/** Options by their groups, in their order. */
export function inGroups<Value extends string>(
  options: readonly Option<Value>[],
): { group: string; options: Option<Value>[] }[] {
  const groups: { group: string; options: Option<Value>[] }[] = [];
  for (const option of options) {
    const { group = '' } = option;
    const last = groups.at(-1);
    if (last?.group === group) last.options.push(option);
    else groups.push({ group, options: [option] });
  }
  return groups;
}

/** What is laid over the page: a list to choose from, a calendar. */
export const overlay =
  'z-[70] rounded-sm border-2 border-ink bg-paper text-ink shadow-[0_6px_0_-2px_var(--line-strong)]';
