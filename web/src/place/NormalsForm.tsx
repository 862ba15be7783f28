import { normalsInput } from '@unity-acre/contract/place';
import { toCelsius, toFahrenheit } from '@unity-acre/core/units';
import { useState } from 'react';
import { useTranslation } from 'react-i18next';
import { Refused } from '../kit/ask.ts';
import { Button } from '../kit/Button.tsx';
import { useDates } from '../kit/dates.ts';
import { Reading, useRemedy } from '../kit/form.tsx';
import { useCoordinates, useHere, useWrite } from '../kit/garden.ts';
import { RefusedNote } from '../kit/RefusedNote.tsx';

const rows = ['low', 'high', 'rain'] as const;
type Row = (typeof rows)[number];
const MM_PER_INCH = 25.4;

/** Monthly means as a climate table prints them, for a garden without a station's record. */
export function NormalsForm() {
  const { t } = useTranslation(['place', 'climate', 'kit']);
  const { garden } = useHere();
  const coordinates = useCoordinates();
  const dates = useDates();
  const remedy = useRemedy();
  const save = useWrite('saveNormals', () => t('climate:normals.saved'));
  const isImperial = garden.units === 'imperial';
  const shown = (row: Row, value: number) =>
    String(
      Math.round(
        (row === 'rain'
          ? isImperial
            ? value / MM_PER_INCH
            : value
          : isImperial
            ? toFahrenheit(value)
            : value) * (row === 'rain' && isImperial ? 100 : 10),
      ) / (row === 'rain' && isImperial ? 100 : 10),
    );
  const [cells, setCells] = useState<Record<Row, string[]>>(() => {
    const of = (row: Row) =>
      garden.normals
        ? garden.normals[row].map((value) => shown(row, value))
        : Array.from({ length: 12 }, () => (row === 'rain' ? shown('rain', 60) : ''));
    return { low: of('low'), high: of('high'), rain: of('rain') };
  });
  const [errors, setErrors] = useState<Record<string, string>>({});
  const [refused, setRefused] = useState<Refused | null>(null);
  const units: Record<Row, string> = {
    low: isImperial ? '°F' : '°C',
    high: isImperial ? '°F' : '°C',
    rain: isImperial ? 'in' : 'mm',
  };

  const send = async (normals: unknown) => {
    setRefused(null);
    const parsed = normalsInput.safeParse({ normals });
    if (!parsed.success) {
      setErrors(
        Object.fromEntries(
          parsed.error.issues.map(({ path, message }) => [path.slice(1).join('.'), message]),
        ),
      );
      return;
    }
    setErrors({});
    try {
      await save.mutateAsync({ body: parsed.data, ifMatch: garden.version });
    } catch (error) {
      if (!(error instanceof Refused)) throw error;
      setRefused(error);
    }
  };

  const submit = () => {
    const read = new Reading();
    const values = Object.fromEntries(
      rows.map((row) => [
        row,
        cells[row].map((cell, month) => {
          const value = read.number(`${row}.${month}`, cell);
          if (row === 'rain') return isImperial ? value * MM_PER_INCH : value;
          return isImperial ? toCelsius(value) : value;
        }),
      ]),
    );
    if (Object.keys(read.errors).length > 0) setErrors(read.errors);
    else void send(values);
  };

  return (
    <form
      noValidate
      className="flex flex-col gap-3"
      onSubmit={(event) => {
        event.preventDefault();
        submit();
      }}
    >
      <p className="max-w-prose text-ink-soft text-sm">{t('climate:normals.lead')}</p>
      <fieldset disabled={!coordinates} className="min-w-0 overflow-x-auto">
        <table className="w-full max-w-2xl text-left text-sm">
          <thead className="text-ink-soft">
            <tr>
              <th className="font-normal" />
              {rows.map((row) => (
                <th key={row} className="font-normal">
                  {t(`climate:normals.${row}`, { unit: units[row] })}
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {Array.from({ length: 12 }, (_, month) => {
              const name = dates.month(`2026-${String(month + 1).padStart(2, '0')}-01`);
              return (
                <tr key={name}>
                  <th className="pr-3 font-normal">{name}</th>
                  {rows.map((row) => {
                    const error = remedy(errors[`${row}.${month}`]);
                    return (
                      <td key={row} className="py-0.5 pr-2">
                        <input
                          className="input min-h-8 w-full min-w-14 max-w-28 aria-[invalid=true]:border-2 aria-[invalid=true]:border-beet"
                          inputMode="decimal"
                          aria-label={`${name}, ${t(`climate:normals.${row}`, { unit: units[row] })}`}
                          aria-invalid={error !== undefined}
                          value={cells[row][month]}
                          onChange={(event) =>
                            setCells({
                              ...cells,
                              [row]: cells[row].map((cell, m) => (m === month ? event.target.value : cell)),
                            })
                          }
                        />
                        {error && (
                          <p role="alert" className="text-beet">
                            {error}
                          </p>
                        )}
                      </td>
                    );
                  })}
                </tr>
              );
            })}
          </tbody>
        </table>
      </fieldset>
      <RefusedNote refused={refused} />
      {coordinates && (
        <div className="flex gap-2">
          <Button type="submit" look={garden.record ? 'plain' : 'act'}>
            {t('kit:save')}
          </Button>
          {garden.normals && <Button onClick={() => void send(null)}>{t('kit:remove')}</Button>}
        </div>
      )}
    </form>
  );
}
