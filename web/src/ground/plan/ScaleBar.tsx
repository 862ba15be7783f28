import { useTranslation } from 'react-i18next';
import { useHere, useMeasure } from '../../garden/index.ts';

const ROUND = [0.5, 1, 2, 5, 10, 20, 50, 100];
/** How long a bar is wanted, pixels. */
const WANTED_PX = 120;

/** A bar of a round length at the plan's present scale, and north. */
export function ScaleBar({ metresPerPixel }: { metresPerPixel: number | null }) {
  const { t } = useTranslation('ground');
  const { system, number } = useMeasure();
  const { north } = useHere().garden.ground;
  const unit = system === 'imperial' ? 0.3048 : 1;
  const wanted = metresPerPixel ? (WANTED_PX * metresPerPixel) / unit : 0;
  const units = ROUND.filter((step) => step <= wanted).at(-1) ?? ROUND[0]!;
  const pixels = metresPerPixel ? (units * unit) / metresPerPixel : 0;
  return (
    <div className="pointer-events-none absolute bottom-2 left-3 flex items-end gap-4">
      <span className="flex flex-col items-center font-bold font-title text-sm leading-none">
        <svg viewBox="0 0 12 18" width="14" height="20" aria-hidden style={{ rotate: `${north}deg` }}>
          <path d="M6 1 11 17 6 13 1 17Z" className="fill-ink" />
        </svg>
        {t('plan.north')}
      </span>
      {pixels > 0 && (
        <span className="text-sm">
          {number(units)} {system === 'imperial' ? 'ft' : 'm'}
          <svg width={pixels} height="7" className="block" aria-hidden>
            <path d={`M0.5 0v6.500H${pixels - 0.5}V0`} className="fill-none stroke-ink" />
          </svg>
        </span>
      )}
    </div>
  );
}
