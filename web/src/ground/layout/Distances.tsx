import { nearestTo, type Point } from '@unity-acre/core/ground';
import { useTranslation } from 'react-i18next';
import { useMeasure } from '../../garden/index.ts';
import type { Thing } from './useLayoutEditing.ts';

/** Things in the hand, where they are by now, and how far that is from where they were. */
export interface Moving {
  by: Point;
  things: readonly Thing[];
}

/** Neighbors whose distance is told. */
const TOLD = 2;
/** A gap smaller than this is none, metres. */
const TOUCHES_M = 0.005;

/** How far what is in the hand has moved, and how far it is from what lies nearest. */
export function Distances({ moving, things }: { moving: Moving; things: readonly Thing[] }) {
  const { t } = useTranslation(['layout', 'ground']);
  const { length } = useMeasure();
  const others = things.filter(({ id }) => !moving.things.some((thing) => thing.id === id));
  const nameOf = (thing: Thing) =>
    thing.name || (thing.what === 'landmark' ? t(`ground:landmark.${thing.kind}`) : '');
  return (
    <ul
      aria-live="polite"
      className="pointer-events-none absolute top-2 left-2 bg-rail px-3 py-1 text-rail-ink"
    >
      <li className="font-semibold">
        {t('layout:moved.by', { distance: length(Math.hypot(moving.by.x, moving.by.y)) })}
      </li>
      {nearestTo(moving.things, others, TOLD).map(({ shape, gap }) => (
        <li key={shape.id}>
          {gap < TOUCHES_M
            ? t('layout:moved.touches', { what: nameOf(shape) })
            : t('layout:moved.to', { distance: length(gap), what: nameOf(shape) })}
        </li>
      ))}
    </ul>
  );
}
