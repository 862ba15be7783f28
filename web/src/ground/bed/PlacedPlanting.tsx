import { type KeyboardEvent, type PointerEvent, useRef } from 'react';
import { useCatalogue } from '../../crops/catalogue.ts';
import { useCropNames } from '../../crops/names.ts';
import { FamilyGlyph, familyHue } from '../../kit/FamilyMark.tsx';
import type { PlaceInBed, Standing } from '../plan/index.ts';
import type { Placing } from './usePlacing.ts';

/** Keys move it along and across the bed, as it lies on the screen. */
const ways: Record<string, PlaceInBed> = {
  ArrowLeft: { x: 0, y: -1 },
  ArrowRight: { x: 0, y: 1 },
  ArrowUp: { x: -1, y: 0 },
  ArrowDown: { x: 1, y: 0 },
};
/** With Shift it goes so many steps at once. */
const FAR = 4;

interface Props {
  standing: Standing;
  place: PlaceInBed;
  /** metres of the bed */
  room: { across: number; along: number };
  isSelected: boolean;
  isHeld: boolean;
  mayMove: boolean;
  onSelect(): void;
  placing: Placing;
}

/** One planting on the drawing of its bed. */
export function PlacedPlanting({
  standing,
  place,
  room,
  isSelected,
  isHeld,
  mayMove,
  onSelect,
  placing,
}: Props) {
  const names = useCropNames();
  const grip = useRef<{ x: number; y: number; place: PlaceInBed; perPixel: number } | null>(null);
  const { planting, width, length } = standing;
  const crop = useCatalogue().crop(planting.cropId);
  const share = (part: number, whole: number) => `${(part / whole) * 100}%`;
  const take = (event: PointerEvent<HTMLElement>) => {
    onSelect();
    if (!mayMove) return;
    event.currentTarget.setPointerCapture(event.pointerId);
    const perPixel = room.along / event.currentTarget.parentElement!.clientWidth;
    grip.current = { x: event.clientX, y: event.clientY, place, perPixel };
  };
  const drag = ({ clientX, clientY }: PointerEvent) => {
    const from = grip.current;
    if (!from) return;
    const along = (clientX - from.x) * from.perPixel;
    const across = (clientY - from.y) * from.perPixel;
    if (isHeld || Math.hypot(along, across) > placing.step)
      placing.hold(standing, { x: from.place.x + across, y: from.place.y + along });
  };
  const drop = () => {
    if (grip.current && isHeld) placing.drop(standing);
    grip.current = null;
  };
  const byKey = (event: KeyboardEvent) => {
    const way = ways[event.key];
    if (event.key === 'Escape') placing.letGo();
    if (!way || !mayMove) return;
    event.preventDefault();
    const far = placing.step * (event.shiftKey ? FAR : 1);
    placing.hold(standing, { x: place.x + way.x * far, y: place.y + way.y * far });
    placing.dropSoon(standing);
  };
  return (
    <button
      type="button"
      aria-pressed={isSelected}
      onFocus={onSelect}
      onClick={onSelect}
      onPointerDown={take}
      onPointerMove={drag}
      onPointerUp={drop}
      onPointerCancel={placing.letGo}
      onKeyDown={byKey}
      className={`absolute flex touch-none items-center gap-1 overflow-hidden rounded-xs border-2 px-1 text-left text-sm ${isSelected ? 'z-10 border-beet' : 'border-ink/60'} ${mayMove ? 'cursor-grab' : ''} ${isHeld ? 'z-20 cursor-grabbing opacity-80' : ''}`}
      style={{
        left: share(place.y, room.along),
        top: share(place.x, room.across),
        width: share(length, room.along),
        height: share(width, room.across),
        // Its ground is light in every set of colours.
        color: 'var(--on-sun)',
        background: crop && `color-mix(in srgb, ${familyHue(crop.family)} 26%, var(--mark-ground))`,
      }}
    >
      {crop && (
        <svg
          viewBox="0 0 16 16"
          width="18"
          height="18"
          aria-hidden
          className="shrink-0 rounded-xs bg-mark-ground"
        >
          <FamilyGlyph family={crop.family} />
        </svg>
      )}
      <span className="truncate">{names.crop(planting.cropId)}</span>
    </button>
  );
}
