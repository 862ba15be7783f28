import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import type { Plugin } from 'vite';

const CATALOGUE = join(import.meta.dirname, '../core/src/crops/catalogue');
/** What fetches the crops that ship. */
const FETCHES = /[/]crops[/]shippedCrops[.]ts$/;
/** Where the page begins to fetch them. */
export const CROPS_FILE = /crops-[^/]*[.]json$/;

/** The rows of all families in one, as `core/crops/shipped.ts` puts them together. */
const rows = (): unknown[] =>
  readdirSync(CATALOGUE)
    .filter((name) => name.endsWith('.json'))
    .sort()
    .flatMap((name) => JSON.parse(readFileSync(join(CATALOGUE, name), 'utf8')).crops ?? []);

/**
 * Has the catalogue fetched as a file of data beside the program, not as a part of it: it is as long as a tenth of what a
 * first visit runs, and a browser reads data sooner than a program.
 */
export const cropsAsData = (): Plugin => ({
  name: 'crops-as-data',
  apply: 'build',
  enforce: 'pre',
  load(id) {
    if (!FETCHES.test(id)) return null;
    const file = this.emitFile({ type: 'asset', name: 'crops.json', source: JSON.stringify(rows()) });
    return {
      code: `export const fetchShippedCrops = async () => {
        const response = await fetch(import.meta.ROLLUP_FILE_URL_${file});
        if (!response.ok) throw new TypeError('could not fetch the crops');
        return response.json();
      };`,
      moduleType: 'js',
    };
  },
});
