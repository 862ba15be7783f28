import type { Planting } from '@unity-acre/contract/season';
import type { Day } from '@unity-acre/core/calendar';
import { Pin } from 'lucide-react';
import type { KeyboardEvent, PointerEvent } from 'react';
import { useTranslation } from 'react-i18next';
import { useCatalogue } from '../../crops/catalogue.ts';
import { useCropNames } from '../../crops/names.ts';
import { useDates } from '../../kit/dates.ts';
import { FamilyGlyph } from '../../kit/FamilyMark.tsx';
import { useReasonWords } from '../explain/index.ts';
import { LANE, NAME_PX, PAD } from './bandScale.ts';
import { useHand } from './hand.ts';
import { type Span, spansOf } from './spans.ts';

interface Props {
  span: Span;
  at(day: Day): number;
  isSelected: boolean;
  onTake(planting: Planting, event: PointerEvent<HTMLElement>): void;
  onKey(planting: Planting, event: KeyboardEvent): void;
  onPress(planting: Planting): void;
}

/** A planting along the year: indoors, growing, picking. */
export function SpanBar({ span, at, isSelected, onTake, onKey, onPress }: Props) {
  const { t } = useTranslation('season');
  const names = useCropNames();
  const dates = useDates();
  const { planting, indoors, inGround, firstPick, lastPick, lane } = span;
  const from = at(indoors ?? inGround);
  const width = Math.max(14, at(lastPick) - from);
  const label = t('span', {
    crop: `${names.crop(planting.cropId)}, ${names.variety(planting.cropId, planting.varietyId)}`,
    out: dates.bare(inGround),
    pick: dates.bare(firstPick),
    last: dates.bare(lastPick),
  });
  return (
    <button
      type="button"
      title={label}
      aria-label={label}
      aria-pressed={isSelected}
      onPointerDown={(event) => onTake(planting, event)}
      onKeyDown={(event) => onKey(planting, event)}
      // A press that no pointer made: by voice, by a switch, or by a screen reader.
      onClick={(event) => event.detail === 0 && onPress(planting)}
      className={`absolute block touch-none overflow-clip rounded-xs border text-left hover:z-10 hover:border-2 hover:border-ink ${isSelected ? 'z-10 border-2 border-beet' : 'border-ink/60'}`}
      style={{ left: from, width, top: PAD + lane * LANE, height: LANE - 4 }}
    >
      <Parts span={span} at={at} from={from} />
    </button>
  );
}

function Parts({ span, at, from }: { span: Span; at(day: Day): number; from: number }) {
  const names = useCropNames();
  const { planting, indoors, inGround, firstPick, lastPick } = span;
  const crop = useCatalogue().crop(planting.cropId);
  const part = (a: Day, b: Day, look: string) => (
    <span
      className={`absolute inset-y-0 ${look}`}
      style={{ left: at(a) - from, width: Math.max(0, at(b) - at(a)) }}
    />
  );
  return (
    <>
      {indoors && part(indoors, inGround, 'bg-straw')}
      {part(inGround, firstPick, 'bg-leaf-soft')}
      {part(firstPick, lastPick, 'bg-leaf-mid')}
      {/* It stays in sight while its bar goes on to the left. */}
      <span
        className="pointer-events-none sticky inline-flex h-full items-center gap-1 whitespace-nowrap pl-1 text-[13px] text-ink"
        style={{ left: NAME_PX }}
      >
        {crop && (
          <svg
            viewBox="0 0 16 16"
            width="17"
            height="17"
            aria-hidden
            className="shrink-0 rounded-xs bg-mark-ground"
          >
            <FamilyGlyph family={crop.family} />
          </svg>
        )}
        {names.crop(planting.cropId)}, {names.variety(planting.cropId, planting.varietyId)}
        {planting.pinned && <Pin aria-hidden size={13} />}
      </span>
    </>
  );
}

/** The planting under the hand, where it would stand, with its dates and what is to be said of them. */
export function Ghost({ at, topOf }: { at(day: Day): number; topOf(bedId: string): number | undefined }) {
  const { t } = useTranslation(['plan', 'season']);
  const moving = useHand((hand) => hand.moving);
  const dates = useDates();
  const reason = useReasonWords();
  if (!moving) return null;
  const { planting, steps, bedId, startOn, outside, tooSmall } = moving;
  const [span] = spansOf([{ ...planting, steps }]);
  const top = topOf(bedId);
  if (!span || top === undefined) return null;
  const from = at(span.indoors ?? span.inGround);
  const width = Math.max(14, at(span.lastPick) - from);
  const isWrong = outside !== null || tooSmall;
  return (
    <div
      className="pointer-events-none absolute z-30"
      style={{ left: NAME_PX + from, top: top + PAD }}
      aria-live="polite"
    >
      <div
        className={`relative overflow-hidden rounded-xs border-2 opacity-90 ${isWrong ? 'border-beet' : 'border-blossom-deep'}`}
        style={{ width, height: LANE - 2 }}
      >
        <Parts span={span} at={at} from={from} />
      </div>
      <div
        className={`mt-1 w-max max-w-80 px-2 py-1 text-sm ${isWrong ? 'bg-beet-soft text-beet' : 'bg-rail text-rail-ink'}`}
      >
        <p className="font-semibold">
          {dates.short(startOn)} · {t('plan:pickFrom', { day: dates.bare(span.firstPick) })}
        </p>
        {outside && (
          <p>
            {t(`plan:outside.${outside.bound}`, { day: dates.short(outside.on) })}
            {outside.reasons[0] && ` ${reason(outside.reasons[0])}`}
          </p>
        )}
        {tooSmall && <p>{t('plan:tooSmall')}</p>}
      </div>
    </div>
  );
}
