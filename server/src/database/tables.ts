import {
  accounts,
  agreements,
  allotments,
  careChecks,
  crewRules,
  invitations,
  passwordLinks,
  people,
  plotApplications,
  signIns,
} from '../crew/entity.ts';
import { ownCrops, seedLots, seedPrices } from '../crops/entity.ts';
import { beds, landmarks, pictures, tenures, underlays } from '../ground/entity.ts';
import { changes, entries } from '../log/entity.ts';
import { gardens, stationRecords } from '../place/entity.ts';
import { plantings, wishes } from '../season/entity.ts';
import {
  calendarAddresses,
  givenHours,
  messages,
  putOffs,
  rounds,
  sessions,
  signUps,
  taskMarks,
  tools,
  workDone,
} from '../work/entity.ts';

import { stamps } from './rooms.ts';

/** Every table, by the name of its entity schema. */
export const tables = {
  gardens,
  stationRecords,
  ownCrops,
  seedLots,
  seedPrices,
  accounts,
  signIns,
  people,
  invitations,
  passwordLinks,
  plotApplications,
  allotments,
  beds,
  tenures,
  careChecks,
  crewRules,
  agreements,
  landmarks,
  pictures,
  underlays,
  plantings,
  wishes,
  sessions,
  rounds,
  taskMarks,
  tools,
  signUps,
  workDone,
  givenHours,
  messages,
  putOffs,
  calendarAddresses,
  entries,
  changes,
  stamps,
};
