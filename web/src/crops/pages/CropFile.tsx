import { table } from '@unity-acre/contract';
import type { CropImport } from '@unity-acre/contract/crops';
import { useState } from 'react';
import { useTranslation } from 'react-i18next';
import { useCoordinates, useHere, useMeasure, useWrite } from '../../garden/index.ts';
import { Button } from '../../kit/controls/index.ts';
import { FileField, firstFault, hasFields, useRemedy } from '../../kit/forms/index.ts';

type Format = 'csv' | 'json';
const formatOf = (name: string): Format => (name.toLowerCase().endsWith('.json') ? 'json' : 'csv');

/** The catalogue as a file: out, and back in after a look at what it would change. */
export function CropFile() {
  const { t } = useTranslation(['crops', 'kit']);
  const { garden } = useHere();
  const coordinates = useCoordinates();
  const address = (format: Format) =>
    `${table.cropFile.path.replace(':gardenId', garden.id)}?${new URLSearchParams({ format })}`;
  const link = 'inline-flex min-h-target items-center underline decoration-line-strong underline-offset-4';
  return (
    <section className="furrow flex flex-col gap-3">
      <h2>{t('crops:file.title')}</h2>
      <p className="flex flex-wrap items-center gap-x-4">
        {t('crops:file.out')}
        <a className={link} href={address('csv')} download>
          CSV
        </a>
        <a className={link} href={address('json')} download>
          JSON
        </a>
      </p>
      {coordinates && <FileIn />}
    </section>
  );
}

function FileIn() {
  const { t } = useTranslation('crops');
  const [file, setFile] = useState<File | null>(null);
  const [report, setReport] = useState<CropImport | null>(null);
  const read = useWrite('importCrops', {
    say: ({ data: { added, changed }, change }) =>
      change ? t('file.saved', { count: added.length + changed.length }) : null,
    isShownHere: hasFields,
  });
  const send = (content: File, check: 'yes' | 'no') =>
    read.mutate(
      { query: { format: formatOf(content.name), check }, file: { content } },
      {
        onSuccess: ({ data }) => {
          const isTaken = check === 'no' && data.refused.length === 0;
          setReport(isTaken ? null : data);
          if (isTaken) setFile(null);
        },
        onError: () => setReport(null),
      },
    );

  return (
    <div className="flex max-w-2xl flex-col gap-3">
      <FileField
        label={t('file.in')}
        hint={t('file.inHint')}
        error={firstFault(read.error)}
        accept=".csv,.json,text/csv,application/json"
        onFile={(chosen) => {
          setFile(chosen);
          setReport(null);
          read.reset();
          if (chosen) send(chosen, 'yes');
        }}
      />
      {report && <Report report={report} />}
      {file && report && report.refused.length === 0 && (
        <Button
          look="act"
          className="self-start"
          disabled={report.added.length + report.changed.length === 0}
          onClick={() => send(file, 'no')}
        >
          {t('file.take', { count: report.added.length + report.changed.length })}
        </Button>
      )}
    </div>
  );
}

function Report({ report }: { report: CropImport }) {
  const { t } = useTranslation('crops');
  const { number } = useMeasure();
  const remedy = useRemedy();
  return (
    <div role="status" className="border-rain border-l-4 bg-rain-soft px-3 py-2">
      <p>
        {t('file.would', {
          added: number(report.added.length, 0),
          changed: number(report.changed.length, 0),
          same: number(report.same, 0),
        })}
      </p>
      {report.refused.length > 0 && (
        <>
          <p className="font-semibold text-beet">{t('file.refused')}</p>
          <ul className="text-sm">
            {report.refused.slice(0, 20).map((one) => (
              <li key={`${one.line} ${one.field}`}>
                {t('file.line', { line: one.line, crop: one.crop, field: one.field })} {remedy(one.code)}
              </li>
            ))}
          </ul>
        </>
      )}
    </div>
  );
}
