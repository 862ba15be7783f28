import type { Bed, Landmark } from '@unity-acre/contract/ground';
import type { Family } from '@unity-acre/core/crops';
import { outlineOf, type Point, type Shape } from '@unity-acre/core/ground';
import { useTranslation } from 'react-i18next';
import { FamilyGlyph } from '../../kit/FamilyMark.tsx';
import { tenureFill } from './tenureLook.ts';

/** An outline as an SVG path; the plan's y runs upwards and the drawing's downwards. */
export const pathOf = (outline: readonly Point[]): string =>
  `M${outline.map(({ x, y }) => `${x.toFixed(3)} ${(-y).toFixed(3)}`).join('L')}Z`;

/** Turns what is drawn in a shape's own box, from its upper left corner, into its place on the plan. */
const inBox = ({ x, y, width, length, angle }: Shape): string =>
  `translate(${x} ${-(y + length)}) rotate(${angle} ${width / 2} ${length / 2})`;

/** A bed's ground, by how it is held; a box has a rim. */
export function BedMark({
  bed,
  tenure,
  marked = false,
  families = [],
  fill,
  isNamed = true,
}: {
  bed: Bed;
  tenure: keyof typeof tenureFill;
  marked?: boolean;
  families?: readonly Family[];
  /** false where its name stands over what is painted on it */
  isNamed?: boolean;
  /** a colour of its own, such as that of its sun */
  fill?: string | undefined;
}) {
  const stroke = marked ? 'stroke-beet' : 'stroke-ink';
  return (
    <>
      <path
        d={pathOf(outlineOf(bed))}
        className={`${fill ? '' : tenureFill[tenure]} ${stroke}`}
        style={fill ? { fill } : undefined}
        strokeWidth={marked ? 0.16 : bed.kind === 'ground' ? 0.05 : 0.11}
        strokeLinejoin="round"
      />
      {isNamed && <BedLabel bed={bed} families={families} ink={fill ? 'var(--on-sun)' : undefined} />}
    </>
  );
}

/** Around letters, metres. */
const halo = {
  paintOrder: 'stroke',
  stroke: 'var(--paper)',
  strokeWidth: 0.14,
  strokeLinejoin: 'round',
} as const;

/** The name along the bed's long side, and the marks of what grows in it. */
export function BedLabel({
  bed,
  families = [],
  ink,
  isHaloed = false,
}: {
  bed: Bed;
  families?: readonly Family[];
  /** a colour to write in, on a ground of its own */
  ink?: string | undefined;
  /** true over what is painted, so that it can be read on anything */
  isHaloed?: boolean;
}) {
  const upright = bed.length > bed.width * 1.2;
  const [along, across] = upright ? [bed.length, bed.width] : [bed.width, bed.length];
  const isRound = bed.form !== 'rectangle';
  const mark = Math.min(0.72, across * (isRound ? 0.3 : 0.6));
  const shown = families.slice(0, isRound ? 2 : 4);
  const room = isRound ? along * 0.66 : along - 0.35 - shown.length * (mark + 0.12);
  const size = Math.max(
    0.22,
    Math.min(0.62, across * (isRound ? 0.26 : 0.5), room / (0.56 * bed.name.length)),
  );
  return (
    <g
      transform={`${inBox(bed)} ${upright && !isRound ? `translate(0 ${bed.length}) rotate(-90)` : ''}`}
      className="pointer-events-none"
    >
      <text
        x={isRound ? bed.width / 2 : 0.2}
        y={isRound ? bed.length / 2 + size * 0.1 : across / 2 + size * 0.34}
        textAnchor={isRound ? 'middle' : 'start'}
        fontSize={size}
        className="fill-ink font-semibold"
        style={isHaloed ? halo : ink ? { fill: ink } : undefined}
      >
        {bed.name}
      </text>
      {shown.map((family, i) => (
        <g
          key={family}
          transform={
            isRound
              ? `translate(${bed.width / 2 + (i - shown.length / 2) * (mark + 0.1)} ${bed.length / 2 + size * 0.5}) scale(${mark / 16})`
              : `translate(${along - (i + 1) * (mark + 0.12)} ${(across - mark) / 2}) ${upright ? `rotate(90 ${mark / 2} ${mark / 2})` : ''} scale(${mark / 16})`
          }
        >
          <rect width="16" height="16" rx="3" className="fill-mark-ground" />
          <FamilyGlyph family={family} />
        </g>
      ))}
    </g>
  );
}

const looks: Record<Landmark['kind'], { ground: string; text: string }> = {
  tap: { ground: 'fill-rain stroke-rain', text: 'fill-rain font-semibold' },
  path: { ground: 'fill-paper stroke-line-strong', text: 'fill-ink-soft' },
  shed: { ground: 'fill-line-strong stroke-ink', text: 'fill-paper font-semibold' },
  hedge: { ground: 'fill-leaf-mid stroke-leaf', text: 'fill-paper font-semibold' },
  fence: { ground: 'fill-ink-soft stroke-ink', text: 'fill-ink-soft' },
  wall: { ground: 'fill-ink-soft stroke-ink', text: 'fill-paper font-semibold' },
  tree: { ground: 'fill-leaf-mid/70 stroke-leaf', text: 'fill-paper font-semibold' },
  other: { ground: 'fill-line stroke-ink-soft', text: 'fill-ink' },
};

/** What stands on the ground and is no bed. */
export function LandmarkMark({ landmark, marked = false }: { landmark: Landmark; marked?: boolean }) {
  const { t } = useTranslation('ground');
  const { kind, width, length } = landmark;
  const name = landmark.name || t(`landmark.${kind}`);
  const look = looks[kind];
  const upright = length > width * 2;
  const [along, across] = upright ? [length, width] : [width, length];
  const size = Math.min(0.6, Math.max(0.26, across * 0.5), along / (0.56 * name.length));
  const beside = kind === 'tap' || across < 0.5;
  return (
    <g>
      <title>{name}</title>
      <path
        d={pathOf(outlineOf(landmark))}
        className={`${look.ground} ${marked ? 'stroke-beet' : ''}`}
        strokeWidth={marked ? 0.16 : 0.05}
        strokeDasharray={kind === 'path' ? '0.3 0.2' : undefined}
      />
      <g transform={inBox(landmark)} className="pointer-events-none">
        <text
          x={beside ? width + 0.15 : width / 2}
          y={length / 2}
          dy={beside ? 0.18 : size * 0.35}
          fontSize={beside ? 0.5 : size}
          textAnchor={beside ? 'start' : 'middle'}
          transform={upright && !beside ? `rotate(-90 ${width / 2} ${length / 2})` : undefined}
          className={look.text}
        >
          {name}
        </text>
      </g>
    </g>
  );
}
