import type { Day } from '../calendar/index.ts';
import type { Temperament } from '../crops/index.ts';
import type { MilestoneKind } from './milestone.ts';

/**
 * Why a bound of a window stands where it stands. Codes with parameters, never prose: the screen has the words.
 * Days are calendar days, `days` a number of them, temperatures °C.
 */
export type Reason =
  | { code: 'beforeLastFrost'; days: number; lastFrost: Day; temperament: Temperament }
  | { code: 'afterLastFrost'; days: number; lastFrost: Day; temperament: Temperament }
  | { code: 'nightsSteady'; nightC: number; days: number; lastFrost: Day }
  | { code: 'heatComes'; days: number; lastFrost: Day }
  | {
      code: 'mustFinish';
      firstFrost: Day;
      pastFrost: number;
      maturity: number;
      shortDays: number;
      picking: number;
    }
  | { code: 'summerHeat'; days: number }
  | { code: 'weeksIndoors'; days: number; from: Day }
  | { code: 'potLimit'; days: number; from: Day }
  | { code: 'readyFrom'; days: number; from: Day }
  | { code: 'emergence'; fewest: number; most: number; from: Day }
  | { code: 'hardenFor'; days: number; setOut: Day }
  | { code: 'thinAfter'; days: number; from: Day }
  | { code: 'maturity'; fewest: number; most: number; from: Day; since: 'sowing' | 'settingOut' }
  | { code: 'caughtUp'; days: number }
  | { code: 'picking'; fewest: number; most: number; from: Day }
  | { code: 'frostEnds'; firstFrost: Day }
  | { code: 'clearAfter'; days: number; from: Day }
  | { code: 'chosen'; on: Day; best: Day }
  | { code: 'happened'; on: Day; planned: Day; kind: MilestoneKind };

/** The nights, °C, that chill-tender crops wait for (50 °F). Common practice, no source. */
export const STEADY_NIGHT_C = 10;
