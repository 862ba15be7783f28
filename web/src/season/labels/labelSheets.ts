/** A sheet of labels, millimetres: the page, how many across and down, and where they lie. */
export interface LabelSheet {
  page: { width: number; height: number };
  across: number;
  down: number;
  width: number;
  height: number;
  left: number;
  top: number;
  gapX: number;
  gapY: number;
}

const a4 = { width: 210, height: 297 };
const letter = { width: 215.9, height: 279.4 };

/** The usual sheets of label shops, by paper and number of labels, and one of long strips to cut for stakes. From memory. */
export const sheets = {
  a421: {
    page: a4,
    across: 3,
    down: 7,
    width: 63.5,
    height: 38.1,
    left: 7.25,
    top: 15.15,
    gapX: 2.5,
    gapY: 0,
  },
  a424: { page: a4, across: 3, down: 8, width: 70, height: 37, left: 0, top: 0.5, gapX: 0, gapY: 0 },
  a4stakes: { page: a4, across: 2, down: 10, width: 95, height: 27, left: 8, top: 12, gapX: 4, gapY: 0.5 },
  letter30: {
    page: letter,
    across: 3,
    down: 10,
    width: 66.675,
    height: 25.4,
    left: 4.76,
    top: 12.7,
    gapX: 3.175,
    gapY: 0,
  },
  letter10: {
    page: letter,
    across: 2,
    down: 5,
    width: 101.6,
    height: 50.8,
    left: 3.97,
    top: 12.7,
    gapX: 4.76,
    gapY: 0,
  },
} as const satisfies Record<string, LabelSheet>;
export type SheetName = keyof typeof sheets;

/** Labels laid on pages. @param skip places of the first page that are used up already */
export function paged<T>(labels: readonly T[], { across, down }: LabelSheet, skip: number): (T | null)[][] {
  const places: (T | null)[] = [...new Array<null>(skip).fill(null), ...labels];
  const each = across * down;
  const pages: (T | null)[][] = [];
  for (let i = 0; i < places.length; i += each) pages.push(places.slice(i, i + each));
  return labels.length === 0 ? [] : pages;
}
