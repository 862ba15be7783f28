import type { Planting } from '@unity-acre/contract/season';
import type { Day } from '@unity-acre/core/calendar';
import { badForHardening, DAY_MINUTES, hardeningPlan } from '@unity-acre/core/season';
import { useTranslation } from 'react-i18next';
import { Link } from 'react-router';
import { useCropNames } from '../../../../crops/names.ts';
import { useHere, useList, useMeasure } from '../../../../garden/index.ts';
import { useDates } from '../../../../kit/dates.ts';
import type { BoardScale } from '../scale.ts';
import type { LaneProps } from './laneProps.ts';

/** Rows that are drawn: more trays than these are told by their number. */
const MOST = 7;

/** One thing that trays need on a day: sown, moved to larger pots, or so many minutes outside. */
interface TrayStep {
  on: Day;
  what: 'sow' | 'potOn' | 'outside' | 'stayIn' | 'setOut';
  minutes?: number;
}

/** What stands in trays and is due on the board's days, by planting. */
function useTrays(plantings: readonly Planting[], { from, until }: BoardScale) {
  const { garden } = useHere();
  const weather = useList('weather').data;
  const bad = badForHardening(weather?.forecast ?? []);
  const isHere = (on: Day) => on >= from && on <= until;
  return plantings.flatMap((planting) => {
    const stepOf = (kind: string) => planting.steps.find((step) => step.kind === kind);
    const [sown, potted, begun, out] = ['startIndoors', 'potOn', 'hardenOff', 'setOut'].map(stepOf);
    if (!sown || !out || out.done) return [];
    const steps: TrayStep[] = [];
    if (isHere(sown.on)) steps.push({ on: sown.on, what: 'sow' });
    if (potted && isHere(potted.on)) steps.push({ on: potted.on, what: 'potOn' });
    if (begun)
      for (const { on, minutes, paused } of hardeningPlan(garden.rules, begun.on, bad))
        if (isHere(on) && on < out.on)
          steps.push(paused ? { on, what: 'stayIn' } : { on, what: 'outside', minutes });
    if (isHere(out.on)) steps.push({ on: out.on, what: 'setOut' });
    return steps.length > 0 ? [{ planting, steps }] : [];
  });
}

/** Trays: when they are sown and moved on, and how long they stand outside on each day of hardening off. */
export function TraysLane({ scale, plantings }: LaneProps) {
  const { t } = useTranslation(['work', 'week']);
  const names = useCropNames();
  const beds = useList('beds').data ?? [];
  const trays = useTrays(plantings, scale);
  // On a day by itself there is room for names in the blocks, and none beside them.
  const isOneDay = scale.days.length === 1;
  if (trays.length === 0) return <p className="py-2 text-ink-soft">{t('week:board.noTrays')}</p>;
  return (
    <>
      <ul aria-label={t('week:board.lane.trays')} className="flex flex-col gap-[3px] py-1">
        {trays.slice(0, MOST).map(({ planting, steps }) => {
          const bed = beds.find(({ id }) => id === planting.bedId)?.name ?? '';
          const words = `${names.crop(planting.cropId)}, ${bed}`;
          return (
            <li key={planting.id} className="relative h-[23px]">
              <Link
                hidden={isOneDay}
                to={`/ground/${planting.bedId}`}
                title={words}
                className="absolute right-full mr-2 w-20 truncate text-right text-ink-soft text-xs leading-[23px] hover:underline"
              >
                {names.crop(planting.cropId)}
                <span className="sr-only">, {bed}</span>
              </Link>
              {steps.map((step) => (
                <TrayBlock
                  key={`${step.on} ${step.what}`}
                  step={step}
                  scale={scale}
                  crop={isOneDay ? names.crop(planting.cropId) : null}
                />
              ))}
            </li>
          );
        })}
      </ul>
      {trays.length > MOST && (
        <p className="text-ink-soft text-sm">{t('andMore', { count: trays.length - MOST })}</p>
      )}
    </>
  );
}

function TrayBlock({
  step: { on, what, minutes = 0 },
  scale,
  crop,
}: {
  step: TrayStep;
  scale: BoardScale;
  crop: string | null;
}) {
  const { t } = useTranslation(['work', 'week']);
  const dates = useDates();
  const { duration } = useMeasure();
  const isAllDay = minutes >= DAY_MINUTES;
  const time = duration(minutes);
  const words =
    what === 'outside'
      ? isAllDay
        ? t('week:board.tray.allDay')
        : t('week:board.tray.outside', { time })
      : t(`week:board.tray.${what}`);
  const look = {
    outside: 'border-straw-deep bg-blossom text-on-blossom',
    stayIn: 'border-rain border-dashed bg-paper text-rain',
    sow: 'border-leaf bg-leaf-soft',
    potOn: 'border-leaf bg-leaf-soft',
    setOut: 'border-leaf bg-leaf text-paper',
  }[what];
  // As wide as the part of the day it is outside, and never too narrow for its words.
  const share =
    what === 'outside'
      ? Math.min(1, Math.max(scale.days.length > 7 ? 0.75 : 0.45, minutes / DAY_MINUTES))
      : 1;
  return (
    <span
      title={words}
      className={`absolute inset-y-0 overflow-hidden whitespace-nowrap rounded-sm border px-1 text-xs leading-[21px] ${look}`}
      style={{ left: `calc(${scale.at(on)}% + 2px)`, width: `calc(${share * scale.day}% - 4px)` }}
    >
      {crop && `${crop}: `}
      {what === 'outside' && !isAllDay && !crop ? time : words}
      <span className="sr-only">, {dates.short(on)}</span>
    </span>
  );
}
