import type { Bed } from '@unity-acre/contract/ground';
import type { Day } from '@unity-acre/core/calendar';
import type { Family } from '@unity-acre/core/crops';
import { beyondReach, groundArea, reaches } from '@unity-acre/core/ground';
import { memo } from 'react';
import { useTranslation } from 'react-i18next';
import { Link } from 'react-router';
import { sizeWords, tenureIn, useHere, useMeasure } from '../../garden/index.ts';
import { FamilyMark } from '../../kit/FamilyMark.tsx';
import { type Planted, seenOn } from './planted.ts';

/** The beds in the order people count, with who has them and what stands in them on the day the hand rests on. */
export const BedList = memo(function BedList({
  beds,
  planted,
  on,
}: {
  beds: readonly Bed[];
  planted: readonly Planted[];
  on: Day;
}) {
  const { t } = useTranslation('ground');
  const { area } = useMeasure();
  const families = new Map<string, Family[]>();
  for (const { planted: one } of seenOn(planted, on)) {
    const { bedId } = one.planting;
    const known = families.get(bedId) ?? [];
    if (!known.includes(one.crop.family)) families.set(bedId, [...known, one.crop.family]);
  }
  const total = beds.reduce((sum, bed) => sum + groundArea(bed), 0);
  return (
    <section className="furrow [contain-intrinsic-size:auto_60rem] [content-visibility:auto]">
      <h2>{t('list')}</h2>
      <p className="text-ink-soft text-sm">{t('total', { count: beds.length, area: area(total) })}</p>
      <ul className="mt-1 gap-x-8 sm:columns-2 xl:columns-3">
        {beds.map((bed) => (
          <BedRow key={bed.id} bed={bed} families={families.get(bed.id) ?? []} />
        ))}
      </ul>
    </section>
  );
});

function BedRow({ bed, families }: { bed: Bed; families: readonly Family[] }) {
  const { t } = useTranslation('ground');
  const { garden } = useHere();
  const { length } = useMeasure();
  const tenure = tenureIn(bed, garden.seasonYear);
  return (
    <li className="break-inside-avoid border-line border-b">
      <Link
        to={`/ground/${bed.id}`}
        className="flex min-h-target items-center gap-3 py-1.5 hover:bg-straw-soft"
      >
        <span className="min-w-0 flex-1">
          <span className="font-semibold">{bed.name}</span>
          <span className="block truncate text-ink-soft text-sm">
            {tenure ? (tenure.holder ?? t(`tenure.${tenure.kind}`)) : t('tenure.none')}
            {beyondReach(bed, 2 * reaches[garden.ground.reach]) && ` · ${t('tooWide')}`}
          </span>
        </span>
        <span className="flex gap-0.5">
          {families.map((family) => (
            <FamilyMark key={family} family={family} size={18} />
          ))}
        </span>
        <span className="text-right text-sm">{sizeWords(bed, length)}</span>
      </Link>
    </li>
  );
}
