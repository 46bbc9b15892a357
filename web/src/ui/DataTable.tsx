import type { ReactNode, Ref } from 'react';
import {
  columnVisibilityFeature,
  createColumnHelper,
  createSortedRowModel,
  rowSortingFeature,
  sortFn_alphanumeric,
  tableFeatures,
  useTable,
} from '@tanstack/react-table';
import { Popover } from 'radix-ui';
import { notify } from '../app/notice.ts';
import { Button } from './button.tsx';
import { TickBox } from './field.tsx';
import { Scroller } from './scroller.tsx';

/** One column of a table. */
export interface Column<Row> {
  readonly id: string;
  readonly title: string;
  /** Of its figures; it goes along when they are copied. */
  readonly unit?: string;
  /** What it is sorted by, and what is copied into a spreadsheet. */
  readonly value: (row: Row) => string | number;
  /** What is drawn, where that is more than the value. */
  readonly shown?: (row: Row) => ReactNode;
  readonly className?: string;
}

interface DataTableProps<Row extends object> {
  readonly label: string;
  readonly columns: readonly Column<Row>[];
  readonly rows: readonly Row[];
  readonly keyOf: (row: Row) => string;
  /** None where rows are only read. */
  readonly onOpen: ((row: Row) => void) | undefined;
  /** The row that was looked for. */
  readonly marked?: string | undefined;
  readonly markedRow?: Ref<HTMLTableRowElement>;
}

const features = tableFeatures({
  columnVisibilityFeature,
  rowSortingFeature,
  sortedRowModel: createSortedRowModel(),
  sortFns: { alphanumeric: sortFn_alphanumeric },
});

const SORTED = { asc: 'ascending', desc: 'descending' } as const;
const SIGN = { asc: ' ▲', desc: ' ▼' } as const;

/** Rows that are sorted by a tap on a heading, with columns to choose, and copied as they stand into a spreadsheet. */
export function DataTable<Row extends object>({
  label,
  columns,
  rows,
  keyOf,
  onOpen,
  marked,
  markedRow,
}: DataTableProps<Row>) {
  const helper = createColumnHelper<typeof features, Row>();
  const table = useTable({
    features,
    data: rows,
    getRowId: keyOf,
    columns: columns.map(({ id, title, value }) =>
      helper.accessor((row: Row): unknown => value(row), { id, header: title, sortFn: 'alphanumeric' }),
    ),
  });
  const visible = columns.filter(({ id }) => table.getColumn(id)?.getIsVisible() !== false);
  const sorted = table.getRowModel().rows.map(({ original }) => original);
  const copy = async (): Promise<void> => {
    const lines = sorted.map((row) => visible.map(({ value }) => String(value(row))));
    const heads = visible.map(({ title, unit }) => (unit === undefined ? title : `${title}, ${unit}`));
    try {
      const { writeTabs } = await import('@mendum/core/spreadsheet');
      const text = writeTabs([heads, ...lines]);
      await navigator.clipboard.writeText(text);
      notify(`${lines.length} rows are copied: paste them into a spreadsheet.`);
    } catch {
      notify('This browser does not let the table be copied.', { hint: 'Take CSV or XLSX instead.', wrong: true });
    }
  };
  return (
    <>
      <div className="mb-1 flex flex-wrap items-start justify-end gap-x-2">
        <Popover.Root>
          <Popover.Trigger className="min-h-11 px-3 text-lg underline underline-offset-4 hover:bg-wash">
            Columns
          </Popover.Trigger>
          <Popover.Portal>
            <Popover.Content
              align="end"
              aria-label="Which columns are shown"
              className="z-30 w-56 border border-ink bg-paper px-4 py-2 text-ink shadow-lg"
            >
              {columns.map(({ id, title }) => (
                <TickBox
                  key={id}
                  label={title}
                  checked={table.getColumn(id)?.getIsVisible() ?? true}
                  onChange={(event) => table.getColumn(id)?.toggleVisibility(event.target.checked)}
                />
              ))}
            </Popover.Content>
          </Popover.Portal>
        </Popover.Root>
        <Button look="quiet" onClick={() => void copy()}>
          Copy the table
        </Button>
      </div>
      <Scroller label={label}>
        <table className="w-full text-left">
          <thead className="border-b border-ink text-soft">
            <tr>
              {visible.map(({ id, title }) => {
                const column = table.getColumn(id);
                const way = column?.getIsSorted() || undefined;
                return (
                  <th key={id} className="font-normal" aria-sort={way === undefined ? 'none' : SORTED[way]}>
                    <button
                      type="button"
                      className="min-h-11 pr-3 whitespace-nowrap hover:text-ink"
                      onClick={() => column?.toggleSorting()}
                    >
                      {title}
                      {way === undefined ? '' : SIGN[way]}
                    </button>
                  </th>
                );
              })}
            </tr>
          </thead>
          <tbody>
            {sorted.map((row) => {
              const isMarked = keyOf(row) === marked;
              return (
                <tr
                  key={keyOf(row)}
                  ref={isMarked ? markedRow : undefined}
                  aria-current={isMarked ? 'true' : undefined}
                  className={`${onOpen ? 'cursor-pointer hover:bg-wash' : ''} border-b border-rule ${isMarked ? 'bg-wash' : ''}`}
                  onClick={() => onOpen?.(row)}
                >
                  {visible.map(({ id, value, shown, className }) => (
                    <td key={id} className={className}>
                      {shown ? shown(row) : value(row)}
                    </td>
                  ))}
                </tr>
              );
            })}
          </tbody>
        </table>
      </Scroller>
    </>
  );
}
