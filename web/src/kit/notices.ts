import { create } from 'zustand';

export interface Notice {
  id: number;
  text: string;
  /** the change that can be undone from here */
  change: string | null;
  tone: 'done' | 'trouble';
}

interface Notices {
  list: Notice[];
  show(notice: { text: string; change?: string | null; tone?: Notice['tone'] }): void;
  dismiss(id: number): void;
}

let next = 1;

/** What was just done, in words, for a while. */
export const useNotices = create<Notices>((set) => ({
  list: [],
  show: ({ text, change = null, tone = 'done' }) =>
    set(({ list }) => ({ list: [...list.slice(-2), { id: next++, text, change, tone }] })),
  dismiss: (id) => set(({ list }) => ({ list: list.filter((notice) => notice.id !== id) })),
}));
