import { YEAR } from '@unity-acre/core/place';
import { useTranslation } from 'react-i18next';
import { useAlmanac, useHere } from '../../garden/index.ts';
import { useDates } from '../../kit/dates.ts';
import { type CropWay, within } from './cropYear.ts';

const HEIGHT = 16;
/** A window of one day can still be seen. */
const LEAST = 3;

/** A crop's year in a strip: when it may be started, when it grows, when it is picked. */
export function YearStrip({ ways }: { ways: CropWay[] }) {
  const { t } = useTranslation('crops');
  const { garden } = useHere();
  const dates = useDates();
  const almanac = useAlmanac();
  const year = garden.seasonYear;
  const [today] = within(almanac, year, garden.today, garden.today);
  const label = ways
    .map((way) =>
      t('strip', {
        from: dates.bare(way.start.window.earliest),
        to: dates.bare(way.start.window.latest),
      }),
    )
    .join('; ');
  const bar = (from: string, to: string, look: string, y: number, height: number, key: string) => {
    const [a, b] = within(almanac, year, from, to);
    if (a >= YEAR || b <= 0) return null;
    return <rect key={key} x={a} y={y} width={Math.max(LEAST, b - a)} height={height} className={look} />;
  };
  return (
    <svg
      viewBox={`0 0 ${YEAR} ${HEIGHT}`}
      preserveAspectRatio="none"
      className="h-4 w-full"
      role="img"
      aria-label={label}
    >
      <title>{label}</title>
      <rect width={YEAR} height={HEIGHT} className="fill-paper" />
      {Array.from({ length: 13 }, (_, m) => (m * YEAR) / 12).map((x) => (
        <line key={x} x1={x} x2={x} y1={0} y2={HEIGHT} className="stroke-line" strokeWidth={1} />
      ))}
      {ways.map(({ method, cropping, steps, out, start }) => {
        const key = `${method} ${cropping}`;
        const pick = steps.find(({ kind }) => kind === 'firstPick');
        const end = steps.find(({ kind }) => kind === 'lastPick') ?? steps.at(-1)!;
        return (
          <g key={key}>
            {bar(out.on, (pick ?? end).on, 'fill-leaf-soft', 6, 6, 'growing')}
            {pick && bar(pick.on, end.on, 'fill-leaf-mid', 6, 6, 'picking')}
            {bar(start.window.earliest, start.window.latest, 'fill-blossom', 1, 5, 'window')}
          </g>
        );
      })}
      <line x1={today} x2={today} y1={0} y2={HEIGHT} className="stroke-beet" strokeWidth={2} />
    </svg>
  );
}
