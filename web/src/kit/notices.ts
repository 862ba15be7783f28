import { create } from 'zustand';

/** What was just done, or could not be. */
export interface Notice {
  id: number;
  /** empty for "taken back", which the strip says itself */
  text: string;
  tone: 'done' | 'trouble';
  onUndo: (() => void) | null;
}

interface Notices {
  list: Notice[];
  show(notice: { text?: string; undone?: true; tone?: Notice['tone']; onUndo?: () => void }): void;
  dismiss(id: number): void;
}

/** How many are shown at once. */
const SHOWN = 3;

let next = 1;

/** What was just done, in words, for a while. */
export const useNotices = create<Notices>((set) => ({
  list: [],
  show: ({ text = '', tone = 'done', onUndo }) =>
    set(({ list }) => ({
      // The same trouble again is the same notice.
      list: [
        ...list.filter((one) => one.tone === 'done' || one.text !== text),
        { id: next++, text, tone, onUndo: onUndo ?? null },
      ].slice(-SHOWN),
    })),
  dismiss: (id) => set(({ list }) => ({ list: list.filter((notice) => notice.id !== id) })),
}));
