import type { TaskView } from '@unity-acre/contract/work';
import { amounts, plantedOutline, sowingDepth, spacingOf } from '@unity-acre/core/season';
import { needsOf } from '@unity-acre/core/work';
import { useTranslation } from 'react-i18next';
import { useCatalogue } from '../../crops/catalogue.ts';
import { useHere, useList } from '../../kit/garden.ts';
import { useMeasure } from '../../kit/measure.ts';
import { PackingDrawing } from '../../season/PackingDrawing.tsx';
import { useBothSeasons } from '../../season/year.ts';
import { useToolName } from '../toolName.ts';

/** Work for which it matters how far apart things stand. */
const setsApart: readonly TaskView['kind'][] = ['sow', 'setOut', 'thin', 'thinAgain'];
/** Work with seed, and work with plants. */
const ofSeed: readonly TaskView['kind'][] = ['sow', 'startIndoors'];
const ofPlants: readonly TaskView['kind'][] = ['setOut', 'potOn', 'hardenOff'];

/** How a task is done: how many, how deep, how far apart, with what, with what care, and when it is done. */
export function TaskCard({ task }: { task: TaskView }) {
  const { t } = useTranslation(['day', 'season', 'people']);
  const { garden } = useHere();
  const { number, length, spacing, depth: depthOf } = useMeasure();
  const toolName = useToolName();
  const crop = useCatalogue().crop(task.cropId);
  const planting = useBothSeasons('plantings').data?.find(({ id }) => id === task.plantingId);
  const bed = useList('beds').data?.find(({ id }) => id === task.bedId);
  const needs = needsOf(task.kind);
  if (!crop || !planting || !bed) return null;
  const { packing, plants, seeds } = amounts(
    crop,
    planting.method,
    planting.pattern,
    planting.width,
    planting.length,
    bed,
  );
  const inRow = spacingOf(crop, planting.pattern);
  const depth = sowingDepth(crop, garden.rules.depth);
  const deep = [depth.from, depth.to].map(depthOf);
  const facts = [
    ofSeed.includes(task.kind) && t('day:card.amount.seeds', { seeds: number(seeds, 0) }),
    (ofPlants.includes(task.kind) || task.kind === 'setOut') &&
      t('day:card.amount.plants', { plants: number(plants, 0) }),
    task.kind !== 'startIndoors' &&
      task.kind !== 'hardenOff' &&
      task.kind !== 'potOn' &&
      t('day:card.amount.row', { row: length(packing.rowLength) }),
  ].filter(Boolean);
  const how = [
    ofSeed.includes(task.kind) &&
      (depth.to === 0 || depth.from === 0
        ? t('day:card.surface')
        : t('day:card.deep', { depth: deep[0] === deep[1] ? deep[0] : `${deep[0]} – ${deep[1]}` })),
    task.kind === 'setOut' &&
      crop.setOutDepth &&
      `${t('season:setOutDepthLabel')} ${t(`season:setOutDepth.${crop.setOutDepth}`)}`,
    setsApart.includes(task.kind) &&
      planting.pattern !== 'broadcast' &&
      t('day:card.apart', { inRow: spacing(inRow), between: spacing(packing.betweenRows) }),
    needs.sky !== 'any' && t(`day:card.sky.${needs.sky}`),
  ].filter(Boolean);
  const tools = needs.tools.map(({ tool, per }) =>
    per === 'person' ? t('day:card.each', { tool: toolName(tool) }) : toolName(tool),
  );
  const crew = [
    needs.fewest > 1 && t('day:card.fewest', { n: needs.fewest }),
    needs.strains.length > 0 &&
      t('day:card.asks', {
        list: needs.strains.map((strain) => t(`people:strain.${strain}`).toLowerCase()).join(', '),
      }),
    needs.skill && t('day:card.learnt', { skill: t(`people:skill.${needs.skill}`).toLowerCase() }),
  ].filter(Boolean);
  return (
    <div className="mt-1 grid gap-x-6 gap-y-1 text-sm md:grid-cols-[minmax(0,1fr)_11rem]">
      <div className="min-w-0">
        <p>{facts.join(', ')}</p>
        {how.length > 0 && <p>{how.join(' ')}</p>}
        {tools.length > 0 && <p>{t('day:card.tools', { list: tools.join(', ') })}</p>}
        {crew.length > 0 && <p className="text-ink-soft">{crew.join(' · ')}</p>}
        {needs.adultsOnly && <p className="font-semibold">{t('day:card.adultsOnly')}</p>}
        {crop.cautions.map((caution) => (
          <p key={caution} className="border-blossom border-l-4 pl-2">
            {t(`season:caution.${caution}`)}
          </p>
        ))}
        <p className="text-ink-soft">{t('day:card.doneWhen', { what: t(`day:doneWhen.${task.kind}`) })}</p>
      </div>
      {setsApart.includes(task.kind) && (
        <PackingDrawing
          pattern={planting.pattern}
          packing={packing}
          width={planting.width}
          length={planting.length}
          outline={plantedOutline(bed, planting.width, planting.length)}
          between={crop.betweenRows}
          inRow={inRow}
          family={crop.family}
        />
      )}
    </div>
  );
}
