import type { Bed } from '@unity-acre/contract/ground';
import type { Planting } from '@unity-acre/contract/season';
import { groundArea } from '@unity-acre/core/ground';
import {
  amounts,
  computeMilestones,
  isSown,
  type PlantingPlan,
  plantedOutline,
  seedsOf,
  sowingDepth,
  spacingOf,
} from '@unity-acre/core/season';
import { useTranslation } from 'react-i18next';
import { useCatalogue } from '../../crops/catalogue.ts';
import { useAlmanac, useHere, useMeasure } from '../../garden/index.ts';
import { Bare } from '../../kit/screens/index.ts';
import { OutsideNote, Reasons, StepsChart } from '../explain/index.ts';
import { FromTheBox } from './FromTheBox.tsx';
import { PackingDrawing } from './PackingDrawing.tsx';
import type { PlanValues } from './Planner.tsx';
import { planAsTyped } from './planOf.ts';
import { RehearsalNote } from './RehearsalNote.tsx';
import { useSeedSources } from './useSeedSources.ts';

/** What the plan comes to, as it stands in the form. */
export function PlanPreview({
  bed,
  values,
  bare,
  planting,
  onStart,
}: {
  bed: Bed;
  values: PlanValues;
  bare: 'ft' | 'm';
  planting: Planting | null;
  onStart(on: string): void;
}) {
  const { t } = useTranslation('season');
  const { garden } = useHere();
  const catalogue = useCatalogue();
  const almanac = useAlmanac(bed, values.protection);
  const typed = planAsTyped(values, bed, catalogue, bare);
  if (!typed) return <Bare title={t('incomplete')} />;
  const { plan, width } = typed;
  const { crop } = plan;
  const steps = computeMilestones(plan, almanac, garden.rules);
  if (!steps) return <Bare title={t('notThatWay')} />;
  return (
    <div className="flex min-w-0 flex-col gap-7">
      <section className="furrow">
        <h2>{t('when')}</h2>
        <OutsideNote crop={crop} steps={steps} almanac={almanac} year={plan.year} onStart={onStart} />
        <StepsChart steps={steps} bed={bed} />
        <h3 className="mt-3">{t('why')}</h3>
        <Reasons steps={steps} />
      </section>
      {!planting?.afterId && <RehearsalNote plan={plan} steps={steps} offsetC={bed.offsetC} />}
      <HowMany
        bed={bed}
        values={values}
        plan={plan}
        width={width}
        length={typed.length}
        planting={planting}
      />
    </div>
  );
}

/** How many plants and seeds it comes to, how they stand, and with what care. */
function HowMany({
  bed,
  values,
  plan,
  width,
  length,
  planting,
}: {
  bed: Bed;
  values: PlanValues;
  plan: PlantingPlan;
  width: number;
  length: number;
  planting: Planting | null;
}) {
  const { t } = useTranslation('season');
  const { garden } = useHere();
  const { number, length: lengthOf, area, depth: depthOf } = useMeasure();
  const { crop, method } = plan;
  const { plants, sown, packing } = amounts(crop, method, values.pattern, width, length, bed);
  const toSow = planting && isSown(planting.steps) ? 0 : (sown?.holes ?? 0);
  const seed = useSeedSources(plan, toSow, planting);
  const seeds = seed ? seedsOf(seed.sources) : (sown?.seeds ?? 0);
  const depth = sowingDepth(crop, garden.rules.depth);
  const big = 'font-title text-2xl';
  return (
    <section className="furrow">
      <h2>{t('howMany')}</h2>
      <p className="my-2 text-lg">
        <strong className={big}>{number(plants, 0)}</strong> {t('plants')}
        {seeds > 0 && (
          <>
            {', '}
            <strong className={big}>{number(seeds, 0)}</strong> {t('seeds')}
          </>
        )}
        {', '}
        <strong className={big}>{lengthOf(packing.rowLength)}</strong> {t('ofRow')}
      </p>
      <p className="text-ink-soft text-sm">
        {t('count', {
          count: packing.rows,
          perRow: packing.perRow,
          area: area(width * length),
          bed: area(groundArea(bed)),
        })}{' '}
        {sown && t('seedCount', { perHole: crop.seedsPerHole, spare: number(crop.spareShare * 100, 0) })}{' '}
        {method !== 'setPlants' &&
          (depth.from === 0
            ? t('depthSurface')
            : t('depth', {
                depth:
                  depthOf(depth.from) === depthOf(depth.to)
                    ? depthOf(depth.from)
                    : `${depthOf(depth.from)} – ${depthOf(depth.to)}`,
              }))}{' '}
        {method !== 'sowInPlace' &&
          crop.setOutDepth &&
          `${t('setOutDepthLabel')} ${t(`setOutDepth.${crop.setOutDepth}`)}`}
      </p>
      {seed && <FromTheBox plan={plan} seed={seed} />}
      <PackingDrawing
        pattern={values.pattern}
        packing={packing}
        width={width}
        length={length}
        outline={plantedOutline(bed, width, length)}
        between={crop.betweenRows}
        inRow={spacingOf(crop, values.pattern)}
        family={crop.family}
      />
      {crop.cautions.map((caution) => (
        <p key={caution} className="mt-2 border-blossom border-l-4 bg-straw-soft px-3 py-1 text-sm">
          {t(`caution.${caution}`)}
        </p>
      ))}
    </section>
  );
}
