import { toMetres } from '../units/index.ts';
import type { CropRow } from './row.ts';

/** Days from first to last, with the usual value between. */
export interface DaySpan {
  fewest: number;
  usual: number;
  most: number;
}

export interface Variety {
  id: string;
  name: { en: string; es: string };
  daysToMaturity: DaySpan;
}

/** A crop as the program uses it: lengths in metres, spans with a usual value. */
export interface Crop
  extends Pick<
    CropRow,
    | 'id'
    | 'name'
    | 'alsoCalled'
    | 'botanical'
    | 'family'
    | 'temperament'
    | 'methods'
    | 'sowOutdoors'
    | 'setOut'
    | 'heatEndsSpring'
    | 'pastFirstFrostDays'
    | 'thinAfterEmergenceDays'
    | 'seedsPerHole'
    | 'spareShare'
    | 'maturityFrom'
    | 'onceOver'
    | 'cautions'
    | 'source'
  > {
  daysIndoors: DaySpan | null;
  emergenceDays: DaySpan;
  pickDays: DaySpan;
  inRow: number;
  betweenRows: number;
  depth: { from: number; to: number };
  soilDepth: number;
  varieties: Variety[];
}

const daySpan = ([fewest, most]: readonly [number, number]): DaySpan => ({
  fewest,
  usual: Math.round((fewest + most) / 2),
  most,
});

/** Turns a checked catalogue row into SI and spans. */
export function cropFrom(row: CropRow): Crop {
  const { weeksIndoors, inRowIn, betweenRowsIn, depthIn, soilDepthIn, ...same } = row;
  return {
    ...same,
    daysIndoors: weeksIndoors
      ? {
          fewest: Math.round(weeksIndoors[0] * 7),
          usual: Math.round(weeksIndoors[1] * 7),
          most: Math.round(weeksIndoors[2] * 7),
        }
      : null,
    emergenceDays: daySpan(row.emergenceDays),
    pickDays: daySpan(row.pickDays),
    inRow: toMetres(inRowIn, 'in'),
    betweenRows: toMetres(betweenRowsIn, 'in'),
    depth: { from: toMetres(depthIn[0], 'in'), to: toMetres(depthIn[1], 'in') },
    soilDepth: toMetres(soilDepthIn, 'in'),
    varieties: row.varieties.map((v) => ({ ...v, daysToMaturity: daySpan(v.daysToMaturity) })),
  };
}
