import type { Planting } from '@unity-acre/contract/season';
import type { TaskView } from '@unity-acre/contract/work';
import { type Crop, practicesOf } from '@unity-acre/core/crops';
import { type Amounts, asPlanted, plantedOutline, sowingDepth, spacingOf } from '@unity-acre/core/season';
import {
  isRoundKind,
  type RoundKind,
  roundMaterial,
  roundRow,
  type TaskKind,
  taskRow,
  workNeeds,
} from '@unity-acre/core/work';
import { useTranslation } from 'react-i18next';
import { useCatalogue } from '../../crops/catalogue.ts';
import { useCropNames } from '../../crops/names.ts';
import { useHere, useList, useMeasure } from '../../garden/index.ts';
import { useSpotWords } from '../../ground/plan/index.ts';
import { PackingDrawing } from '../../season/planner/index.ts';
import { atHandOf } from '../atHand.ts';
import { useCardPlantings } from '../cardPlantings.ts';
import { useToolName } from '../care/index.ts';
import { useSpots } from '../useSpots.ts';
import { HowTo } from './HowTo.tsx';

/** How a task is done. */
export function TaskCard({ task }: { task: TaskView }) {
  const { kind } = task;
  return isRoundKind(kind) ? <RoundCard task={task} kind={kind} /> : <PlantingCard task={task} kind={kind} />;
}

/** What a round is done with and with what care. */
function RoundCard({ task, kind }: { task: TaskView; kind: RoundKind }) {
  const { t } = useTranslation(['day', 'people', 'cards', 'practices']);
  const { area, volume } = useMeasure();
  const material = roundMaterial(kind, task.area);
  const { garden } = useHere();
  const school = ({ loosen: 'digging', weed: 'weeds' } as const)[kind as 'loosen' | 'weed'];
  const way = school && practicesOf(garden.rules.practices)[school];
  const caution = roundRow(kind).isHazardous && t(`cards:${kind}.caution` as 'cards:compost.caution');
  return (
    <div className="mt-1 text-sm">
      {task.area > 0 && (
        <p>
          {material
            ? t(`day:card.material.${material.of}`, {
                volume: volume(material.volume, material.of === 'water' ? 'water' : 'solid'),
                area: area(task.area),
              })
            : t('day:card.material.ground', { area: area(task.area) })}
        </p>
      )}
      {way && (
        <p>
          {t('practices:rule', {
            choice: t(`practices:${school}.choice.${way}` as 'practices:weeds.choice.away'),
          })}
        </p>
      )}
      {task.note && <p>{task.note}</p>}
      <Asked task={task} />
      {caution && <p className="border-blossom border-l-4 pl-2">{caution}</p>}
      <p className="text-ink-soft">{t('day:card.doneWhen', { what: t(`cards:${kind}.doneWhen`) })}</p>
    </div>
  );
}

/** Tools, how many at the least, what it asks of a body and what one has to have learnt, and under which sky. */
function Asked({ task }: { task: TaskView }) {
  const { t } = useTranslation(['day', 'people']);
  const toolName = useToolName();
  const needs = workNeeds(task);
  const tools = needs.tools.map(({ tool, per }) =>
    per === 'person' ? t('day:card.each', { tool: toolName(tool) }) : toolName(tool),
  );
  const crew = [
    needs.fewest > 1 && t('day:card.fewest', { count: needs.fewest }),
    needs.strains.length > 0 &&
      t('day:card.asks', {
        list: needs.strains.map((strain) => t(`day:card.strain.${strain}`)).join(', '),
      }),
    needs.skill && t('day:card.learnt', { skill: t(`people:skill.${needs.skill}`) }),
  ].filter(Boolean);
  return (
    <>
      {needs.sky !== 'any' && <p>{t(`day:card.sky.${needs.sky}`)}</p>}
      {tools.length > 0 && <p>{t('day:card.tools', { list: tools.join(', ') })}</p>}
      {crew.length > 0 && <p className="text-ink-soft">{crew.join(' · ')}</p>}
      {needs.adultsOnly && <p className="font-semibold">{t('day:card.adultsOnly')}</p>}
    </>
  );
}

