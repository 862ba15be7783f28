import { taskKinds } from '@unity-acre/core/work';
import { z } from 'zod';
import { windowShape } from '../season/index.ts';
import { clockTime, day, id, line, noIssueSoFar, version, words, year } from '../wire/index.ts';

const taskIdShape = z.string().max(80);

export const task = z.object({
  id: taskIdShape,
  plantingId: id,
  cropId: z.string(),
  varietyId: z.string(),
  bedId: id,
  kind: z.enum(taskKinds),
  window: windowShape,
  on: day,
  state: z.enum(['waiting', 'open', 'late', 'done']),
  plants: z.number().int(),
  seeds: z.number().int(),
  rowLength: z.number(),
  minutes: z.number().int(),
  /** the day it was ticked off by hand, if it was */
  doneOn: day.nullable(),
  /** true where the log shows that it is done */
  doneByLog: z.boolean(),
  sessionId: id.nullable(),
});

export const taskQuery = z.object({ year });
export const taskMarkInput = z.strictObject({ doneOn: day.nullable() });
export { taskIdShape };

export const sessionInput = z
  .strictObject({
    title: line(80),
    on: day,
    from: clockTime,
    to: clockTime,
    meetAt: words(80),
    leadId: id.nullable(),
    capacity: z.number().int().min(1).max(200),
    taskIds: z.array(taskIdShape).max(100),
    note: words(1000),
  })
  .refine((session) => session.from < session.to, {
    path: ['to'],
    message: 'endsBeforeStart',
    when: noIssueSoFar,
  });

export const session = sessionInput.safeExtend({
  id,
  version,
  lead: z.string().nullable(),
  signUps: z.array(z.object({ personId: id, name: z.string(), headcount: z.number().int() })),
});

/** The private calendar address of one's sessions; null while there is none. */
export const calendarAddress = z.object({ address: z.string().nullable() });

export type TaskView = z.infer<typeof task>;
export type SessionInput = z.infer<typeof sessionInput>;
export type Session = z.infer<typeof session>;
