import { normalsInput } from '@unity-acre/contract/place';
import { toCelsius, toFahrenheit } from '@unity-acre/core/units';
import { useTranslation } from 'react-i18next';
import { useCoordinates, useHere, useWrite } from '../../garden/index.ts';
import { Button } from '../../kit/controls/index.ts';
import { useDates } from '../../kit/dates.ts';
import { useShownField } from '../../kit/formContext.ts';
import { Form, FormFaults, type Reading, useBodyForm, useRemedy } from '../../kit/forms/index.ts';

const rows = ['low', 'high', 'rain'] as const;
type Row = (typeof rows)[number];
type Cell = `${Row}${number}`;
type Values = Record<Cell, string>;
type Normals = { [R in Row]: number[] } | null;

const MM_PER_INCH = 25.4;
/** Rain of a month that nobody has said anything of, millimetres. */
const USUAL_RAIN = 60;
const months = Array.from({ length: 12 }, (_, month) => month);
const cellOf = (row: Row, month: number): Cell => `${row}${month}`;

/** A value as people of a unit system write it, to a tenth; rain in inches to a hundredth. */
function shown(row: Row, value: number, isImperial: boolean): string {
  if (row === 'rain')
    return String(isImperial ? Math.round((value / MM_PER_INCH) * 100) / 100 : Math.round(value * 10) / 10);
  return String(Math.round((isImperial ? toFahrenheit(value) : value) * 10) / 10);
}

function valuesOf(normals: Normals, isImperial: boolean): Values {
  const unsaid = (row: Row) => (row === 'rain' ? shown('rain', USUAL_RAIN, isImperial) : '');
  return Object.fromEntries(
    rows.flatMap((row) =>
      months.map((month) => [
        cellOf(row, month),
        normals ? shown(row, normals[row][month]!, isImperial) : unsaid(row),
      ]),
    ),
  );
}

function normalsIn(values: Values, read: Reading, isImperial: boolean) {
  const of = (row: Row) =>
    months.map((month) => {
      const value = read.number(cellOf(row, month), values[cellOf(row, month)] ?? '');
      if (row === 'rain') return isImperial ? value * MM_PER_INCH : value;
      return isImperial ? toCelsius(value) : value;
    });
  return { low: of('low'), high: of('high'), rain: of('rain') };
}

/** Monthly means as a climate table prints them, for a garden without a station's record. */
export function NormalsForm() {
  const { t } = useTranslation(['place', 'climate', 'kit']);
  const { garden } = useHere();
  const coordinates = useCoordinates();
  const isImperial = garden.units === 'imperial';
  const save = useWrite('saveNormals', () => t('climate:normals.saved'));
  const form = useBodyForm<Values, ReturnType<typeof normalsInput.parse>>({
    schema: normalsInput,
    draft: 'normals',
    defaults: valuesOf(garden.normals, isImperial),
    version: garden.version,
    toValues: ({ normals }: { normals: Normals }) => valuesOf(normals, isImperial),
    flat: (path) => path.replace(/^normals\.(\w+)\.(\d+)$/, '$1$2'),
    toBody: (values, read) => ({ normals: normalsIn(values, read, isImperial) }),
    send: (body, ifMatch) => save.mutateAsync({ body, ifMatch }),
  });
  const remove = () => save.mutate({ body: { normals: null }, ifMatch: garden.version });
  return (
    <Form of={form} className="flex flex-col gap-3">
      <p className="max-w-prose text-ink-soft text-sm">{t('climate:normals.lead')}</p>
      <fieldset disabled={!coordinates} className="min-w-0 overflow-x-auto">
        <MonthTable form={form} />
      </fieldset>
      <FormFaults />
      {coordinates && (
        <div className="flex gap-2">
          <Button type="submit" look={garden.record ? 'plain' : 'act'} disabled={form.busy}>
            {t('kit:save')}
          </Button>
          {garden.normals && <Button onClick={remove}>{t('kit:remove')}</Button>}
        </div>
      )}
    </Form>
  );
}

type NormalsFormOf = ReturnType<typeof useBodyForm<Values, ReturnType<typeof normalsInput.parse>>>;

function MonthTable({ form }: { form: NormalsFormOf }) {
  const { t } = useTranslation(['place', 'climate']);
  const { garden } = useHere();
  const dates = useDates();
  const isImperial = garden.units === 'imperial';
  const unitOf = (row: Row) => (row === 'rain' ? (isImperial ? 'in' : 'mm') : isImperial ? '°F' : '°C');
  return (
    <table className="w-full max-w-2xl text-left text-sm">
      <thead className="text-ink-soft">
        <tr>
          <th className="font-normal" />
          {rows.map((row) => (
            <th key={row} className="font-normal">
              {t(`climate:normals.${row}`, { unit: unitOf(row) })}
            </th>
          ))}
        </tr>
      </thead>
      <tbody>
        {months.map((month) => {
          const name = dates.month(`2026-${String(month + 1).padStart(2, '0')}-01`);
          return (
            <tr key={name}>
              <th className="pr-3 font-normal">{name}</th>
              {rows.map((row) => (
                <td key={row} className="py-0.5 pr-2">
                  <NormalCell
                    form={form}
                    cell={cellOf(row, month)}
                    label={`${name}, ${t(`climate:normals.${row}`, { unit: unitOf(row) })}`}
                  />
                </td>
              ))}
            </tr>
          );
        })}
      </tbody>
    </table>
  );
}

function NormalCell({ form, cell, label }: { form: NormalsFormOf; cell: Cell; label: string }) {
  const error = useRemedy()(form.formState.errors[cell]?.message);
  useShownField(cell, label);
  return (
    <>
      <input
        {...form.register(cell)}
        className="input min-h-8 w-full min-w-14 max-w-28 aria-[invalid=true]:border-2 aria-[invalid=true]:border-beet"
        inputMode="decimal"
        aria-label={label}
        aria-invalid={error !== undefined}
      />
      {error && (
        <p role="alert" className="text-beet">
          {error}
        </p>
      )}
    </>
  );
}
