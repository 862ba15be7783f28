import type { Bed } from '@unity-acre/contract/ground';
import type { Family } from '@unity-acre/core/crops';
import { beyondReach, groundArea, reaches } from '@unity-acre/core/ground';
import { Plus } from 'lucide-react';
import { useMemo } from 'react';
import { useTranslation } from 'react-i18next';
import { Link, useNavigate } from 'react-router';
import { useCatalogue } from '../../crops/catalogue.ts';
import {
  datesAlone,
  sizeWords,
  tenureIn,
  useCoordinates,
  useHere,
  useList,
  useMeasure,
  useSeasonList,
} from '../../garden/index.ts';
import { PlacePaths } from '../../garden/paths/index.ts';
import { Button } from '../../kit/controls/index.ts';
import { FamilyMark } from '../../kit/FamilyMark.tsx';
import { fetchedPart } from '../../kit/fetchedPart.tsx';
import { Bare, Loaded, Screen, useInAddress } from '../../kit/screens/index.ts';
import { Plan } from './Plan.tsx';
import { tenureFill } from './tenureLook.ts';
import { Underlay } from './Underlay.tsx';

/** Fetched when it is first shown: the screen beneath does not wait for all that a form is made with. */
const BedSheet = fetchedPart(async () => (await import('../bed/index.ts')).BedSheet);

/** The families in each bed this season, in the order of their plantings. */
export function useGrowing(): Map<string, Family[]> {
  const { garden, role } = useHere();
  const catalogue = useCatalogue();
  const plantings = useSeasonList('plantings', garden.seasonYear, datesAlone);
  return useMemo(() => {
    const growing = new Map<string, Family[]>();
    if (role === 'receiver') return growing;
    for (const planting of plantings.data ?? []) {
      const over = planting.steps.at(-1)!;
      const family = catalogue.crop(planting.cropId)?.family;
      if (!family || over.done || over.on < garden.today) continue;
      const known = growing.get(planting.bedId) ?? [];
      if (!known.includes(family)) growing.set(planting.bedId, [...known, family]);
    }
    return growing;
  }, [plantings.data, garden.today, role, catalogue]);
}

/** The true-to-scale plan of the garden and the list of its beds. */
export default function Ground() {
  const { t } = useTranslation('ground');
  const navigate = useNavigate();
  const coordinates = useCoordinates();
  const beds = useList('beds');
  const landmarks = useList('landmarks');
  const growing = useGrowing();
  const [opened, open] = useInAddress('bed');
  return (
    <Screen
      title={t('title')}
      className="flex flex-col gap-5"
      actions={
        coordinates && (
          <Button onClick={() => open('new')} look="act">
            <Plus aria-hidden size={18} />
            {t('addBed')}
          </Button>
        )
      }
    >
      <PlacePaths of="layout" />
      <Loaded of={beds}>
        {(list) => (
          <>
            {list.length === 0 && (
              <Bare title={t('empty')}>
                <p>{t('emptyHint')}</p>
              </Bare>
            )}
            <div className="grid items-start gap-8 xl:grid-cols-[minmax(0,1fr)_22rem]">
              <div>
                <Plan
                  beds={list}
                  landmarks={landmarks.data ?? []}
                  growing={growing}
                  onOpen={(bed) => navigate(`/ground/${bed.id}`)}
                  under={<Underlay />}
                  className="h-[26rem] border border-line-strong sm:h-[36rem]"
                />
                <Legend beds={list} />
              </div>
              <BedList beds={list} growing={growing} />
            </div>
          </>
        )}
      </Loaded>
      {opened === 'new' && <BedSheet bed={null} onClose={() => open(null)} onUnfetched={() => open(null)} />}
    </Screen>
  );
}

function Legend({ beds }: { beds: Bed[] }) {
  const { t } = useTranslation('ground');
  const { garden } = useHere();
  const year = garden.seasonYear;
  const kinds = [...new Set(beds.map((bed) => tenureIn(bed, year)?.kind ?? 'none'))];
  return (
    <ul className="mt-2 flex flex-wrap gap-x-5 gap-y-1 text-sm">
      {kinds.map((kind) => (
        <li key={kind} className="flex items-center gap-1.5">
          <svg width="22" height="14" aria-hidden>
            <rect x="0.5" y="0.5" width="21" height="13" className={`${tenureFill[kind]} stroke-ink`} />
          </svg>
          {t(`tenure.${kind}`)}
        </li>
      ))}
    </ul>
  );
}

function BedList({ beds, growing }: { beds: Bed[]; growing: Map<string, Family[]> }) {
  const { t } = useTranslation('ground');
  const { garden } = useHere();
  const { length, area } = useMeasure();
  const year = garden.seasonYear;
  if (beds.length === 0) return null;
  const total = beds.reduce((sum, bed) => sum + groundArea(bed), 0);
  return (
    <section className="furrow">
      <h2>{t('list')}</h2>
      <p className="text-ink-soft text-sm">{t('total', { count: beds.length, area: area(total) })}</p>
      <ul className="mt-1 xl:max-h-[33rem] xl:overflow-y-auto">
        {beds.map((bed) => {
          const tenure = tenureIn(bed, year);
          return (
            <li key={bed.id} className="border-line border-b">
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
                  {(growing.get(bed.id) ?? []).map((family) => (
                    <FamilyMark key={family} family={family} size={18} />
                  ))}
                </span>
                <span className="text-right text-sm">{sizeWords(bed, length)}</span>
              </Link>
            </li>
          );
        })}
      </ul>
    </section>
  );
}
