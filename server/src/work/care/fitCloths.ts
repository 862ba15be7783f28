import { fitSheets, type Sheet } from '@unity-acre/core/work';

/** Which cloth goes over what, on a thread: a garden may count hundreds of them, and a frost may threaten all of its beds. */
export const fitCloths = ({ needs, owned }: { needs: Sheet[]; owned: Sheet[] }): (Sheet | null)[] =>
  fitSheets(needs, owned);
