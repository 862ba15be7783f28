import { type ListName, madeOf, type RouteName, TOUCHED_HEADER, touchedLists } from '@unity-acre/contract';
import { afterAll, beforeAll, expect, it } from 'vitest';
import { Harness, newId, observation, plainBed, type TestGarden } from '../testing/harness.ts';

let harness: Harness;
let garden: TestGarden;
let ids: Record<'bed' | 'plot' | 'vera' | 'otto' | 'planting' | 'spare' | 'session' | 'task', string>;
beforeAll(async () => {
  harness = await Harness.open();
  garden = await harness.setUp();
  const bed = await garden.bed();
  const plot = await garden.bed({ name: 'Plot 1', x: 3 });
  const vera = await garden.person('Vera', { email: 'vera@example.org' });
  const otto = await garden.person('Otto');
  await garden.ok('saveTenure', {
    params: { bedId: plot.id, year: YEAR },
    body: { kind: 'plot', personId: vera },
  });
  await garden.ok('savePlotApplication', {
    params: { year: YEAR, id: newId() },
    body: { ...application, personId: vera },
  });
  const planting = await garden.planting(bed.id);
  const spare = await garden.planting(plot.id);
  const [task] = await garden.ok('tasks', { query: { from: '2026-01-01' } });
  const session = await garden.session({ taskIds: [task!.id], on: '2026-05-20', leadId: vera });
  ids = {
    bed: bed.id,
    plot: plot.id,
    vera,
    otto,
    planting: planting.id,
    spare: spare.id,
    session: session.id,
    task: task!.id,
  };
});
afterAll(() => harness.close());

const YEAR = 2026;
/** What the lists are asked with, where they want to be asked with something. */
const asked: Partial<Record<ListName, object>> = {
  plantings: { query: { year: YEAR } },
  consistency: { query: { year: YEAR } },
  remedies: { query: { year: YEAR, key: 'none' } },
  rollOver: { query: { year: YEAR + 1, by: 'shift' } },
  wishes: { query: { year: YEAR } },
  tasks: { query: { from: '2026-01-01' } },
  hours: { query: { year: YEAR } },
  received: { query: { year: YEAR } },
  harvestTotals: { query: { year: YEAR } },
  allotments: { params: { year: YEAR } },
  plotApplications: { params: { year: YEAR } },
  lookAtAllotment: { params: { year: YEAR }, query: { rule: 'allAlike', seed: '1 2 3' } },
  frostWatch: { query: { on: '2026-05-20', from: '18:00', to: '22:00' } },
};
// Backups are made by the clock, whatever is written meanwhile.
const lists = (Object.keys(madeOf) as ListName[]).filter((name) => name !== 'backups');

/** Lists of one thing of the garden. */
const ofThings = (): Partial<Record<ListName, object>> => ({
  taskCard: { params: { id: ids.task } },
  sessionCards: { params: { id: ids.session } },
});

async function allLists(): Promise<Map<ListName, string>> {
  const found = new Map<ListName, string>();
  for (const name of lists) {
    const { status, body } = await garden.ask(name, asked[name] ?? ofThings()[name]);
    if (status !== 200) throw new Error(`${name}: ${JSON.stringify(body)}`);
    found.set(name, JSON.stringify(body));
  }
  return found;
}

const id = newId();
const ofNew = { params: { id } };
const application = {
  year: YEAR,
  wishes: [],
  needs: { tall: false, nearWater: false, fullSun: false, leastArea: null, mostArea: null },
  since: '2026-01-01',
  onlyNamed: false,
};
const lot = { cropId: 'pea', varietyId: 'snap', source: '', year: 2025, amount: 50, unit: 'g' };
const tested = { germination: 0.4, testedOn: '2026-03-01', saved: false, note: '' };
const weeding = {
  kind: 'weed',
  first: '2026-05-04',
  every: 7,
  until: null,
  span: 5,
  minutes: null,
  note: '',
};
const rules = { childRatio: 5, agreement: 'Keep the paths.', remindDays: null, pastNames: 'full' };
const tap = { form: 'circle', x: 1, y: 2, width: 0.3, length: 0.3, angle: 0, points: null, height: 0 };
const sowing = () => ({
  ...observation,
  kind: 'sowing',
  plantingId: ids.planting,
  bedId: ids.bed,
  cropId: 'pea',
});
const picked = { value: 300, unit: 'g' };
const harvest = () => ({ ...sowing(), kind: 'harvest', amount: picked, destination: 'household' });
const ofSession = () => ({ params: { id: ids.session, personId: ids.otto } });
const firstTask = async () => (await garden.ok('tasks', { query: { from: '2026-01-01' } }))[0]!.id;
const lastTask = async () => {
  const all = await garden.ok('tasks', { query: { from: '2026-01-01' } });
  return all.filter(({ plantingId }) => plantingId === ids.planting).at(-1)!.id;
};
const held = { arrived: '09:00', left: '11:00' };

