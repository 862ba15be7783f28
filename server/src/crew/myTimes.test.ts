import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { Harness, type TestGarden } from '../testing/harness.ts';

let harness: Harness;
let garden: TestGarden;
beforeAll(async () => {
  harness = await Harness.open();
  garden = await harness.setUp();
});
afterAll(() => harness.close());

const until = (to: string) => ({
  availability: {
    weekly: [{ weekday: 6, from: '09:00', to }],
    exceptions: [{ first: '2026-06-01', last: '2026-06-07', hours: [] }],
  },
  cannot: ['kneeling' as const],
  ratherNot: [],
  mostPerWeek: 180,
});

describe('one’s own times', () => {
  it('are said without a coordinator, and nothing else of one changes', async () => {
    const { id, cookie } = await garden.member('volunteer', 'Vera');
    const before = await garden.ok('myTimes', { cookie });
    expect(before).toMatchObject({ availability: { weekly: null }, heads: { adults: 1, children: 0 } });
    const after = await garden.ok('saveMyTimes', { cookie, body: until('12:00'), ifMatch: before.version });
    expect(after).toMatchObject(until('12:00'));
    const seen = (await garden.ok('people', {})).find((one) => one.id === id);
    expect(seen).toMatchObject({ name: 'Vera', role: 'volunteer', joined: true, ...until('12:00') });
  });

  it('are not saved over what somebody else changed, nor with an end before its beginning', async () => {
    const { cookie } = await garden.member('volunteer', 'Otto');
    const { version } = await garden.ok('myTimes', { cookie });
    await garden.ok('saveMyTimes', { cookie, body: until('12:00'), ifMatch: version });
    expect((await garden.ask('saveMyTimes', { cookie, body: until('13:00'), ifMatch: version })).status).toBe(
      409,
    );
    const { status, body } = await garden.ask('saveMyTimes', {
      cookie,
      body: until('08:00'),
      ifMatch: version + 1,
    });
    expect(status).toBe(422);
    expect(body).toMatchObject({
      errors: [{ field: 'availability.weekly.0.to', code: 'endsBeforeStart' }],
    });
  });
});
