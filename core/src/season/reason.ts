import type { Day } from '../calendar/index.ts';
import type { MilestoneKind } from './milestones/index.ts';

/**
 * Why a bound of a window stands where it stands. Codes with parameters, never prose: the screen has the words.
 * Days are calendar days, `days` a number of them, names ending in C temperatures in °C, `risk` and `share` shares of
 * years.
 */
export type Reason =
  // What the place allows.
  | { code: 'frostPast'; atC: number; risk: number; by: Day }
  | { code: 'frostPastWhenUp'; atC: number; risk: number; by: Day; days: number }
  | { code: 'frostNever'; atC: number }
  | { code: 'nightsSteady'; nightC: number; share: number; by: Day }
  | { code: 'weeksAfterFrost'; days: number; lastFrost: Day; nightC: number }
  | { code: 'nightsRarely'; nightC: number; share: number }
  | { code: 'soilWarm'; soilC: number; by: Day }
  | { code: 'soilQuick'; soilC: number; days: number; by: Day }
  | { code: 'soilRarely'; soilC: number }
  | { code: 'soilCooled'; soilC: number; by: Day }
  | { code: 'soilHot'; soilC: number; by: Day }
  | { code: 'winterComes'; soilC: number; by: Day }
  | { code: 'heatComes'; highC: number; on: Day }
  | { code: 'setsBeforeHeat'; highC: number; nightC: number; on: Day }
  | { code: 'soilTooHot'; soilC: number; on: Day }
  | { code: 'growsAgain'; share: number; by: Day }
  | { code: 'bulbsInLongDays'; hours: number; on: Day }
  | { code: 'mustFinish'; limit: Day; maturity: number; picking: number }
  | { code: 'grownBeforeFrost'; by: Day; atC: number; maturity: number; shortDays: number }
  | { code: 'grownBeforeDark'; by: Day; maturity: number; shortDays: number }
  | { code: 'countBack'; by: Day; maturity: number; picking: number }
  | { code: 'heatOver'; highC: number; on: Day }
  | { code: 'heatEases'; highC: number; on: Day }
  | { code: 'setsAfterHeat'; highC: number; nightC: number; on: Day }
  | { code: 'daysShorten'; days: number; shortest: Day }
  | { code: 'summerHeat'; days: number }
  | { code: 'growsBeforeFrost'; days: number; atC: number; by: Day }
  | { code: 'growsBeforeFreeze'; days: number; by: Day }
  | { code: 'seldomKilled'; atC: number }
  | { code: 'openSeason' }
  | { code: 'thisYear'; days: number }
  // Why it is not advised.
  | { code: 'mayNotFinish'; limit: Day; maturity: number }
  | { code: 'tooHot'; highC: number }
  | { code: 'coolSummer'; meanC: number; wantedC: number }
  | { code: 'summerUnknown' }
  | { code: 'notOwnSeason' }
  | { code: 'wrongDayLength'; kind: 'longDay' | 'intermediateDay' | 'shortDay' }
  | { code: 'winterKills'; atC: number }
  // What the plant asks.
  | { code: 'weeksIndoors'; days: number; from: Day }
  | { code: 'potLimit'; days: number; from: Day }
  | { code: 'potOver'; days: number; most: number; from: Day }
  | { code: 'readyFrom'; days: number; from: Day }
  | { code: 'emergence'; fewest: number; most: number; soilC: number; from: Day }
  | { code: 'sprouting'; fewest: number; most: number; from: Day }
  | { code: 'potOnAfter'; days: number; from: Day }
  | { code: 'thinTraysAfter'; days: number; from: Day }
  | { code: 'thinAfter'; days: number; from: Day }
  | { code: 'thinAgainAfter'; days: number; from: Day }
  | { code: 'maturity'; fewest: number; most: number; from: Day; since: 'sowing' | 'settingOut' }
  | { code: 'slowGrowth'; days: number }
  | { code: 'fastGrowth'; days: number }
  | { code: 'slowerInPlace'; days: number }
  | { code: 'alreadyGrown'; days: number }
  | { code: 'picking'; fewest: number; most: number; from: Day }
  | { code: 'sweetened'; firstFrost: Day }
  | { code: 'bearsOn'; until: Day }
  | { code: 'frostEnds'; firstFrost: Day }
  | { code: 'bolts'; on: Day }
  | { code: 'heatStops'; highC: number; on: Day }
  | { code: 'winterRest'; from: number; to: number; lastFrost: Day }
  | { code: 'growsFromMidwinter'; days: number; from: Day }
  | { code: 'yearsToCrop'; years: number; planted: number }
  | { code: 'eachYear'; from: number; to: number; lastFrost: Day }
  | { code: 'eachYearFromSoil'; from: number; to: number; soilC: number; on: Day }
  | { code: 'clearAfter'; days: number; from: Day }
  | { code: 'cutDown'; from: number; to: number; lastFrost: Day }
  // What the garden does.
  | { code: 'hardenFor'; days: number; setOut: Day }
  | { code: 'supportFirst'; days: number; from: Day }
  | { code: 'netFrom'; from: Day }
  | { code: 'netOffAtFlower'; days: number; pick: Day }
  | { code: 'coverUntil'; until: Day; risk: number }
  | { code: 'mulchWinter'; from: Day }
  | { code: 'feedEvery'; days: number; from: Day }
  | { code: 'feedOnce'; days: number; from: Day }
  | { code: 'schoolLastFrost'; lastFrost: Day; nights: Day }
  | { code: 'schoolCountBack'; days: number; lastFrost: Day }
  | { code: 'afterStage'; cropId: string; days: number; from: Day }
  | { code: 'chosen'; on: Day; best: Day }
  | { code: 'happened'; on: Day; planned: Day; kind: MilestoneKind };
