import { type Crop, daysToEmergence } from '@unity-acre/core/crops';
import { soilOn } from '@unity-acre/core/place';
import { sowingDepth } from '@unity-acre/core/season';
import type { ReactNode } from 'react';
import { useTranslation } from 'react-i18next';
import { useAlmanac, useHere, useMeasure } from '../../garden/index.ts';

function Group({ title, children }: { title: string; children: ReactNode }) {
  return (
    <section className="furrow mb-7 break-inside-avoid">
      <h2>{title}</h2>
      <dl className="mt-1 grid gap-x-4 gap-y-0.5 sm:grid-cols-[11rem_1fr]">{children}</dl>
    </section>
  );
}

function Fact({ name, children }: { name: string; children: ReactNode }) {
  return (
    <>
      <dt className="text-ink-soft">{name}</dt>
      <dd className="mb-1 sm:mb-0">{children}</dd>
    </>
  );
}

/** What is known of a crop: its seed, its room, its care, its harvest. */
export function CropFacts({ crop }: { crop: Crop }) {
  const { t } = useTranslation(['crops', 'season']);
  const { garden } = useHere();
  const { spacing, temperature, number, weight, length, depth: depthOf } = useMeasure();
  const almanac = useAlmanac();
  const range = (a: string, b: string) => (a === b ? a : `${a} – ${b}`);
  const weeks = (days: number) => number(Math.round((days / 7) * 2) / 2, 1);
  const depth = sowingDepth(crop, garden.rules.depth);
  const soilNow = soilOn(almanac, garden.today);
  const upNow = daysToEmergence(crop, soilNow);
  return (
    <>
      {crop.emergence.length > 0 && (
        <Group title={t('crops:seed.title')}>
          <Fact name={t('crops:seed.soil')}>
            {t('crops:seed.soilSay', {
              least: temperature(crop.germination.least),
              best: temperature(crop.germination.best),
              most: temperature(crop.germination.most),
            })}
          </Fact>
          <Fact name={t('crops:seed.up')}>
            <EmergenceChart crop={crop} />
            {t('crops:seed.now', {
              soil: temperature(soilNow),
              days: upNow === null ? t('crops:seed.not') : t('crops:days', { count: upNow }),
            })}
          </Fact>
          <Fact name={t('crops:seed.depth')}>
            {depth.from === 0 ? t('season:depthSurface') : range(depthOf(depth.from), depthOf(depth.to))}
            {garden.rules.depth !== 'packet' && (
              <span className="text-ink-soft">
                {' '}
                {t('crops:seed.packets', { depth: range(depthOf(crop.depth.from), depthOf(crop.depth.to)) })}
              </span>
            )}
          </Fact>
          {crop.seedsPerGram !== undefined && (
            <Fact name={t('crops:seed.perGram')}>{number(crop.seedsPerGram, 1)}</Fact>
          )}
          {crop.viabilityYears !== undefined && (
            <Fact name={t('crops:seed.keeps')}>{t('crops:years', { count: crop.viabilityYears })}</Fact>
          )}
          <Fact name={t('crops:seed.isolation')}>
            {t(`crops:pollen.${crop.isolation.by}`, { metres: length(crop.isolation.metres) })}
          </Fact>
        </Group>
      )}
      <Group title={t('crops:room.title')}>
        <Fact name={t('crops:room.inRow')}>
          {t('crops:room.spaced', { inRow: spacing(crop.inRow), between: spacing(crop.betweenRows) })}
        </Fact>
        <Fact name={t('crops:room.intensive')}>{spacing(crop.intensive)}</Fact>
        <Fact name={t('crops:room.size')}>
          {t('crops:room.sizeSay', { height: length(crop.height), spread: length(crop.spread) })}
        </Fact>
        <Fact name={t('crops:room.soil')}>
          {t('crops:room.soilSay', { soil: spacing(crop.soilDepth), roots: length(crop.rootM[1]) })}
        </Fact>
        <Fact name={t('crops:room.sun')}>{t(`crops:sun.${crop.sun}`)}</Fact>
        <Fact name={t('crops:room.support')}>{t(`crops:support.${crop.support}`)}</Fact>
      </Group>
      <Group title={t('crops:care.title')}>
        <Fact name={t('crops:care.frost')}>{temperature(crop.frostDamageC)}</Fact>
        {crop.nightsC && <Fact name={t('crops:care.nights')}>{temperature(crop.nightsC[0])}</Fact>}
        {crop.heatEndsC !== undefined && (
          <Fact name={t('crops:care.heat')}>{temperature(crop.heatEndsC)}</Fact>
        )}
        {crop.daysIndoors && (
          <Fact name={t('crops:care.indoors')}>
            {t('crops:care.indoorsSay', {
              fewest: weeks(crop.daysIndoors.fewest),
              usual: weeks(crop.daysIndoors.usual),
              most: weeks(crop.daysIndoors.most),
            })}
          </Fact>
        )}
        {crop.setOutDepth && (
          <Fact name={t('crops:care.setOut')}>{t(`season:setOutDepth.${crop.setOutDepth}`)}</Fact>
        )}
        <Fact name={t('crops:care.feeding')}>
          {t(`crops:feeding.${crop.feeding}`)}
          {crop.feedEveryDays !== undefined &&
            `, ${t('crops:care.feedEvery', { count: crop.feedEveryDays })}`}
        </Fact>
        <Fact name={t('crops:care.water')}>
          {t('crops:care.waterSay', {
            start: number(crop.waterKc[0], 2),
            middle: number(crop.waterKc[1], 2),
            end: number(crop.waterKc[2], 2),
          })}
        </Fact>
        {crop.net && <Fact name={t('crops:care.watch')}>{t(`crops:watch.${crop.net}`)}</Fact>}
      </Group>
      <Group title={t('crops:harvest.title')}>
        <Fact name={t('crops:harvest.sign')}>{t(`crops:sign.${crop.harvest.sign}`)}</Fact>
        {crop.yieldKg && (
          <Fact name={t('crops:harvest.yield')}>
            {t(`crops:harvest.per.${crop.yieldKg.per}`, {
              weight: weight(
                crop.yieldKg.per === 'metre' && garden.units === 'imperial'
                  ? crop.yieldKg.kg * 1000 * 0.3048
                  : crop.yieldKg.kg * 1000,
              ),
              unit: garden.units === 'imperial' ? 'ft' : 'm',
            })}
          </Fact>
        )}
        <Fact name={t('crops:harvest.style')}>
          {t(crop.onceOver ? 'crops:harvest.once' : 'crops:harvest.again')}
        </Fact>
      </Group>
    </>
  );
}

