import { useQueryClient } from '@tanstack/react-query';
import { CHANGE_HEADER, type Problem, table } from '@unity-acre/contract';
import type { CropImport } from '@unity-acre/contract/crops';
import { useState } from 'react';
import { useTranslation } from 'react-i18next';
import { Button } from '../kit/Button.tsx';
import { FileField } from '../kit/FileField.tsx';
import { useRemedy } from '../kit/form.tsx';
import { useCoordinates, useHere } from '../kit/garden.ts';
import { useMeasure } from '../kit/measure.ts';
import { useNotices } from '../kit/notices.ts';

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
  const { garden } = useHere();
  const client = useQueryClient();
  const show = useNotices((notices) => notices.show);
  const [file, setFile] = useState<File | null>(null);
  const [report, setReport] = useState<CropImport | null>(null);
  const [error, setError] = useState<string | undefined>();

  const send = async (chosen: File, check: 'yes' | 'no') => {
    setError(undefined);
    const search = new URLSearchParams({ format: formatOf(chosen.name), check });
    try {
      const response = await fetch(`${table.importCrops.path.replace(':gardenId', garden.id)}?${search}`, {
        method: 'POST',
        headers: { 'content-type': 'text/csv' },
        body: chosen,
      });
      const answer: unknown = await response.json();
      if (!response.ok) {
        const first = (answer as Problem).errors?.[0];
        setReport(null);
        setError(first ? (first.limit ? `${first.code}:${first.limit}` : first.code) : 'wrongForm');
        return;
      }
      const told = answer as CropImport;
      setReport(told);
      if (check === 'yes' || told.refused.length > 0) return;
      show({
        text: t('file.saved', { n: told.added.length + told.changed.length }),
        change: response.headers.get(CHANGE_HEADER),
      });
      setReport(null);
      setFile(null);
      await client.invalidateQueries({ queryKey: ['garden', garden.id] });
    } catch {
      setError('unreachable');
    }
  };

  return (
    <div className="flex max-w-2xl flex-col gap-3">
      <FileField
        label={t('file.in')}
        hint={t('file.inHint')}
        error={error}
        accept=".csv,.json,text/csv,application/json"
        onFile={(chosen) => {
          setFile(chosen);
          setReport(null);
          if (chosen) void send(chosen, 'yes');
        }}
      />
      {report && <Report report={report} />}
      {file && report && report.refused.length === 0 && (
        <Button
          look="act"
          className="self-start"
          disabled={report.added.length + report.changed.length === 0}
          onClick={() => void send(file, 'no')}
        >
          {t('file.take', { n: report.added.length + report.changed.length })}
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
