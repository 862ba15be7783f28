import { STATION_FILE_BYTES, type StationReport } from '@unity-acre/contract/place';
import { stationUnits } from '@unity-acre/core/place';
import { useRef, useState } from 'react';
import { useTranslation } from 'react-i18next';
import { useCoordinates, useHere, useMeasure, useWrite } from '../../garden/index.ts';
import { Button, Progress, Select } from '../../kit/controls/index.ts';
import { useDates } from '../../kit/dates.ts';
import { Field, FileField, firstFault, hasFields } from '../../kit/forms/index.ts';

type State =
  | { at: 'rest' }
  | { at: 'sending'; share: number }
  | { at: 'refused'; message: string }
  | { at: 'read'; report: StationReport };

/** The station's record: what there is of it, and a way to bring one in. */
export function StationImport() {
  const { t } = useTranslation(['place', 'climate', 'kit']);
  const { garden } = useHere();
  const coordinates = useCoordinates();
  const dates = useDates();
  const { number } = useMeasure();
  const remove = useWrite('removeStation', () => t('climate:station.removed'));
  const { record } = garden;
  return (
    <div className="flex flex-col gap-3">
      {record ? (
        <p className="flex flex-wrap items-center gap-x-2">
          {t('climate:station.held', {
            name: record.name || t('climate:station.unnamed'),
            first: dates.bare(record.first),
            firstYear: record.first.slice(0, 4),
            last: dates.bare(record.last),
            lastYear: record.last.slice(0, 4),
            days: number(record.days, 0),
            gaps: number(record.gaps, 0),
          })}{' '}
          {coordinates && (
            <Button look="quiet" onClick={() => remove.mutate({ body: {} })}>
              {t('kit:remove')}
            </Button>
          )}
        </p>
      ) : (
        <p>{t('climate:station.none')}</p>
      )}
      {coordinates && <FileForm />}
    </div>
  );
}

function FileForm() {
  const { t } = useTranslation(['place', 'climate', 'kit']);
  const { number } = useMeasure();
  const upload = useWrite('importStation', {
    say: () => t('climate:station.saved'),
    isShownHere: hasFields,
  });
  const [state, setState] = useState<State>({ at: 'rest' });
  const [file, setFile] = useState<File | null>(null);
  const [units, setUnits] = useState('tell');
  const [name, setName] = useState('');
  const stopper = useRef<AbortController | null>(null);

  const send = () => {
    if (!file) {
      setState({ at: 'refused', message: 'required' });
      return;
    }
    if (file.size > STATION_FILE_BYTES) {
      setState({ at: 'refused', message: `stationTooLarge:${STATION_FILE_BYTES / 1_000_000}` });
      return;
    }
    stopper.current = new AbortController();
    setState({ at: 'sending', share: 0 });
    const onProgress = (share: number) => setState({ at: 'sending', share });
    const { signal } = stopper.current;
    upload.mutate(
      { query: { units, name } as never, file: { content: file, onProgress, signal } },
      {
        onSuccess: ({ data }) => setState({ at: 'read', report: data.report }),
        onError: (refused) => {
          const message = firstFault(refused);
          setState(message ? { at: 'refused', message } : { at: 'rest' });
        },
      },
    );
  };

  return (
    <form
      noValidate
      className="flex max-w-xl flex-col gap-3"
      onSubmit={(event) => {
        event.preventDefault();
        send();
      }}
    >
      <FileField
        label={t('climate:station.file')}
        hint={t('climate:station.fileHint')}
        error={state.at === 'refused' ? state.message : undefined}
        accept=".csv,text/csv,text/plain"
        onFile={(chosen) => {
          setFile(chosen);
          setState({ at: 'rest' });
        }}
      />
      <div className="grid gap-4 sm:grid-cols-2">
        <Field label={t('climate:station.name')} hint={t('kit:optional')}>
          {(props) => (
            <input
              {...props}
              className="input"
              maxLength={120}
              value={name}
              onChange={(event) => setName(event.target.value)}
            />
          )}
        </Field>
        <Field label={t('climate:station.units')}>
          {(props) => (
            <Select
              {...props}
              value={units}
              onChange={(value) => setUnits(value)}
              options={(['tell', ...stationUnits] as const).map((unit) => ({
                value: unit,
                label: t(`climate:station.unit.${unit}`),
              }))}
            />
          )}
        </Field>
      </div>
      {state.at === 'sending' ? (
        <div className="flex items-center gap-3" aria-live="polite">
          <Progress className="flex-1" label={t('climate:station.file')} share={state.share} />
          <span>
            {state.share < 1
              ? t('climate:station.sending', { percent: number(state.share * 100, 0) })
              : t('climate:station.reducing')}
          </span>
          <Button onClick={() => stopper.current?.abort()}>{t('climate:station.stop')}</Button>
        </div>
      ) : (
        <Button type="submit" look="act" className="self-start">
          {t('climate:station.read')}
        </Button>
      )}
      {state.at === 'read' && <Report report={state.report} />}
    </form>
  );
}

/** What was read, and what was left out and why. */
function Report({ report }: { report: StationReport }) {
  const { t } = useTranslation(['place', 'climate']);
  const { number } = useMeasure();
  return (
    <div className="border-leaf border-l-4 bg-leaf-soft px-3 py-2" role="status">
      <p className="font-semibold">
        {t('climate:station.report', {
          rows: number(report.rows, 0),
          days: number(report.days, 0),
          from: report.first.slice(0, 4),
          to: report.last.slice(0, 4),
          units: t(`climate:station.unit.${report.units}`),
        })}
      </p>
      <ul className="text-sm">
        {report.gaps > 0 && <li>{t('climate:station.gaps', { gaps: number(report.gaps, 0) })}</li>}
        {report.outOfOrder > 0 && (
          <li>{t('climate:station.outOfOrder', { rows: number(report.outOfOrder, 0) })}</li>
        )}
        {report.skipped.map(({ reason, rows, lines }) => (
          <li key={reason}>
            {t(`climate:station.skip.${reason}`, { rows: number(rows, 0), lines: lines.join(', ') })}
            {rows > lines.length && ' …'}
          </li>
        ))}
      </ul>
    </div>
  );
}
