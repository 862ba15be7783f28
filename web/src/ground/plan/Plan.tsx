import type { Bed, Landmark } from '@unity-acre/contract/ground';
import type { Family } from '@unity-acre/core/crops';
import { extentOf, type Rectangle, type Shape, standingKinds } from '@unity-acre/core/ground';
import { memo, type PointerEvent, type ReactNode, useMemo, useRef } from 'react';
import { useTranslation } from 'react-i18next';
import { tenureIn, useHere } from '../../garden/index.ts';
import type { PaintGround } from './GroundCanvas.tsx';
import { PlanFrame } from './PlanFrame.tsx';
import { BedLabel, BedMark, LandmarkMark } from './PlanThings.tsx';
import type { tenureFill } from './tenureLook.ts';

/** Ground shown around the outermost bed, metres. */
const MARGIN_M = 1.5;
const EMPTY: Rectangle = { x: 0, y: 0, width: 24, length: 14 };

/** The ground a plan shows: all that is on it, with a margin. */
export function frameOf(shapes: readonly Shape[]): Rectangle {
  const around = extentOf(shapes) ?? EMPTY;
  return {
    x: around.x - MARGIN_M,
    y: around.y - MARGIN_M,
    width: around.width + 2 * MARGIN_M,
    length: around.length + 2 * MARGIN_M,
  };
}

/** Paths lie under everything, so that nothing is hidden by them. */
export const paintOrder = (landmarks: readonly Landmark[]): Landmark[] =>
  [...landmarks].sort((a, b) => Number(b.kind === 'path') - Number(a.kind === 'path'));

interface Props {
  beds: Bed[];
  landmarks: Landmark[];
  /** beds and landmarks to point out */
  highlight?: readonly string[];
  /** families growing in a bed this season */
  growing?: Map<string, Family[]>;
  /** the colour of a bed, where it says something else than how it is held */
  fillOf?: (bed: Bed) => string | undefined;
  small?: boolean;
  /** @param byTouch true where a finger did it, which has no way to look first */
  onOpen?(bed: Bed, byTouch: boolean): void;
  /** a bed is pointed at, or has the focus */
  onLook?(bed: Bed): void;
  /** the id of what says more of the bed that has the focus */
  noteId?: string;
  className?: string;
  /** drawn under the beds, and over them */
  under?: ReactNode;
  over?: ReactNode;
  /** painted on the beds, whose names then stand over it */
  paint?: PaintGround;
}

const NONE: readonly Family[] = [];

/** The garden to scale. Every bed can be reached by keyboard. */
export function Plan({
  beds,
  landmarks,
  highlight = [],
  growing,
  fillOf,
  small = false,
  onOpen,
  onLook,
  noteId,
  className = '',
  under,
  over,
  paint,
}: Props) {
  const { t } = useTranslation('ground');
  const { garden } = useHere();
  const year = garden.seasonYear;
  const frame = useMemo(() => frameOf([...beds, ...landmarks]), [beds, landmarks]);
  const names = useMemo(() => beds.map((bed) => <BedLabel key={bed.id} bed={bed} isHaloed />), [beds]);
  // Five hundred of them are not looked through for each day of a season that plays by: only when one looks otherwise.
  const fills = beds.map((bed) => fillOf?.(bed) ?? '').join('|');
  const marked = highlight.join(' ');
  const isPainted = paint !== undefined;
  const marks = useMemo(() => {
    const fill = fills.split('|');
    return beds.map((bed, n) => (
      <BedOnPlan
        key={bed.id}
        bed={bed}
        tenure={tenureIn(bed, year)?.kind ?? 'none'}
        marked={marked.split(' ').includes(bed.id)}
        families={growing?.get(bed.id) ?? NONE}
        fill={fill[n] || undefined}
        isNamed={!isPainted}
        noteId={noteId}
        onOpen={onOpen}
        onLook={onLook}
      />
    ));
  }, [beds, fills, marked, growing, year, isPainted, noteId, onOpen, onLook]);
  return (
    <PlanFrame
      frame={frame}
      label={t('plan.label')}
      small={small}
      className={className}
      paint={paint}
      above={paint && names}
    >
      {under}
      {landmarks
        .filter(({ kind }) => !standingKinds.includes(kind))
        .sort((a, b) => Number(b.kind === 'path') - Number(a.kind === 'path'))
        .map((landmark) => (
          <LandmarkMark key={landmark.id} landmark={landmark} marked={highlight.includes(landmark.id)} />
        ))}
      {marks}
      {over}
      {landmarks
        .filter(({ kind }) => standingKinds.includes(kind))
        .map((landmark) => (
          <LandmarkMark key={landmark.id} landmark={landmark} marked={highlight.includes(landmark.id)} />
        ))}
    </PlanFrame>
  );
}

interface BedProps extends Pick<Props, 'onOpen' | 'onLook' | 'noteId'> {
  bed: Bed;
  tenure: keyof typeof tenureFill;
  marked: boolean;
  families: readonly Family[];
  fill: string | undefined;
  isNamed: boolean;
}

/** A bed that can be looked at and opened, drawn anew only when it looks otherwise. */
const BedOnPlan = memo(function BedOnPlan({ onOpen, onLook, noteId, ...mark }: BedProps) {
  const { t } = useTranslation('ground');
  const { bed, tenure } = mark;
  const wasTouched = useRef(false);
  return (
    <g
      role="link"
      tabIndex={0}
      aria-label={t('plan.bed', { bed: bed.name, tenure: t(`tenure.${tenure}`) })}
      aria-describedby={noteId}
      className="cursor-pointer"
      onPointerDown={({ pointerType }: PointerEvent) => {
        wasTouched.current = pointerType === 'touch';
      }}
      onClick={() => onOpen?.(bed, wasTouched.current)}
      onKeyDown={(event) => event.key === 'Enter' && onOpen?.(bed, false)}
      onPointerEnter={({ pointerType }: PointerEvent) => pointerType !== 'touch' && onLook?.(bed)}
      onFocus={() => onLook?.(bed)}
    >
      <BedMark {...mark} />
    </g>
  );
});
