import type { Family } from '@unity-acre/core/crops';
import {
  boxAround,
  type Packing,
  type Pattern,
  type Point,
  packOutline,
  positions,
} from '@unity-acre/core/ground';
import { useTranslation } from 'react-i18next';
import { useMeasure } from '../../garden/index.ts';
import { familyHue } from '../../kit/FamilyMark.tsx';

/** More dots than this say no more than a texture does. */
const MOST_DRAWN = 900;

interface Props {
  pattern: Pattern;
  packing: Packing;
  width: number;
  length: number;
  inRow: number;
  /** metres between rows */
  between: number;
  /** the edge of ground that is no rectangle */
  outline: Point[] | null;
  family: Family;
}

/** The planting's ground with every plant in its place, to scale. */
export function PackingDrawing({ pattern, packing, width, length, inRow, between, outline, family }: Props) {
  const { t } = useTranslation('season');
  const measure = useMeasure();
  const isDrawn = packing.count <= MOST_DRAWN && pattern !== 'broadcast';
  const plants = !isDrawn
    ? []
    : outline
      ? packOutline(pattern, outline, inRow, between).plants
      : positions(pattern, packing, width, length, inRow);
  const box = outline ? boxAround(outline) : { x: 0, y: 0, width, length };
  const label =
    pattern === 'broadcast'
      ? t('broadcastDrawing')
      : t('drawing', {
          inRow: measure.spacing(inRow),
          between: measure.spacing(packing.betweenRows),
          count: packing.rows,
        });
  const dot = Math.max(0.02, Math.min(inRow, packing.betweenRows) * 0.32);
  return (
    <figure>
      <svg
        viewBox={`${box.y - 0.05} ${box.x - 0.05} ${box.length + 0.1} ${box.width + 0.1}`}
        className="max-h-56 w-full"
        role="img"
        aria-label={label}
      >
        <title>{label}</title>
        {outline ? (
          <path
            d={`M${outline.map(({ x, y }) => `${y} ${x}`).join('L')}Z`}
            className="fill-straw-soft stroke-ink"
            strokeWidth={0.02}
          />
        ) : (
          <rect
            width={length}
            height={width}
            rx={0.05}
            className="fill-straw-soft stroke-ink"
            strokeWidth={0.02}
          />
        )}
        {plants.map(({ x, y }) => (
          <circle key={`${x}-${y}`} cx={y} cy={x} r={dot} fill={familyHue(family)} />
        ))}
      </svg>
      <figcaption className="text-ink-soft text-sm">
        {label}
        {packing.count > MOST_DRAWN && ` ${t('tooMany')}`}
      </figcaption>
    </figure>
  );
}
