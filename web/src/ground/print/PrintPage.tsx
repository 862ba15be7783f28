import type { Bed, Landmark } from '@unity-acre/contract/ground';
import { groundArea } from '@unity-acre/core/ground';
import { getNonce } from 'get-nonce';
import { useState } from 'react';
import { useTranslation } from 'react-i18next';
import { sizeWords, tenureIn, useHere, useList, useMeasure } from '../../garden/index.ts';
import { PlacePaths } from '../../garden/paths/index.ts';
import { Button, Select } from '../../kit/controls/index.ts';
import { useDates } from '../../kit/dates.ts';
import { Field } from '../../kit/forms/index.ts';
import { Loaded, Title } from '../../kit/screens/index.ts';
import { BedMark, frameOf, LandmarkMark, paintOrder, TenureKey } from '../plan/index.ts';

const papers = { a4: { across: 277, along: 190 }, letter: { across: 259, along: 195 } } as const;
/** Scales one finds on a ruler. */
const SCALES = [20, 25, 50, 75, 100, 150, 200, 250, 300, 400, 500, 750, 1000, 1500, 2000, 5000];
/** What the heading, the bar and the key take of the sheet, millimetres. */
const FOOT_MM = 42;

/** The plan on one sheet of paper at a scale of a ruler, with its bar and a key. */
export default function PrintPage() {
  const { t } = useTranslation('layout');
  const beds = useList('beds');
  const landmarks = useList('landmarks');
  return (
    <div className="flex flex-col gap-5">
      <div className="flex flex-col gap-5 print:hidden">
        <Title>{t('print.title')}</Title>
        <PlacePaths of="layout" />
      </div>
      <Loaded of={beds}>
        {(list) => <Loaded of={landmarks}>{(marks) => <Paper beds={list} landmarks={marks} />}</Loaded>}
      </Loaded>
    </div>
  );
}

function Paper({ beds, landmarks }: { beds: Bed[]; landmarks: Landmark[] }) {
  const { t } = useTranslation(['layout', 'ground']);
  const { garden } = useHere();
  const dates = useDates();
  const { area, length, system, number } = useMeasure();
  const [paper, setPaper] = useState<keyof typeof papers>(system === 'imperial' ? 'letter' : 'a4');
  const year = garden.seasonYear;
  const frame = frameOf([...beds, ...landmarks]);
  const { across, along } = papers[paper];
  const room = along - FOOT_MM;
  const least = Math.max((frame.width * 1000) / across, (frame.length * 1000) / room);
  const scale = SCALES.find((one) => one >= least) ?? Math.ceil(least / 1000) * 1000;
  const millimetres = (metres: number) => (metres * 1000) / scale;
  const unit = system === 'imperial' ? 0.3048 : 1;
  const bar = [1, 2, 5, 10, 20, 50, 100].filter((n) => millimetres(n * unit) <= 60).at(-1) ?? 1;
  const kinds = [...new Set(beds.map((bed) => tenureIn(bed, year)?.kind ?? 'none'))];
  return (
    <>
      <div className="flex flex-wrap items-end gap-4 print:hidden">
        <Field layout="beside" label={t('layout:print.paper')}>
          {(props) => (
            <Select
              {...props}
              className="w-40"
              value={paper}
              onChange={(value) => setPaper(value as typeof paper)}
              options={[
                { value: 'a4', label: 'A4' },
                { value: 'letter', label: 'Letter' },
              ]}
            />
          )}
        </Field>
        <Button look="act" onClick={() => window.print()}>
          {t('layout:print.print')}
        </Button>
        <p className="text-ink-soft text-sm">{t('layout:print.hint')}</p>
      </div>
      <section
        aria-label={t('layout:print.sheet')}
        // biome-ignore lint/a11y/noNoninteractiveTabindex: a region that scrolls must be reachable by keyboard
        tabIndex={0}
        className="overflow-x-auto print:overflow-visible"
      >
        <style
          nonce={getNonce()}
        >{`@media print { @page { size: ${paper === 'a4' ? 'A4' : 'letter'} landscape; margin: 10mm; } }`}</style>
        <div
          className="flex flex-col gap-2 border border-line-strong bg-white p-3 text-black print:border-0 print:p-0"
          style={{ width: `${across}mm` }}
        >
          <div className="flex items-baseline justify-between">
            <p className="font-bold font-title text-xl">{garden.name}</p>
            <p className="text-sm">
              {t('layout:print.drawn', { day: dates.long(garden.today), scale: number(scale, 0) })}
            </p>
          </div>
          <svg
            viewBox={`${frame.x} ${-(frame.y + frame.length)} ${frame.width} ${frame.length}`}
            style={{ width: `${millimetres(frame.width)}mm`, height: `${millimetres(frame.length)}mm` }}
            role="img"
            aria-label={t('ground:plan.label')}
          >
            {paintOrder(landmarks).map((landmark) => (
              <LandmarkMark key={landmark.id} landmark={landmark} />
            ))}
            {beds.map((bed) => (
              <BedMark key={bed.id} bed={bed} tenure={tenureIn(bed, year)?.kind ?? 'none'} />
            ))}
          </svg>
          <div className="flex flex-wrap items-end gap-x-8 gap-y-2 text-sm">
            <span className="flex items-end gap-3">
              <svg
                viewBox="0 0 12 18"
                width="16"
                height="24"
                aria-hidden
                style={{ rotate: `${garden.ground.north}deg` }}
              >
                <path d="M6 1 11 17 6 13 1 17Z" fill="black" />
              </svg>
              {t('ground:plan.north')}
            </span>
            <span>
              {number(bar)} {system === 'imperial' ? 'ft' : 'm'}
              <span
                className="block h-2 border-2 border-black border-t-0"
                style={{ width: `${millimetres(bar * unit)}mm` }}
              />
            </span>
            {kinds.map((kind) => (
              <TenureKey key={kind} kind={kind} />
            ))}
          </div>
          <ul className="columns-4 text-xs leading-tight">
            {beds.map((bed) => (
              <li key={bed.id}>
                <strong>{bed.name}</strong> {sizeWords(bed, length)}, {area(groundArea(bed))}
                {tenureIn(bed, year)?.holder && `, ${tenureIn(bed, year)?.holder}`}
              </li>
            ))}
          </ul>
        </div>
      </section>
    </>
  );
}
