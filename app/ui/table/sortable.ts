import { computed, type ComputedRef, type Ref } from 'vue'
import {
  createSortedRowModel,
  rowSortingFeature,
  tableFeatures,
  useTable,
  type ColumnDef,
  type SortDirection,
} from '@tanstack/vue-table'

/** A column by which rows can be put in order. */
export interface SortColumn<Row> {
  id: string
  label: string
  /** What of a row is compared; rows that have none come last, either way. */
  of: (row: Row) => string | number | undefined
  /** Its first order: down for figures, up for words. */
  down?: boolean
}

/** A heading: how its column is sorted, and what sorts it. */
export interface Heading {
  id: string
  label: string
  sorted: SortDirection | false
  sort: () => void
}

const features = tableFeatures({ rowSortingFeature, sortedRowModel: createSortedRowModel() })
type Features = typeof features

/** Rows in the order of a column, which headings change; each sorts the other way when taken again. */
export function useSortable<Row extends object>(
  data: Ref<readonly Row[]>,
  columns: readonly SortColumn<Row>[],
  first: string,
): { headings: ComputedRef<Heading[]>; rows: ComputedRef<Row[]> } {
  const start = columns.find((c) => c.id === first)
  const table = useTable<Features, Row>({
    features,
    data,
    columns: columns.map((c): ColumnDef<Features, Row> => ({
      id: c.id,
      header: c.label,
      accessorFn: c.of,
      sortFn: (a, b, id) => {
        const [one, two] = [a.getValue<string | number>(id), b.getValue<string | number>(id)]
        return one < two ? -1 : one > two ? 1 : 0
      },
      sortDescFirst: c.down === true,
      sortUndefined: 'last',
    })),
    enableSortingRemoval: false,
    enableMultiSort: false,
    initialState: { sorting: start ? [{ id: start.id, desc: start.down === true }] : [] },
  })
  const sorting = computed(() => table.atoms.sorting.get())
  // The rows are the table's, which change with either.
  const order = computed(() => ({ by: sorting.value, of: data.value }))
  return {
    headings: computed(() =>
      columns.map((c) => {
        const mine = sorting.value.find((s) => s.id === c.id)
        return {
          id: c.id,
          label: c.label,
          sorted: mine ? (mine.desc ? 'desc' : 'asc') : false,
          sort: () => table.getColumn(c.id)?.toggleSorting(),
        }
      }),
    ),
    rows: computed(() =>
      order.value.of.length === 0 ? [] : table.getRowModel().rows.map((r) => r.original),
    ),
  }
}