/** Days to emergence by soil temperature, as bars. */
function EmergenceChart({ crop }: { crop: Crop }) {
  const { t } = useTranslation('crops');
  const { temperature, number } = useMeasure();
  const longest = Math.max(...crop.emergence.map(({ days }) => days));
  const bar = 46;
  return (
    <svg
      viewBox={`0 0 ${crop.emergence.length * bar} 74`}
      className="mb-1 h-[74px] max-w-full"
      role="img"
      aria-label={t('seed.chart')}
    >
      <title>{t('seed.chart')}</title>
      {crop.emergence.map(({ soilC, days }, i) => {
        const height = Math.max(2, (days / longest) * 38);
        return (
          <g key={soilC} transform={`translate(${i * bar} 0)`}>
            <rect
              x={6}
              y={54 - height}
              width={bar - 16}
              height={height}
              className="fill-straw stroke-straw-deep"
            />
            <text
              x={bar / 2 - 2}
              y={50 - height}
              textAnchor="middle"
              className="fill-ink font-semibold text-[11px]"
            >
              {number(days, 0)}
            </text>
            <text x={bar / 2 - 2} y={68} textAnchor="middle" className="fill-ink-soft text-[11px]">
              {temperature(soilC)}
            </text>
          </g>
        );
      })}
    </svg>
  );
}
