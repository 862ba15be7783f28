import type { Bed, Landmark } from '@unity-acre/contract/ground';
import type { Family } from '@unity-acre/core/crops';
import { extentOf, type Rectangle, type Shape, standingKinds } from '@unity-acre/core/ground';
import { type ReactNode, useMemo } from 'react';
import { useTranslation } from 'react-i18next';
import { tenureIn, useHere } from '../../garden/index.ts';
import { PlanFrame } from './PlanFrame.tsx';
import { BedMark, LandmarkMark } from './PlanThings.tsx';

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
  onOpen?(bed: Bed): void;
  className?: string;
  /** drawn under the beds, and over them */
  under?: ReactNode;
  over?: ReactNode;
}

/** The garden to scale. Every bed can be reached by keyboard. */
export function Plan({
  beds,
  landmarks,
  highlight = [],
  growing,
  fillOf,
  small = false,
  onOpen,
  className = '',
  under,
  over,
}: Props) {
  const { t } = useTranslation('ground');
  const { garden } = useHere();
  const year = garden.seasonYear;
  const frame = useMemo(() => frameOf([...beds, ...landmarks]), [beds, landmarks]);
  return (
    <PlanFrame frame={frame} label={t('plan.label')} small={small} className={className}>
      {under}
      {landmarks
        .filter(({ kind }) => !standingKinds.includes(kind))
        .sort((a, b) => Number(b.kind === 'path') - Number(a.kind === 'path'))
        .map((landmark) => (
          <LandmarkMark key={landmark.id} landmark={landmark} marked={highlight.includes(landmark.id)} />
        ))}
      {beds.map((bed) => {
        const kind = tenureIn(bed, year)?.kind ?? 'none';
        return (
          <g
            key={bed.id}
            role="link"
            tabIndex={0}
            aria-label={t('plan.bed', { bed: bed.name, tenure: t(`tenure.${kind}`) })}
            className="cursor-pointer"
            onClick={() => onOpen?.(bed)}
            onKeyDown={(event) => event.key === 'Enter' && onOpen?.(bed)}
          >
            <BedMark
              bed={bed}
              tenure={kind}
              marked={highlight.includes(bed.id)}
              families={growing?.get(bed.id) ?? []}
              fill={fillOf?.(bed)}
            />
          </g>
        );
      })}
      {over}
      {landmarks
        .filter(({ kind }) => standingKinds.includes(kind))
        .map((landmark) => (
          <LandmarkMark key={landmark.id} landmark={landmark} marked={highlight.includes(landmark.id)} />
        ))}
    </PlanFrame>
  );
}
