import type { Planting } from '@unity-acre/contract/season';
import { useTranslation } from 'react-i18next';
import { Link } from 'react-router';
import { useCropNames } from '../../../crops/names.ts';
import { useHere, useList } from '../../../garden/index.ts';
import { useDates } from '../../../kit/dates.ts';

/** Steps named of each plot. */
const STEPS = 3;
/** Steps that a plant takes by itself. */
const BY_ITSELF = new Set(['emerge', 'firstPick', 'lastPick']);

/** Crops of a bed that can be picked today by the plan. */
const ripeIn = (plantings: readonly Planting[], today: string) =>
  plantings.filter(({ steps }) => {
    const at = (kind: string) => steps.find((step) => step.kind === kind);
    const [first, last] = [at('firstPick'), at('lastPick')];
    return first && first.on <= today && (!last || last.on >= today) && !steps.at(-1)?.done;
  });

/** One's plots of this season: what is to be done next in each, and what is ripe. */
export function MyBeds({ plantings }: { plantings: readonly Planting[] }) {
  const { t } = useTranslation(['week', 'season']);
  const { garden } = useHere();
  const dates = useDates();
  const names = useCropNames();
  const plots = (useList('myPlots').data ?? []).filter(({ year }) => year === garden.seasonYear);
  if (plots.length === 0) return null;
  return (
    <section className="furrow">
      <h2>{t('week:home.plots')}</h2>
      <ul>
        {plots.map(({ bedId, bed }) => {
          const own = plantings.filter((planting) => planting.bedId === bedId);
          const next = own
            .flatMap(({ id, cropId, steps }) =>
              steps
                .filter(({ kind, done, on }) => !done && !BY_ITSELF.has(kind) && on >= garden.today)
                .slice(0, 1)
                .map(({ kind, on }) => ({ id, cropId, kind, on })),
            )
            .sort((a, b) => a.on.localeCompare(b.on))
            .slice(0, STEPS);
          const ripe = ripeIn(own, garden.today);
          return (
            <li key={bedId} className="border-line border-b py-2.5">
              <Link to={`/ground/${bedId}`} className="font-semibold underline underline-offset-4">
                {bed}
              </Link>
              {ripe.length > 0 && (
                <p className="text-leaf">
                  {t('week:home.ripe', { crops: ripe.map(({ cropId }) => names.inText(cropId)).join(', ') })}
                </p>
              )}
              {next.length === 0 && <p className="text-ink-soft text-sm">{t('week:home.noSteps')}</p>}
              <ul className="text-sm">
                {next.map(({ id, cropId, kind, on }) => (
                  <li key={`${id} ${kind}`} className="grid grid-cols-[7rem_minmax(0,1fr)] gap-x-2">
                    <span className="text-ink-soft">{dates.short(on)}</span>
                    <span>
                      {t(`season:step.${kind}`)}: {names.inText(cropId)}
                    </span>
                  </li>
                ))}
              </ul>
            </li>
          );
        })}
      </ul>
    </section>
  );
}
