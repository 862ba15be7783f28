import { plainCatalogue, varietyOf } from '@unity-acre/core/crops';
import { seeded } from '@unity-acre/core/maths';
import { gapsIn } from '@unity-acre/core/place';
import { computeMilestones, defaultRules, inGroundOf } from '@unity-acre/core/season';
import { toGrams, toMetres } from '@unity-acre/core/units';
import { FROST_CLOTH, taskId } from '@unity-acre/core/work';
import { asCalled, asSigned, hashPassword, type Store, storedRecord, tables } from '@unity-acre/server';
import type { EntitySchema } from 'typeorm';
import { agreement } from './agreement.ts';
import { cloths, crewFactsOf, minors, tools } from './crew.ts';
import { given, offerOne, rollOf, rounds, workOf } from './day.ts';
import { idMaker } from './ids.ts';
import { demoPassword, mailOf, people, plotHolders } from './people.ts';
import { beds, demoToday, garden, gardenId, landmarks } from './place.ts';
import { almanacOfBed, demoPlantings, observations } from './seasons.ts';
import { seedLots, seedPrices, wishes } from './seeds.ts';
import { sessions } from './sessions.ts';
import { climate, record, stationName } from './weather.ts';

/** How many rows go into one statement, below SQLite's limit of bound values. */
const CHUNK = 400;

/** True where the database holds the demo garden. */
export const hasDemo = (store: Store): Promise<boolean> =>
  store.manager.existsBy(tables.gardens, { id: gardenId });

