import {
  type ColumnDef,
  createColumnHelper,
  createSortedRowModel,
  rowSortingFeature,
  sortFn_alphanumeric,
  tableFeatures,
  useTable,
} from '@tanstack/react-table';
import { ArrowDown, ArrowUp } from 'lucide-react';
import type { ReactNode } from 'react';

const features = tableFeatures({
  rowSortingFeature,
  sortedRowModel: createSortedRowModel(),
  sortFns: { alphanumeric: sortFn_alphanumeric },
});

/** A column of a table that can be sorted by it. */
export interface DataColumn<Row> {
  key: string;
  heading: string;
  /** what it is sorted by; absent where it is not */
  by?(row: Row): string | number | null;
  show(row: Row): ReactNode;
  /** under all rows */
  total?: ReactNode;
  /** text reads from the left, numbers stand under one another at the right */
  isText?: boolean;
}

const align = (isText: boolean | undefined): string => (isText ? 'text-left' : 'text-right tabular-nums');

/**
 * A table that is sorted by the column whose heading is pressed, and the other way round when it is pressed again. Its first
 * column names the rows. It scrolls within itself where it is wider than its place.
 */
export function DataTable<Row>({
  label,
  rows,
  columns,
  keyOf,
}: {
  label: string;
  rows: readonly Row[];
  columns: readonly DataColumn<Row>[];
  keyOf(row: Row): string;
}) {
  const helper = createColumnHelper<typeof features, Row & object>();
  const table = useTable({
    features,
    data: rows as (Row & object)[],
    getRowId: keyOf,
    columns: columns.map(({ key, by }) =>
      helper.accessor((row) => by?.(row) ?? undefined, {
        id: key,
        sortFn: 'alphanumeric',
        sortUndefined: 'last',
        enableSorting: by !== undefined,
      }),
    ) as ColumnDef<typeof features, Row & object>[],
  });
  return (
    <section
      aria-label={label}
      // biome-ignore lint/a11y/noNoninteractiveTabindex: a region that scrolls must be reachable by keyboard
      tabIndex={0}
      className="relative overflow-x-auto print:hidden"
    >
      <table className="w-full max-w-4xl">
        <thead>
          <tr className="text-ink-soft text-sm">
            {table.getHeaderGroups()[0]!.headers.map(({ column }, i) => (
              <Heading key={column.id} of={columns[i]!} column={column} />
            ))}
          </tr>
        </thead>
        <tbody>
          {table.getRowModel().rows.map(({ id, original }) => (
            <tr key={id} className="h-11">
              {columns.map(({ key, show, isText }, i) => {
                const Cell = i === 0 ? 'th' : 'td';
                return (
                  <Cell
                    key={key}
                    {...(i === 0 && { scope: 'row' })}
                    className={`border-line border-b px-3 py-1.5 font-normal first:pl-0 ${align(isText)}`}
                  >
                    {show(original)}
                  </Cell>
                );
              })}
            </tr>
          ))}
        </tbody>
        {columns.some(({ total }) => total !== undefined) && (
          <tfoot>
            <tr className="font-semibold">
              {columns.map(({ key, total, isText }) => (
                <td key={key} className={`px-3 py-1.5 first:pl-0 ${align(isText)}`}>
                  {total}
                </td>
              ))}
            </tr>
          </tfoot>
        )}
      </table>
    </section>
  );
}

interface Sortable {
  getIsSorted(): false | 'asc' | 'desc';
  toggleSorting(): void;
}

function Heading<Row>({ of: { heading, by, isText }, column }: { of: DataColumn<Row>; column: Sortable }) {
  const sorted = column.getIsSorted();
  const Arrow = sorted === 'desc' ? ArrowDown : ArrowUp;
  return (
    <th
      scope="col"
      aria-sort={sorted ? ({ asc: 'ascending', desc: 'descending' } as const)[sorted] : undefined}
      className={`border-line-strong border-b px-3 py-1.5 font-semibold first:pl-0 ${align(isText)}`}
    >
      {by ? (
        <button
          type="button"
          onClick={() => column.toggleSorting()}
          className={`inline-flex min-h-9 items-center gap-1 hover:underline ${isText ? '' : 'flex-row-reverse'}`}
        >
          {heading}
          <Arrow aria-hidden size={15} className={sorted ? '' : 'invisible'} />
        </button>
      ) : (
        <span className="sr-only">{heading}</span>
      )}
    </th>
  );
}
