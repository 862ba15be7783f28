import { middleOf } from '@unity-acre/core/ground';
import { useTranslation } from 'react-i18next';
import { tenureIn, useHere, useList } from '../../garden/index.ts';
import { BedMark, frameOf, LandmarkMark, PlanFrame, paintOrder, pathOf } from '../../ground/plan/index.ts';
import { useSpots } from '../useSpots.ts';

/** Metres: what the number of a bed is written in. */
const DISC_M = 0.55;

/** The plan, with the beds of the session's work by their numbers, and the ground in them that it is done on. */
export function DayMap({ bedIds, plantingIds }: { bedIds: string[]; plantingIds: string[] }) {
  const { t } = useTranslation('day');
  const { garden } = useHere();
  const beds = useList('beds').data ?? [];
  const landmarks = useList('landmarks').data ?? [];
  const year = garden.seasonYear;
  const spots = useSpots(plantingIds);
  return (
    <section className="furrow print:break-inside-avoid">
      <h2>{t('map')}</h2>
      <PlanFrame frame={frameOf([...beds, ...landmarks])} label={t('mapLabel')} small>
        {paintOrder(landmarks).map((landmark) => (
          <LandmarkMark key={landmark.id} landmark={landmark} />
        ))}
        {beds.map((bed) => (
          <BedMark
            key={bed.id}
            bed={bed}
            tenure={tenureIn(bed, year)?.kind ?? 'none'}
            marked={bedIds.includes(bed.id)}
          />
        ))}
        {spots.map(({ id, outline }) => (
          <path key={id} d={pathOf(outline)} className="fill-beet/35 stroke-beet" strokeWidth={0.06} />
        ))}
        {beds.map((bed) => {
          const number = bedIds.indexOf(bed.id) + 1;
          if (number === 0) return null;
          const { x, y } = middleOf(bed);
          return (
            <g key={bed.id} transform={`translate(${x} ${-y})`}>
              <circle r={DISC_M} className="fill-paper stroke-beet" strokeWidth={0.12} />
              <text
                textAnchor="middle"
                y={DISC_M * 0.36}
                fontSize={DISC_M * 1.1}
                className="fill-ink font-bold"
              >
                {number}
              </text>
            </g>
          );
        })}
      </PlanFrame>
      <ol className="mt-2 columns-2 text-sm">
        {bedIds.map((id, i) => (
          <li key={id}>
            <strong>{i + 1}</strong> {beds.find((bed) => bed.id === id)?.name}
          </li>
        ))}
      </ol>
    </section>
  );
}
