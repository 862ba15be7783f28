import { readFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import type { Page } from 'puppeteer-core';
import { quiet } from './quiet.ts';

const axe = readFileSync(createRequire(import.meta.url).resolve('axe-core/axe.min.js'), 'utf8');

type Axe = typeof import('axe-core');

/**
 * What axe finds against WCAG 2.2 AA on the page as it stands: everything in the light set of colours, and in the two
 * others what colours and sizes decide.
 * @param within only what stands within the elements of this selector
 */
export async function faults(page: Page, within: string | null = null): Promise<string[]> {
  // Lists beside the main one may still be on their way.
  if (within === null) await quiet(page, 200);
  // It is long to read: once for each page.
  if (!(await page.evaluate(() => 'axe' in window))) await page.evaluate(axe);
  return page.evaluate(async (selector) => {
    const found: string[] = [];
    const sets = ['light', 'dark', 'sunlight'];
    for (const set of sets) {
      document.documentElement.dataset.theme = set;
      await new Promise((drawn) => requestAnimationFrame(() => requestAnimationFrame(drawn)));
      const runOnly =
        set === 'light'
          ? { type: 'tag', values: ['wcag2a', 'wcag2aa', 'wcag21a', 'wcag21aa', 'wcag22aa'] }
          : { type: 'rule', values: ['color-contrast', 'target-size'] };
      const { violations } = await (window as never as { axe: Axe }).axe.run(selector ?? document, {
        runOnly: runOnly as import('axe-core').RunOnly,
        resultTypes: ['violations'],
      });
      for (const { id, nodes } of violations) {
        for (const { html } of nodes) found.push(`${set}: ${id}: ${html.slice(0, 160)}`);
      }
    }
    document.documentElement.dataset.theme = sets[0]!;
    return found;
  }, within);
}
