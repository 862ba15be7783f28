import type { Bed } from '@unity-acre/contract/ground';
import type { Planting } from '@unity-acre/contract/season';
import { inGroundOf, startOf } from '@unity-acre/core/season';
import { getNonce } from 'get-nonce';
import { useState } from 'react';
import { useTranslation } from 'react-i18next';
import { useSearchParams } from 'react-router';
import { useCropNames } from '../../crops/names.ts';
import { BedSelect, datesAlone, useHere, useList, useSeasonList } from '../../garden/index.ts';
import { PlacePaths } from '../../garden/paths/index.ts';
import { Button, Select } from '../../kit/controls/index.ts';
import { useDates } from '../../kit/dates.ts';
import { Field } from '../../kit/forms/index.ts';
import { Bare, Loaded, Title } from '../../kit/screens/index.ts';
import { paged, type SheetName, sheets } from './labelSheets.ts';
import { QrCode, quickLogAddress } from './QrCode.tsx';

/** Labels for plants and beds on sheets as shops sell them. The code on each opens the quick log of its bed. */
export default function LabelsPage() {
  const { t } = useTranslation('plan');
  const { garden } = useHere();
  const year = garden.seasonYear;
  const beds = useList('beds');
  const plantings = useSeasonList('plantings', year, datesAlone);
  return (
    <div className="flex flex-col gap-5">
      <div className="flex flex-col gap-5 print:hidden">
        <Title>{t('labels.title')}</Title>
        <PlacePaths of="season" />
      </div>
      <Loaded of={beds}>
        {(bedList) => <Loaded of={plantings}>{(list) => <Labels beds={bedList} plantings={list} />}</Loaded>}
      </Loaded>
    </div>
  );
}

interface Label {
  key: string;
  bed: Bed;
  title: string;
  lines: string[];
}

function Labels({ beds, plantings }: { beds: Bed[]; plantings: Planting[] }) {
  const { t } = useTranslation('plan');
  const { garden } = useHere();
  const names = useCropNames();
  const dates = useDates();
  const [search] = useSearchParams();
  const [of, setOf] = useState<'plants' | 'beds'>('plants');
  const [sheet, setSheet] = useState<SheetName>(garden.units === 'imperial' ? 'letter30' : 'a421');
  const [only, setOnly] = useState(search.get('bed') ?? '');
  const [from, setFrom] = useState(1);
  const shownBeds = beds.filter(({ id }) => !only || id === only);
  const labels: Label[] =
    of === 'beds'
      ? shownBeds.map((bed) => ({ key: bed.id, bed, title: bed.name, lines: [garden.name] }))
      : shownBeds.flatMap((bed) =>
          plantings
            .filter(({ bedId }) => bedId === bed.id)
            .map((planting) => {
              const start = startOf(planting.steps) ?? inGroundOf(planting.steps) ?? planting.steps[0]!;
              return {
                key: planting.id,
                bed,
                title: names.crop(planting.cropId),
                lines: [
                  names.variety(planting.cropId, planting.varietyId),
                  `${bed.name} · ${dates.bare(start.on)} ${start.on.slice(0, 4)}`,
                ],
              };
            }),
        );
  const pages = paged(labels, sheets[sheet], from - 1);
  const { page, across, down, width, height, left, top, gapX, gapY } = sheets[sheet];
  return (
    <>
      <div className="flex flex-wrap items-end gap-4 print:hidden">
        <Field label={t('labels.of')}>
          {(props) => (
            <Select
              {...props}
              className="w-44"
              value={of}
              onChange={(value) => setOf(value as typeof of)}
              options={(['plants', 'beds'] as const).map((one) => ({
                value: one,
                label: t(`labels.${one}`),
              }))}
            />
          )}
        </Field>
        <Field label={t('labels.sheet')}>
          {(props) => (
            <Select
              {...props}
              className="w-72"
              value={sheet}
              onChange={(value) => setSheet(value as SheetName)}
              options={(Object.keys(sheets) as SheetName[]).map((name) => ({
                value: name,
                label: t(`labels.sheets.${name}`),
              }))}
            />
          )}
        </Field>
        <Field label={t('labels.bed')}>
          {(props) => (
            <BedSelect
              {...props}
              className="w-44"
              value={only}
              onChange={setOnly}
              none={t('labels.allBeds')}
            />
          )}
        </Field>
        <Field label={t('labels.from')}>
          {(props) => (
            <Select
              {...props}
              className="w-20"
              value={String(from)}
              onChange={(value) => setFrom(Number(value))}
              options={Array.from({ length: across * down }, (_, i) => String(i + 1)).map((n) => ({
                value: n,
                label: n,
              }))}
            />
          )}
        </Field>
        <Button look="act" disabled={labels.length === 0} onClick={() => window.print()}>
          {t('labels.print')}
        </Button>
        <p className="text-ink-soft text-sm">
          {t('labels.count', {
            labels: t('labels.labels', { count: labels.length }),
            sheets: t('labels.pages', { count: pages.length }),
          })}
        </p>
      </div>
      {labels.length === 0 && <Bare title={t('labels.none')} />}
      <style
        nonce={getNonce()}
      >{`@media print { @page { size: ${page.width}mm ${page.height}mm; margin: 0; } }`}</style>
      <section
        aria-label={t('labels.title')}
        // biome-ignore lint/a11y/noNoninteractiveTabindex: a region that scrolls must be reachable by keyboard
        tabIndex={0}
        className="flex flex-col gap-6 overflow-x-auto print:gap-0 print:overflow-visible"
      >
        {pages.map((places, n) => (
          <div
            // biome-ignore lint/suspicious/noArrayIndexKey: a page is known by its place
            key={n}
            className="relative shrink-0 overflow-hidden border border-line-strong bg-white text-black not-last:break-after-page print:border-0"
            style={{ width: `${page.width}mm`, height: `${page.height}mm` }}
          >
            {places.map(
              (label, i) =>
                label && (
                  <div
                    key={label.key}
                    className="absolute flex items-center gap-[2mm] overflow-hidden rounded-xs p-[2mm] outline-1 outline-line print:outline-0"
                    style={{
                      left: `${left + (i % across) * (width + gapX)}mm`,
                      top: `${top + Math.floor(i / across) * (height + gapY)}mm`,
                      width: `${width}mm`,
                      height: `${height}mm`,
                    }}
                  >
                    <QrCode
                      text={quickLogAddress(location.origin, label.bed.name)}
                      millimetres={Math.min(height - 4, width * 0.34)}
                    />
                    <div className="min-w-0 leading-tight">
                      <p
                        className="font-bold font-title"
                        style={{ fontSize: `${Math.min(5, height / 6)}mm` }}
                      >
                        {label.title}
                      </p>
                      {label.lines.map((line) => (
                        <p key={line} style={{ fontSize: `${Math.min(3.4, height / 8.5)}mm` }}>
                          {line}
                        </p>
                      ))}
                    </div>
                  </div>
                ),
            )}
          </div>
        ))}
      </section>
    </>
  );
}
