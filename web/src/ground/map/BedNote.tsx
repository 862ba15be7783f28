import type { Bed } from '@unity-acre/contract/ground';
import { useTranslation } from 'react-i18next';
import { Link } from 'react-router';
import { useCropNames } from '../../crops/names.ts';
import { tenureIn, useHere, useMeasure } from '../../garden/index.ts';
import { useDates } from '../../kit/dates.ts';
import { FamilyMark } from '../../kit/FamilyMark.tsx';
import type { LensView, MapDay } from './lens.ts';
import type { Seen } from './planted.ts';

/** What stands in the bed that is pointed at, and what the lens says of it. */
export function BedNote({
  bed,
  day,
  view,
  id,
}: {
  bed: Bed | null;
  day: MapDay;
  view: LensView;
  /** by which beds on the plan name it */
  id: string;
}) {
  const { t } = useTranslation(['map', 'ground']);
  const { garden, role } = useHere();
  const tenure = bed && tenureIn(bed, garden.seasonYear);
  const here = bed ? day.seen.filter(({ planted }) => planted.planting.bedId === bed.id) : [];
  const says = bed && view.says(bed);
  return (
    <section id={id} aria-live="polite" className="border border-line-strong bg-paper p-3">
      {bed ? (
        <>
          <h2 className="font-title text-lg">
            <Link to={`/ground/${bed.id}`} className="underline underline-offset-4">
              {bed.name}
            </Link>
          </h2>
          <p className="text-ink-soft text-sm">{t(`ground:tenure.${tenure?.kind ?? 'none'}`)}</p>
          {says && <p className="mt-1 font-semibold">{says}</p>}
          {role !== 'receiver' && (
            <ul className="mt-1">
              {here.map((seen) => (
                <PlantingNote key={seen.planted.id} seen={seen} />
              ))}
            </ul>
          )}
          {here.length === 0 && role !== 'receiver' && <NextHere bed={bed} day={day} />}
        </>
      ) : (
        <p className="text-ink-soft">{t('map:note.hint')}</p>
      )}
    </section>
  );
}

function PlantingNote({ seen }: { seen: Seen }) {
  const { t } = useTranslation('map');
  const dates = useDates();
  const names = useCropNames();
  const { number } = useMeasure();
  const { planting, crop } = seen.planted;
  const day = (kind: string) => planting.steps.find((step) => step.kind === kind)?.on;
  const stands = { sown: day('emerge'), growing: day('firstPick'), ripe: day('lastPick'), over: undefined };
  const until = stands[seen.stage];
  return (
    <li className="flex items-start gap-2 border-line border-t py-1.5">
      <FamilyMark family={crop.family} size={18} />
      <span className="min-w-0">
        <strong>{names.crop(planting.cropId)}</strong>, {names.variety(planting.cropId, planting.varietyId)}
        <span className="block text-ink-soft text-sm">
          {t('note.plants', { count: planting.plants, number: number(planting.plants, 0) })}.{' '}
          {until ? t(`note.${seen.stage}`, { day: dates.short(until) }) : t(`note.${seen.stage}Bare`)}
        </span>
      </span>
    </li>
  );
}

/** What comes into a bed in which nothing stands. */
function NextHere({ bed, day }: { bed: Bed; day: MapDay }) {
  const { t } = useTranslation('map');
  const dates = useDates();
  const names = useCropNames();
  const [next] = day.planted
    .filter(({ planting, from }) => planting.bedId === bed.id && from > day.on)
    .sort((a, b) => a.from.localeCompare(b.from));
  return (
    <p className="mt-1 text-sm">
      {next
        ? t('note.next', { crop: names.inText(next.planting.cropId), day: dates.short(next.from) })
        : t('note.empty')}
    </p>
  );
}
