import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { afterAll, beforeAll, expect, it, onTestFinished } from 'vitest';
import { faults } from './axe.ts';
import { openBrowser, type Size, visit } from './browser.ts';
import { Demo } from './demo.ts';
import { beginGarden, Hand, speech } from './hand.ts';
import { Program } from './program.ts';

/* What each person sees first: a new garden its first steps, who leads their session, who receives what they had. */

const w = speech.en;
const { first } = w.home;
const lead = { ...w.home.lead, ...w.week.lead };

let demo: Demo;
beforeAll(async () => {
  demo = await Demo.open();
});
afterAll(() => demo.close());

/** Seconds that a person takes for a press, and for a field that is filled in. */
const PRESS_S = 4;
const FIELD_S = 8;
const MOST_S = 5 * 60;

/** A garden that was just set up, and who set it up. It ends with the test. */
async function newGarden(size: Size) {
  const dataDir = mkdtempSync(join(tmpdir(), 'acre-new-'));
  const program = await Program.start('server', dataDir);
  const { browser, close } = await openBrowser();
  onTestFinished(async () => {
    await close();
    await program.stop();
    rmSync(dataDir, { recursive: true, force: true });
  });
  const watched = await visit(browser, size);
  const hand = new Hand(watched.page, program.url);
  await beginGarden(hand, w);
  return { ...watched, hand };
}

it('leads a new garden from its first bed to its first session in less than five minutes of presses', async () => {
  const { page, hand, troubles } = await newGarden('desk');
  const spent = { presses: 0, fields: 0 };
  const press = async (work: Promise<void>) => {
    spent.presses += 1;
    await work;
  };
  const write = async (label: string, text: string) => {
    spent.fields += 1;
    await hand.write(label, text);
  };
  const back = () => hand.open('/');
  await back();
  await hand.reads(first.title);
  await hand.reads(first.beds.how);
  expect(await faults(page)).toEqual([]);

  await press(hand.follow(first.beds.do));
  await write(w.ground.row.howMany, '4');
  await press(hand.press(w.kit.save));
  await hand.reads('4 beds added.');
  await press(back());
  await hand.reads(first.people.how);
  // A reload is where one was.
  await page.reload();
  await hand.reads('2 of 5 done');

  await press(hand.follow(first.people.do));
  await press(hand.press(w.crew.add));
  await write(w.crew.name, 'Vera Quill');
  await press(hand.press(w.kit.save));
  await hand.reads('Vera Quill');
  await press(back());
  await hand.reads(first.plan.how);

  // A plan may be made by what one wants, or in a bed.
  await press(hand.goTo(w.shell.rail.ground, w.shell.rail.more));
  await press(hand.click('main ul a[href^="/ground/"]'));
  await press(hand.follow(w.ground.plan.planting));
  spent.fields += 1;
  await hand.choose(w.season.crop, 'Pea');
  await hand.reads(w.season.howMany);
  await press(hand.press(w.season.keep));
  await hand.reads('Pea');
  await press(back());
  await hand.reads(first.session.how);

  await press(hand.follow(first.session.do));
  await write(w.rota.sheet.title, 'First work morning');
  await press(hand.press(w.kit.save));
  await hand.reads('First work morning');
  await press(back());
  await hand.readsNot(first.title);
  expect(spent.presses * PRESS_S + spent.fields * FIELD_S).toBeLessThan(MOST_S);
  expect(troubles).toEqual([]);
});

it('puts the first steps away for good, and brings them back where that is undone', async () => {
  const { hand } = await newGarden('phone');
  await hand.open('/');
  await hand.press(first.putAway);
  await hand.reads(first.away);
  await hand.press(w.kit.undo);
  await hand.reads(first.beds.how);
  await hand.press(first.putAway);
  await hand.readsNot(first.beds.how);
  await hand.open('/');
  await hand.reads(w.week.decide.title);
  await hand.readsNot(first.beds.how);
});

it('shows a crew lead today’s session as it runs, and the week of what they lead', async () => {
  const { page, hand, troubles } = await demo.signedIn('lead');
  await hand.open('/');
  const mine = await hand.list<{ title: string; on: string; leadId: string | null; lead: string | null }[]>(
    'sessions?from=2026-05-18&until=2026-06-01',
  );
  const own = mine.filter((session) => session.lead === 'Tobias Wren');
  if (own.length === 0) await hand.reads(lead.none);
  const today = own.filter(({ on }) => on === '2026-05-20');
  if (today.length > 0) await hand.reads(lead.today);
  else await hand.readsNot(lead.today);
  const blocks = await page.$$eval('main a[title][href^="/sessions/"]:not([href*="card"])', (links) =>
    links.map((link) => link.getAttribute('title')),
  );
  for (const title of blocks) expect(own.map((session) => session.title)).toContain(title);
  expect(await faults(page)).toEqual([]);
  expect(troubles).toEqual([]);
  await page.browserContext().close();
});

it.each(['desk', 'phone'] as const)(
  'shows a receiver what came from the garden and whom to write to, on a %s',
  async (size) => {
    const { page, hand, troubles } = await demo.signedIn('receiver', {}, size);
    await hand.open('/');
    await hand.reads('From the garden in 2026');
    await hand.reads(w.harvest.receiver.contact);
    await hand.reads('coordinator@millrace.example');
    expect(await faults(page)).toEqual([]);
    expect(troubles).toEqual([]);
    await page.browserContext().close();
  },
);
