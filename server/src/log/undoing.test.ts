import type { Role } from '@unity-acre/contract';
import fc from 'fast-check';
import { afterAll, beforeAll, expect, it } from 'vitest';
import { Harness, newId, observation, plainBed, type TestGarden } from '../testing/harness.ts';

let harness: Harness;
let garden: TestGarden;
beforeAll(async () => {
  harness = await Harness.open();
  garden = await harness.setUp();
});
afterAll(() => harness.close());

const undo = (id: string | null, cookie = garden.cookie) =>
  garden.ask('undo', { cookie, params: { id: id! } });
const people = () => garden.ok('people');
const one = async (id: string) => (await people()).find((person) => person.id === id)!;

async function giveRole(id: string, role: Role, cookie = garden.cookie) {
  const { id: _, version, joined: __, invitedUntil: _invited, retiredOn: __r, ...body } = await one(id);
  return garden.ask('savePerson', { cookie, params: { id }, ifMatch: version, body: { ...body, role } });
}

it('lets a demoted coordinator undo nothing of a coordinator’s, their own demotion least of all', async () => {
  const rival = await garden.member('coordinator', 'Rival');
  const bed = await garden.ask('saveBed', {
    cookie: rival.cookie,
    params: { id: newId() },
    body: { ...plainBed, name: 'Rival’s' },
  });
  const stepsDown = await giveRole(rival.id, 'crewLead', rival.cookie);
  expect(stepsDown.status).toBe(200);
  for (const change of [stepsDown.change, bed.change])
    expect((await undo(change, rival.cookie)).problem.code).toBe('notAllowed');
  expect((await one(rival.id)).role).toBe('crewLead');
  const { changes } = await garden.ok('changes', { cookie: rival.cookie });
  expect(changes.filter(({ mayUndo }) => mayUndo)).toEqual([]);
  // What a crew lead may do, they may undo.
  const note = await garden.ask('saveEntry', {
    cookie: rival.cookie,
    params: { id: newId() },
    body: observation,
  });
  expect((await undo(note.change, rival.cookie)).status).toBe(200);
});

it('asks for the role of the first change, however often it was undone', async () => {
  const rival = await garden.member('coordinator', 'Again');
  const bed = await garden.ask('saveBed', {
    cookie: rival.cookie,
    params: { id: newId() },
    body: { ...plainBed, name: 'Again and again' },
  });
  const undone = await undo(bed.change, rival.cookie);
  await giveRole(rival.id, 'volunteer');
  expect((await undo(undone.change, rival.cookie)).problem.code).toBe('notAllowed');
});

it('asks who speaks for a child today, not who did when it was signed up', async () => {
  const mother = await garden.member('volunteer', 'Mother');
  const father = await garden.member('volunteer', 'Father');
  const child = await garden.person('Child', { kind: 'minor', guardianId: mother.id });
  const session = await garden.session();
  const signedUp = await garden.ask('signUp', {
    cookie: mother.cookie,
    params: { id: session.id, personId: child },
  });
  expect(signedUp.status).toBe(200);
  const { id, version, joined: _, invitedUntil: _invited, retiredOn: _r, ...body } = await one(child);
  await garden.ok('savePerson', {
    params: { id },
    ifMatch: version,
    body: { ...body, guardianId: father.id },
  });
  expect((await undo(signedUp.change, mother.cookie)).problem.code).toBe('notAllowed');
  expect((await undo(signedUp.change)).status).toBe(200);
});

it('leaves nobody under age without a guardian', async () => {
  const guardian = await garden.ask('savePerson', {
    params: { id: newId() },
    body: {
      name: 'Guardian',
      email: null,
      role: 'volunteer',
      household: '',
      headcount: 1,
      waitingSince: null,
    },
  });
  const child = await garden.person('Ward', { kind: 'minor', guardianId: guardian.body.id });
  expect((await undo(guardian.change)).problem.code).toBe('cannotUndo');
  expect((await one(child)).guardianId).toBe(guardian.body.id);
});

it('gives nobody a role they could not have been given, whoever does and undoes what: a coordinator is always left', async () => {
  const roles = ['coordinator', 'crewLead', 'volunteer'] as const;
  const crew: { id: string; cookie: string }[] = [{ id: garden.coordinatorId, cookie: garden.cookie }];
  for (const role of ['coordinator', 'crewLead', 'volunteer'] as const)
    crew.push(await garden.member(role, `Random ${role}`));
  // Mostly roles given and taken back by few, so that who undoes has often lost the role meanwhile.
  const step = fc.oneof(
    fc.record({
      what: fc.constant('role' as const),
      by: fc.nat(1),
      whom: fc.nat(2),
      role: fc.constantFrom(...roles),
    }),
    fc.record({ what: fc.constant('undo' as const), by: fc.nat(2), which: fc.nat(3) }),
    fc.record({ what: fc.constant('bed' as const), by: fc.nat(3) }),
    fc.record({ what: fc.constant('times' as const), by: fc.nat(3) }),
  );
  const made: string[] = [];
  const rank = { coordinator: 3, crewLead: 2, volunteer: 1, receiver: 0 } as const;
  /** All roles, as somebody who is a coordinator just then sees them. */
  const rolesNow = async () => {
    for (const { cookie } of crew) {
      const answer = await garden.ask('people', { cookie });
      if (answer.status === 200)
        return new Map(answer.body.map((person) => [person.id, { role: person.role, row: person }]));
    }
    throw new Error('nobody is left who may see the crew');
  };
  await fc.assert(
    fc.asyncProperty(fc.array(step, { minLength: 4, maxLength: 14 }), async (steps) => {
      for (const did of steps) {
        const { id: byId, cookie } = crew[did.by]!;
        const before = await rolesNow();
        let change: string | null = null;
        if (did.what === 'role') {
          const {
            id,
            version,
            joined: _,
            invitedUntil: _invited,
            retiredOn: _r,
            ...body
          } = before.get(crew[did.whom]!.id)!.row;
          const answer = await garden.ask('savePerson', {
            cookie,
            params: { id },
            ifMatch: version,
            body: { ...body, role: did.role },
          });
          change = answer.change;
        } else if (did.what === 'undo' && made.length > 0) {
          change = (await undo(made.at(-1 - (did.which % made.length))!, cookie)).change;
        } else if (did.what === 'bed') {
          const body = { ...plainBed, name: newId() };
          change = (await garden.ask('saveBed', { cookie, params: { id: newId() }, body })).change;
        } else if (did.what === 'times') {
          const own = await garden.ask('myTimes', { cookie });
          const { version, ...times } = own.body;
          const body = { ...times, mostPerWeek: (times.mostPerWeek ?? 60) + 30 };
          change = (await garden.ask('saveMyTimes', { cookie, ifMatch: version, body })).change;
        }
        if (change) made.push(change);
        const after = await rolesNow();
        const gained = crew.filter(({ id }) => rank[after.get(id)!.role] > rank[before.get(id)!.role]);
        // Only a coordinator gives a role, by undoing too.
        if (gained.length > 0) expect(before.get(byId)!.role).toBe('coordinator');
        expect([...after.values()].some(({ role }) => role === 'coordinator')).toBe(true);
      }
    }),
    { numRuns: 25 },
  );
});
