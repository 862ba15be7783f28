import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { Harness, type TestGarden } from '../../testing/harness.ts';

let harness: Harness;
let garden: TestGarden;
beforeAll(async () => {
  harness = await Harness.open();
  garden = await harness.setUp();
});
afterAll(() => harness.close());

const read = (csv: string, over: object = {}) =>
  garden.ask('readPeopleFile', { body: { csv, mapping: null, dry: true, ...over } });
const half = [
  'Full name;E-mail;Phone;Hours pledged;Waiting since',
  'Ada Brook;ada@example.org;555 0101;24;',
  ';nobody@example.org;;;',
  '"Bo, the younger";not a mail;;;',
  'Cy Marsh;;;many;2026-03-01',
  'Di Fenn;ADA@example.org;;;',
  'Eli Ford;eli@example.org;;7.5;2026-02-30',
  'Flo Gale;flo@example.org;;7.5;2026-02-28',
  'Cleo Coordinator;;;;',
].join('\r\n');

describe('a file as people keep it', () => {
  it('may have a title over its heading, empty rows, and roles and languages in words', async () => {
    const csv = [
      'Volunteers of the garden,,,',
      'spring 2026,,,',
      'Name,E-mail,Role,Language',
      'Uma Title,,Volunteer,Spanish',
      ',,,',
      'Vic Title,,crew lead,English',
      'Wes Title,,Coordinador,español',
      'Xia Title,,gardener,EN',
      '  ,,  ,',
      'Yan Title,,king,Spanish',
    ].join('\n');
    const { body } = await read(csv);
    expect(body.columns).toEqual(['Name', 'E-mail', 'Role', 'Language']);
    expect(body.rows.map(({ line, name, stands }) => [line, name, stands])).toEqual([
      [4, 'Uma Title', 'new'],
      [6, 'Vic Title', 'new'],
      [7, 'Wes Title', 'new'],
      [8, 'Xia Title', 'new'],
      [10, 'Yan Title', 'broken'],
    ]);
    await read(csv.replace('king', 'lead'), { dry: false });
    const found = new Map(
      (await garden.ok('people')).map(({ name, role, language }) => [name, `${role} ${language}`]),
    );
    expect(found.get('Uma Title')).toBe('volunteer es');
    expect(found.get('Vic Title')).toBe('crewLead en');
    expect(found.get('Wes Title')).toBe('coordinator es');
    expect(found.get('Yan Title')).toBe('crewLead es');
    for (const { id, name, version } of await garden.ok('people'))
      if (name.endsWith(' Title')) await garden.ok('removePerson', { params: { id }, ifMatch: version });
  });

  it('is written with telephone numbers as they are dialed', async () => {
    const id = await garden.person('Pam Phone', { phone: '+1 (555) 010-1234' });
    const file = await garden.ok('peopleFile');
    expect(String(file)).toContain('+1 555 010 1234');
    expect(String(file)).not.toContain("'+1");
    await garden.ok('removePerson', { params: { id }, ifMatch: 1 });
  });
});

describe('a file of people', () => {
  it('of which half the lines are broken is looked at line by line, and nothing is taken in', async () => {
    const { body } = await read(half);
    expect(body.mapping).toEqual({
      name: 'Full name',
      email: 'E-mail',
      phone: 'Phone',
      pledged: 'Hours pledged',
      waitingSince: 'Waiting since',
    });
    expect(
      body.rows.map(({ line, stands, errors }) => [line, stands, ...errors.map(({ field }) => field)]),
    ).toEqual([
      [2, 'new'],
      [3, 'broken', 'name'],
      [4, 'broken', 'email'],
      [5, 'broken', 'pledged'],
      [6, 'broken', 'email'],
      [7, 'broken', 'waitingSince'],
      [8, 'new'],
      [9, 'known'],
    ]);
    expect(await garden.ok('people')).toHaveLength(1);
  });

  it('gives its good lines, once, as one change', async () => {
    const { body, change } = await read(half, { dry: false });
    expect(body.added).toBe(2);
    const people = await garden.ok('people');
    expect(people.find(({ name }) => name === 'Ada Brook')).toMatchObject({
      email: 'ada@example.org',
      phone: '555 0101',
      pledged: 1440,
      role: 'volunteer',
    });
    expect((await read(half, { dry: false })).body.added).toBe(0);
    // Written out and read in again, everybody is known.
    const file = (await garden.ask('peopleFile')).body;
    const again = (await read(file)).body;
    expect(again.rows.map(({ stands }) => stands)).toEqual(people.map(() => 'known'));
    await garden.ok('undo', { params: { id: change! } });
    expect(await garden.ok('people')).toHaveLength(1);
  });

  it('asks for the column of names, and says what is no table', async () => {
    const unnamed = await read('a,b\n1,2', { dry: false, mapping: {} });
    expect(unnamed.problem.errors).toEqual([expect.objectContaining({ code: 'noNameColumn' })]);
    const chosen = await read('a,b\nGil,gil@example.org', { mapping: { name: 'a', email: 'b' } });
    expect(chosen.body.rows[0]).toMatchObject({ name: 'Gil', stands: 'new' });
    expect((await read('"never closed')).problem.errors).toEqual([
      expect.objectContaining({ field: 'csv', code: 'notCsv' }),
    ]);
  });
});
