/** What is typed into a form and not saved, with what it was typed over. */
export interface Draft {
  values: Record<string, unknown>;
  base: Record<string, unknown>;
}

const PREFIX = 'acre-draft ';

/*
 * Drafts live as long as the page's tab: through a reload and a sign-in that ran out, and not on a device that is passed on.
 * A browser that keeps nothing does without.
 */

export function readDraft(name: string): Draft | null {
  try {
    return JSON.parse(sessionStorage.getItem(PREFIX + name) ?? 'null') as Draft | null;
  } catch {
    return null;
  }
}

export function keepDraft(name: string, draft: Draft): void {
  try {
    sessionStorage.setItem(PREFIX + name, JSON.stringify(draft));
  } catch {
    // Full or forbidden: what is typed stands on the page all the same.
  }
}

export const dropDraft = (name: string): void => sessionStorage.removeItem(PREFIX + name);

/** Forgets all drafts: somebody else may come to this tab. */
export function dropDrafts(): void {
  for (const key of Object.keys(sessionStorage)) if (key.startsWith(PREFIX)) sessionStorage.removeItem(key);
}