/** One write of nearly every kind of row. The request is made when its turn has come. */
const writes: [RouteName, () => object | Promise<object>][] = [
  ['saveCrewRules', () => ({ body: rules })],
  ['invite', () => ({ params: { id: ids.vera } })],
  ['acceptAgreement', () => ({ params: { bedId: ids.plot, year: YEAR } })],
  [
    'saveCareCheck',
    () => ({ params: { bedId: ids.plot, id }, body: { on: '2026-05-20', finding: 'weedy', note: '' } }),
  ],
  [
    'saveTenure',
    () => ({ params: { bedId: ids.bed, year: YEAR }, body: { kind: 'cooperative', personId: null } }),
  ],
  [
    'saveSeedPrice',
    () => ({ ...ofNew, body: { cropId: 'pea', varietyId: 'snap', packetSeeds: 50, packet: 3, piece: null } }),
  ],
  ['saveSeedLot', () => ({ ...ofNew, body: { ...lot, ...tested } })],
  ['signUp', ofSession],
  ['rollCall', () => ({ ...ofSession(), body: held })],
  [
    'logWork',
    async () => ({
      params: { id: ids.session, taskId: await firstTask() },
      body: { state: 'done', minutes: 90 },
    }),
  ],
  ['markTask', async () => ({ params: { id: await lastTask() }, body: { doneOn: '2026-05-20' } })],
  ['saveEntry', () => ({ ...ofNew, body: sowing() })],
  ['saveEntry', () => ({ params: { id: newId() }, body: harvest() })],
  ['saveTool', () => ({ ...ofNew, body: { name: 'fork', count: 3 } })],
  ['saveRound', () => ({ ...ofNew, body: { ...weeding, bedIds: [ids.bed] } })],
  ['makeCalendarAddress', () => ({})],
  [
    'saveGiven',
    () => ({ ...ofNew, body: { personId: ids.otto, on: '2026-05-18', minutes: 90, what: 'Watered' } }),
  ],
  ['remind', () => ({ body: { until: '2026-05-30' } })],
  [
    'savePlotApplication',
    () => ({ params: { year: YEAR, id }, body: { ...application, personId: ids.otto } }),
  ],
  ['saveLandmark', () => ({ ...ofNew, body: { ...tap, kind: 'tap', name: '' } })],
  ['moveSession', () => ({ params: { id: ids.session }, ifMatch: 1, body: { to: null, why: 'Storm' } })],
  [
    'savePerson',
    () => ({
      params: { id: ids.vera },
      ifMatch: 1,
      body: {
        name: 'Vera V.',
        email: 'vera@example.org',
        role: 'crewLead',
        household: '',
        headcount: 1,
        waitingSince: null,
      },
    }),
  ],
  ['saveBed', () => ({ params: { id: ids.plot }, ifMatch: 1, body: { ...plainBed, name: 'Plot 9', x: 4 } })],
  ['retirePerson', () => ({ params: { id: ids.otto }, ifMatch: 1, body: { retired: true } })],
  ['removePlanting', () => ({ params: { id: ids.spare }, ifMatch: 1 })],
];

it.each(writes)('names every list that %s has changed', async (name, request) => {
  const ask = await request();
  const before = await allLists();
  const answer = await garden.ask(name, ask);
  expect(answer.status, JSON.stringify(answer.body)).toBe(200);
  const after = await allLists();
  const touched = touchedLists((answer.headers.get(TOUCHED_HEADER) ?? '').split(','));
  const changed = lists.filter((list) => after.get(list) !== before.get(list));
  expect(changed.length, 'it changed something').toBeGreaterThan(0);
  for (const list of changed) expect([...touched], `${name} changed ${list}`).toContain(list);
  // Undone, it touches the same again.
  if (!answer.change) return;
  const undone = await garden.ask('undo', { params: { id: answer.change } });
  const again = touchedLists((undone.headers.get(TOUCHED_HEADER) ?? '').split(','));
  for (const list of changed) expect([...again], `undoing ${name} changed ${list}`).toContain(list);
  await garden.ask('undo', { params: { id: undone.change! } });
});

it('has few lists asked for again after a sign-up', () => {
  expect([...touchedLists(['sign_up'])].sort()).toEqual(['changes', 'hours', 'sessions']);
});