/** Puts the demo garden into an empty database, all of it or nothing. */
export async function loadDemo(store: Store): Promise<void> {
  const random = seeded(20260520);
  const id = idMaker(random);
  const row = () => ({ id: id(), gardenId, version: 1 });
  const passwordHash = await hashPassword(demoPassword);

  const accounts = people.flatMap(({ signIn }) =>
    signIn ? [{ id: id(), email: signIn, passwordHash }] : [],
  );
  const persons = people.map((person) => ({
    ...row(),
    name: person.name,
    // Somebody under age has no address of their own.
    email: person.name in minors ? null : (person.signIn ?? mailOf(person)),
    role: person.role,
    household: person.household ?? '',
    headcount: person.headcount ?? 1,
    waitingSince: person.waitingSince ?? null,
    accountId: accounts.find((account) => account.email === person.signIn)?.id ?? null,
    ...crewFactsOf(person),
  }));
  const personId = (name: string) => persons.find((person) => person.name === name)!.id;
  for (const person of persons) {
    const guardian = minors[person.name];
    if (guardian) person.guardianId = personId(guardian);
  }

  const ground = beds.map((bed) => ({ ...row(), ...bed }));
  const bedId = (name: string) => ground.find((bed) => bed.name === name)!.id;
  const holderOf = (bed: (typeof ground)[number], year: number): string | null => {
    if (bed.tenure === 'teaching') return personId('Room 4, Alder Falls Primary');
    if (bed.tenure !== 'plot') return null;
    // Two plots changed hands after 2024.
    const plot = Number(bed.name.split(' ')[1]) - 1;
    return personId(plotHolders[year < 2025 && plot > 9 ? plot - 2 : plot]!);
  };
  const tenures = ground.flatMap((bed) =>
    [2023, 2024, 2025, 2026].map((year) => ({
      ...row(),
      bedId: bed.id,
      year,
      kind: bed.tenure,
      personId: holderOf(bed, year),
    })),
  );

  const loggers = persons.filter(
    (person) =>
      ['coordinator', 'crewLead', 'volunteer'].includes(person.role) &&
      person.kind !== 'minor' &&
      !person.waitingSince,
  );
  const planned = demoPlantings(random).map((planting) => ({
    ...planting,
    ...row(),
    bedId: bedId(planting.bed),
  }));
  const awaited = (planting: (typeof planned)[number]) =>
    planned.find(
      ({ bed, year, cropId }) =>
        bed === planting.bed && year === planting.year && cropId === planting.waitsFor,
    )?.id ?? null;
  // What waits for the corn climbs and creeps between it.
  const plan = planned.map((planting) => ({
    ...planting,
    afterId: awaited(planting),
    betweenId: awaited(planting),
  }));
  const entryOf = (on: string) => ({
    ...row(),
    on,
    plantingId: null as string | null,
    bedId: null as string | null,
    cropId: null as string | null,
    amountValue: null as number | null,
    amountUnit: null as string | null,
    grams: null as number | null,
    destination: null as string | null,
    note: '',
    personId: loggers[Math.floor(random() * loggers.length)]!.id,
    loggedAt: `${on}T22:00:00.000Z`,
  });
  const logged = plan.flatMap((planting) =>
    planting.entries.map(({ kind, on, pounds, destination }) => ({
      ...entryOf(on),
      kind,
      plantingId: planting.id,
      bedId: planting.bedId,
      cropId: planting.cropId,
      amountValue: pounds ?? null,
      amountUnit: pounds === undefined ? null : 'lb',
      grams: pounds === undefined ? null : toGrams(pounds, 'lb'),
      destination: destination ?? null,
    })),
  );
  const seen = observations.map(({ bed, on, note }) => ({
    ...entryOf(on),
    kind: 'observation',
    bedId: bedId(bed),
    note,
  }));

  const open = openTasks(plan);
  // What is under way today is what was due first.
  const ofToday = open.splice(0, sessions.find(({ on }) => on === demoToday)!.tasks);
  const meetings = sessions.map(({ lead, coming: _, tasks, group: __, ...session }) => ({
    ...row(),
    ...session,
    leadId: personId(lead),
    taskIds: session.on === demoToday ? ofToday : open.splice(0, tasks),
    ...asCalled,
  }));
  const volunteers = persons.filter(
    (person) => person.role === 'volunteer' && person.kind === 'adult' && !person.waitingSince,
  );
  const signUps = sessions.flatMap(({ coming, group }, i) => {
    const who = group
      ? [personId(group)]
      : Array.from({ length: coming }, (_, n) => volunteers[(i * 7 + n) % volunteers.length]!.id);
    return who.map((person, nth) => ({
      ...row(),
      ...asSigned,
      ...rollOf(meetings[i]!, nth, random),
      sessionId: meetings[i]!.id,
      personId: person,
    }));
  });

  const plots = ground.filter(({ tenure }) => tenure === 'plot');
  const applicants = [
    ...plotHolders.slice(0, 7).map((name) => ({ name, since: '2026-04-01', own: true })),
    ...people.flatMap(({ name, waitingSince }) =>
      waitingSince ? [{ name, since: waitingSince, own: false }] : [],
    ),
  ];
  const applications = applicants.map(({ name, since, own }, i) => ({
    ...row(),
    year: 2027,
    personId: personId(name),
    // Holders mostly want to stay where they are; the plots by the tap are wanted by many.
    wishes: [
      ...new Set([
        ...(own && random() < 0.7 ? [plots[i]!.id] : []),
        ...Array.from({ length: 3 }, () => plots[Math.floor(random() ** 2 * plots.length)]!.id),
      ]),
    ],
    needs: {
      tall: false,
      nearWater: random() < 0.2,
      fullSun: random() < 0.3,
      leastArea: null,
      mostArea: null,
    },
    since,
    onlyNamed: random() < 0.2,
  }));
  offerOne(signUps, meetings);
  const { works, marks } = workOf(meetings);

  const station = {
    id: id(),
    gardenId,
    name: stationName,
    importedAt: '2026-01-08T16:00:00.000Z',
    ...storedRecord(record),
    gaps: gapsIn(record),
    climate,
  };

  await store.write(async (manager) => {
    const put = async (table: unknown, rows: object[]) => {
      for (let i = 0; i < rows.length; i += CHUNK)
        await manager.insert(table as EntitySchema<object>, rows.slice(i, i + CHUNK));
    };
    await put(tables.stationRecords, [station]);
    await put(tables.gardens, [
      {
        ...garden,
        id: gardenId,
        gardenId,
        version: 1,
        rules: defaultRules,
        normals: null,
        recordId: station.id,
        setToday: demoToday,
      },
    ]);
    await put(tables.accounts, accounts);
    await put(tables.people, persons);
    await put(
      tables.beds,
      ground.map(({ tenure: _, ...bed }) => bed),
    );
    await put(tables.tenures, tenures);
    await put(
      tables.landmarks,
      landmarks.map((landmark) => ({ ...row(), ...landmark })),
    );
    await put(
      tables.plantings,
      plan.map(({ entries: _, bed: __, kind: ___, waitsFor: ____, ...planting }) => planting),
    );
    await put(
      tables.wishes,
      wishes.map((one) => ({ ...row(), ...one })),
    );
    await put(
      tables.seedLots,
      seedLots.map((lot) => ({ ...row(), ...lot })),
    );
    await put(
      tables.seedPrices,
      seedPrices.map((price) => ({ ...row(), ...price })),
    );
    await put(tables.tools, [
      ...tools.map(([name, count]) => ({ ...row(), name, count, width: null, length: null })),
      ...cloths.map(([width, length, count]) => ({
        ...{ ...row(), name: FROST_CLOTH, count },
        ...{ width: toMetres(width, 'ft'), length: toMetres(length, 'ft') },
      })),
    ]);
    await put(tables.crewRules, [{ ...row(), id: gardenId, childRatio: 6, agreement, remindDays: null }]);
    await put(tables.plotApplications, applications);
    await put(
      tables.rounds,
      rounds.map(({ beds: names, ...one }) => ({ ...row(), ...one, bedIds: names.map(bedId) })),
    );
    await put(tables.sessions, meetings);
    await put(tables.signUps, signUps);
    await put(
      tables.givenHours,
      given.map(({ name, ...one }) => ({ ...row(), ...one, personId: personId(name) })),
    );
    await put(
      tables.workDone,
      works.map((one) => ({ ...row(), ...one })),
    );
    await put(
      tables.taskMarks,
      marks.map((one) => ({ ...row(), ...one })),
    );
    await put(tables.entries, [...logged, ...seen]);
  });
}

type Planned = ReturnType<typeof demoPlantings>[number] & { id: string };

/** This spring's sowings and settings out that are due and not done, for the sessions to take up. */
function openTasks(plan: readonly Planned[]): string[] {
  return plan
    .filter((planting) => planting.year === 2026 && planting.kind !== 'plot' && !planting.waitsFor)
    .flatMap((planting) => {
      const crop = plainCatalogue.crop(planting.cropId)!;
      const happened = planting.entries.some(
        (entry) =>
          entry.kind === 'settingOut' || (entry.kind === 'sowing' && planting.method === 'sowInPlace'),
      );
      const variety = varietyOf(crop, planting.varietyId)!;
      const steps = computeMilestones({ ...planting, crop, variety }, almanacOfBed(planting.bed))!;
      const step = inGroundOf(steps)!;
      const due = !happened && step.on >= '2026-05-05' && step.on <= '2026-06-12';
      return due ? [{ id: taskId(planting.id, step.kind as 'setOut' | 'sow'), on: step.on }] : [];
    })
    .sort((a, b) => a.on.localeCompare(b.on))
    .map(({ id }) => id);
}