/** How work at a planting is done: how many, how deep, how far apart, with what, with what care, and when it is done. */
function PlantingCard({ task, kind }: { task: TaskView; kind: TaskKind }) {
  const { t } = useTranslation(['day', 'season', 'cards', 'crops']);
  const usual = useCatalogue().crop(task.cropId);
  const planting = useCardPlantings().find(({ id }) => id === task.plantingId);
  const bed = useList('beds').data?.find(({ id }) => id === task.bedIds[0]);
  const spots = useSpots(task.plantingId ? [task.plantingId] : []);
  const spotWords = useSpotWords();
  const { garden } = useHere();
  if (!usual || !planting || !bed) return null;
  const spot = spots[0] && spotWords(bed, planting, spots[0].place);
  const perHole = task.seedSources[0]?.perHole ?? planting.seedsPerHole;
  const crop = asPlanted(usual, { ...planting, seedsPerHole: perHole });
  const { pattern, width, length } = planting;
  const { at, packed } = atHandOf(crop, planting, bed, garden.rules);
  const { packing } = packed;
  return (
    <div className="mt-1 grid gap-x-6 gap-y-1 text-sm md:grid-cols-[minmax(0,1fr)_11rem] print:grid-cols-[minmax(0,1fr)_11rem]">
      <div className="min-w-0">
        <HowMuch task={task} kind={kind} crop={crop} planting={planting} packed={packed} />
        {spot && <p>{t('day:card.spot', { bed: bed.name, spot })}</p>}
        {kind === 'pick' && (
          <p className="font-semibold">
            {t('day:card.ripe', { sign: t(`crops:sign.${crop.harvest.sign}`) })}
          </p>
        )}
        <HowTo kind={kind} at={at} />
        <Asked task={task} />
        {crop.cautions.map((caution) => (
          <p key={caution} className="border-blossom border-l-4 pl-2">
            {t(`season:caution.${caution}`)}
          </p>
        ))}
        <p className="text-ink-soft">{t('day:card.doneWhen', { what: t(`cards:${kind}.doneWhen`) })}</p>
      </div>
      {taskRow(kind).card.hasSpacing && (
        <PackingDrawing
          pattern={pattern}
          packing={packing}
          width={width}
          length={length}
          outline={plantedOutline(bed, width, length)}
          between={crop.betweenRows}
          inRow={spacingOf(crop, pattern)}
          family={crop.family}
        />
      )}
    </div>
  );
}

/** Which packets the seed is in, and how many of it go into a hole. */
function SeedFrom({ sources }: { sources: TaskView['seedSources'] }) {
  const { t } = useTranslation('day');
  const { number } = useMeasure();
  return sources.map(({ lotId, year, source, perHole, seeds }) => {
    const facts = { count: perHole, seeds: number(seeds, 0), year: year ?? '', source };
    const key = lotId === null ? 'toGet' : source === '' ? 'lot' : 'lotFrom';
    return <p key={lotId ?? 'toGet'}>{t(`card.seed.${key}`, facts)}</p>;
  });
}

/** Which variety, how many, how deep and how far apart. */
function HowMuch({
  task,
  kind,
  crop,
  planting,
  packed: { packing, plants },
}: {
  task: TaskView;
  kind: TaskKind;
  crop: Crop;
  planting: Planting;
  packed: Amounts;
}) {
  const { t } = useTranslation(['day', 'season']);
  const { garden } = useHere();
  const names = useCropNames();
  const { number, length, spacing, depth: depthOf } = useMeasure();
  const depth = sowingDepth(crop, garden.rules.depth);
  const { card } = taskRow(kind);
  const deep = [depth.from, depth.to].map(depthOf);
  const facts = [
    t('day:card.variety', { variety: names.variety(task.cropId, task.varietyId) }),
    card.amount === 'seeds' && t('day:card.amount.seeds', { seeds: number(task.seeds, 0) }),
    card.amount === 'plants' && t('day:card.amount.plants', { plants: number(plants, 0) }),
    card.hasRow && t('day:card.amount.row', { row: length(packing.rowLength) }),
  ].filter(Boolean);
  const how = [
    card.depth === 'sowing' &&
      (depth.to === 0 || depth.from === 0
        ? t('day:card.surface')
        : t('day:card.deep', { depth: deep[0] === deep[1] ? deep[0] : `${deep[0]} – ${deep[1]}` })),
    card.depth === 'setOut' &&
      crop.setOutDepth &&
      `${t('season:setOutDepthLabel')} ${t(`season:setOutDepth.${crop.setOutDepth}`)}`,
    card.hasSpacing &&
      planting.pattern !== 'broadcast' &&
      t('day:card.apart', {
        inRow: spacing(spacingOf(crop, planting.pattern)),
        between: spacing(packing.betweenRows),
      }),
  ].filter(Boolean);
  return (
    <>
      <p>{facts.join(', ')}</p>
      <SeedFrom sources={task.seedSources} />
      {how.length > 0 && <p>{how.join(' ')}</p>}
    </>
  );
}
