import { accounts, invitations, people, signIns } from '../crew/entity.ts';
import { ownCrops } from '../crops/entity.ts';
import { beds, landmarks, tenures } from '../ground/entity.ts';
import { changes, entries } from '../log/entity.ts';
import { gardens, stationRecords } from '../place/entity.ts';
import { plantings } from '../season/entity.ts';
import { calendarAddresses, sessions, signUps, taskMarks } from '../work/entity.ts';

/** Every table, by the name of its entity schema. */
export const tables = {
  gardens,
  stationRecords,
  ownCrops,
  accounts,
  signIns,
  people,
  invitations,
  beds,
  tenures,
  landmarks,
  plantings,
  sessions,
  taskMarks,
  signUps,
  calendarAddresses,
  entries,
  changes,
};
