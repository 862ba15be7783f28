import type { Bed } from '@unity-acre/contract/ground';
import type { Planting } from '@unity-acre/contract/season';
import { addDays, type Day, daysBetween } from '@unity-acre/core/calendar';
import { useTranslation } from 'react-i18next';
import { Link } from 'react-router';
import { useCatalogue } from '../../crops/catalogue.ts';
import { useCropNames } from '../../crops/names.ts';
import { monthsBetween, useHere } from '../../garden/index.ts';
import { useDates } from '../../kit/dates.ts';
import { FamilyMark } from '../../kit/FamilyMark.tsx';
import { DAYS } from './bandScale.ts';
import { type Span, spansOf } from './spans.ts';

interface Props {
  beds: readonly Bed[];
  plantings: readonly Planting[];
  first: Day;
  onSelect(id: string): void;
}

/** The season on a phone: bed by bed, each planting with its span drawn across the width of the page. */
export function BedSpans({ beds, plantings, first, onSelect }: Props) {
  return (
    <ul>
      {beds.map((bed) => {
        const spans = spansOf(plantings.filter(({ bedId }) => bedId === bed.id));
        return (
          <li key={bed.id} className="border-line-strong border-b py-2.5">
            <Link
              to={`/ground/${bed.id}`}
              className="inline-flex min-h-target items-center font-bold font-title underline underline-offset-4"
            >
              {bed.name}
            </Link>
            <ul>
              {spans
                .sort((a, b) => a.inGround.localeCompare(b.inGround))
                .map((span) => (
                  <SpanRow key={span.planting.id} span={span} first={first} onSelect={onSelect} />
                ))}
            </ul>
          </li>
        );
      })}
    </ul>
  );
}

function SpanRow({ span, first, onSelect }: { span: Span } & Pick<Props, 'first' | 'onSelect'>) {
  const { t } = useTranslation('season');
  const { garden } = useHere();
  const dates = useDates();
  const names = useCropNames();
  const { planting, indoors, inGround, firstPick, lastPick } = span;
  const crop = useCatalogue().crop(planting.cropId);
  const at = (day: Day) => Math.max(0, Math.min(DAYS, daysBetween(first, day)));
  const part = (from: Day, to: Day, look: string) => (
    <rect x={at(from)} width={Math.max(0.5, at(to) - at(from))} y={0} height={10} className={look} />
  );
  return (
    <li>
      <button
        type="button"
        onClick={() => onSelect(planting.id)}
        className="flex min-h-target w-full flex-col justify-center gap-1 py-1.5 text-left"
      >
        <span className="flex w-full items-center gap-2">
          {crop && <FamilyMark family={crop.family} size={18} />}
          <span className="min-w-0 flex-1">
            {names.crop(planting.cropId)},{' '}
            <span className="text-ink-soft">{names.variety(planting.cropId, planting.varietyId)}</span>
          </span>
          <span className="text-ink-soft text-sm">
            {t('spanDays', { from: dates.bare(indoors ?? inGround), to: dates.bare(lastPick) })}
          </span>
        </span>
        <svg
          viewBox={`0 0 ${DAYS} 10`}
          preserveAspectRatio="none"
          className="h-3 w-full bg-paper"
          aria-hidden
        >
          {monthsBetween(first, addDays(first, DAYS)).map((month) => (
            <line key={month} x1={at(month)} x2={at(month)} y1={0} y2={10} className="stroke-line" />
          ))}
          {indoors && part(indoors, inGround, 'fill-straw')}
          {part(inGround, firstPick, 'fill-leaf-soft')}
          {part(firstPick, lastPick, 'fill-leaf-mid')}
          <line
            x1={at(garden.today)}
            x2={at(garden.today)}
            y1={0}
            y2={10}
            strokeWidth={1.5}
            className="stroke-beet"
          />
        </svg>
      </button>
    </li>
  );
}
