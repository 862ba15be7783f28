import { mkdirSync, mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { demoSignIns, loadDemo } from '@unity-acre/demo';
import { openStore, readSettings, start } from '@unity-acre/server';
import { openBrowser, type Size, visit } from './browser.ts';

/* Takes a picture of each main view from the demo garden. `shots.ts FOLDER [name …]` takes some of them. */

const root = join(import.meta.dirname, '../..');
const [folder = join(root, 'docs/screenshots'), ...only] = process.argv.slice(2);

interface Shot {
  path: string;
  size?: Size;
  theme?: string;
  language?: string;
  /** who looks; the coordinator where nobody is named */
  who?: string;
  /** how long what it shows takes to be computed, milliseconds */
  wait?: number;
  /** the bed whose page it is; put for :bed in the path */
  bed?: string;
  /** a link followed first */
  follow?: string;
  /** a button pressed first */
  press?: string;
}

const shots: Record<string, Shot> = {
  'this-week': { path: '/' },
  'this-week-phone': { path: '/', size: 'phone', theme: 'sunlight' },
  'this-week-es': { path: '/', language: 'es' },
  'volunteer-phone': { path: '/', size: 'phone', who: 'volunteer' },
  ground: { path: '/ground' },
  'map-ripe': { path: '/ground?lens=ripe&on=2026-06-20' },
  layout: { path: '/ground/layout' },
  sun: { path: '/ground/sun', theme: 'dark', wait: 3_000 },
  bed: { path: '/ground/:bed', bed: 'Bed 3' },
  planner: { path: '/ground/:bed/plan', bed: 'Trial bed' },
  season: { path: '/season' },
  propose: { path: '/season/propose' },
  'seed-box': { path: '/seeds' },
  climate: { path: '/garden/climate' },
  crew: { path: '/crew' },
  'session-sheet': { path: '/sessions/day', follow: 'main h2 a', wait: 1_500 },
  frost: { path: '/frost' },
  rota: { path: '/sessions/rota', press: 'Make a schedule', wait: 6_000 },
  'log-book': { path: '/log' },
};

const data = mkdtempSync(join(tmpdir(), 'acre-shots-'));
const store = await openStore(data);
await loadDemo(store);
const running = await start({
  settings: readSettings({ PORT: '0', DATA_DIR: data }),
  store,
  version: '0',
  pages: join(root, 'web/dist'),
  demoSignIns,
});
const { browser, close } = await openBrowser();
mkdirSync(folder, { recursive: true });
for (const [name, shot] of Object.entries(shots)) {
  if (only.length > 0 && !only.includes(name)) continue;
  const { size = 'desk', theme = 'light', language = 'en' } = shot;
  const { page, troubles } = await visit(browser, size, { theme, language });
  await page.goto(`${running.url}/sign-in`);
  const account = demoSignIns.find(({ role }) => role === (shot.who ?? 'coordinator'));
  if (account) {
    await page.evaluate(
      async (body) => {
        await fetch('/api/sign-in', {
          method: 'POST',
          headers: { 'content-type': 'application/json' },
          body,
        });
      },
      JSON.stringify({ email: account.email, password: account.password }),
    );
  }
  const beds = await store.manager.find('bed', { where: { name: shot.bed ?? '' } });
  const bedId = String((beds[0] as { id?: string } | undefined)?.id);
  await page.goto(`${running.url}${shot.path.replace(':bed', bedId)}`, { waitUntil: 'networkidle2' });
  if (shot.follow) await page.locator(shot.follow).click();
  if (shot.press) await page.click(`::-p-aria([role="button"][name="${shot.press}"])`);
  await new Promise((resolve) => setTimeout(resolve, shot.wait ?? 0));
  await page.evaluate(() => document.fonts.ready);
  await page.screenshot({ path: join(folder, `${name}.png`) as `${string}.png` });
  for (const trouble of troubles) console.error(`${name}: ${trouble}`);
  await page.browserContext().close();
}
await close();
await running.stop();
rmSync(data, { recursive: true, force: true });
