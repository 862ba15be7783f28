import { Accounts1764700000000 } from './accounts.ts';
import { ClimateAndCrops1764100000000 } from './climateAndCrops.ts';
import { Climates1764800000000 } from './climates.ts';
import { CrewAndRota1764300000000 } from './crewAndRota.ts';
import { DoneIsLogged1765000000000 } from './doneIsLogged.ts';
import { EntryBeds1774000000000 } from './entryBeds.ts';
import { EntryDates1772000000000 } from './entryDates.ts';
import { First1764000000000 } from './first.ts';
import { GroundAndPlan1764200000000 } from './groundAndPlan.ts';
import { HoursAndReminders1764500000000 } from './hoursAndReminders.ts';
import { OwnPractices1770000000000 } from './ownPractices.ts';
import { OwnSpacing1768000000000 } from './ownSpacing.ts';
import { OwnWork1766000000000 } from './ownWork.ts';
import { PutOff1773000000000 } from './putOff.ts';
import { SeedBox1767000000000 } from './seedBox.ts';
import { SeedPrices1771000000000 } from './seedPrices.ts';
import { SessionDay1764400000000 } from './sessionDay.ts';
import { SheetSizes1769000000000 } from './sheetSizes.ts';
import { Trust1764600000000 } from './trust.ts';
import { Words1764900000000 } from './words.ts';

/** All migrations in order. A migration that has landed is never changed. */
export const migrations = [
  First1764000000000,
  ClimateAndCrops1764100000000,
  GroundAndPlan1764200000000,
  CrewAndRota1764300000000,
  SessionDay1764400000000,
  HoursAndReminders1764500000000,
  Trust1764600000000,
  Accounts1764700000000,
  Climates1764800000000,
  Words1764900000000,
  DoneIsLogged1765000000000,
  OwnWork1766000000000,
  SeedBox1767000000000,
  OwnSpacing1768000000000,
  SheetSizes1769000000000,
  OwnPractices1770000000000,
  SeedPrices1771000000000,
  EntryDates1772000000000,
  PutOff1773000000000,
  EntryBeds1774000000000,
];
