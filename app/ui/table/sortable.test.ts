import { nextTick, shallowRef } from 'vue'
import { useSortable } from './sortable'

interface Row {
  name: string
  views: number | undefined
}
const rows = (...list: [string, number | undefined][]): Row[] =>
  list.map(([name, views]) => ({ name, views }))

test('rows stand in the order of a heading, turned round when it is taken again; none comes last', async () => {
  const data = shallowRef(rows(['oak', 12], ['ash', undefined], ['elm', 90]))
  const table = useSortable<Row>(
    data,
    [
      { id: 'name', label: 'Name', of: (r) => r.name },
      { id: 'views', label: 'Views', of: (r) => r.views, down: true },
    ],
    'name',
  )
  const names = () => table.rows.value.map((r) => r.name)
  const heading = (id: string) => table.headings.value.find((h) => h.id === id)
  expect(names()).toEqual(['ash', 'elm', 'oak'])
  expect(table.headings.value.map((h) => h.sorted)).toEqual(['asc', false])
  heading('views')?.sort()
  await nextTick()
  expect(names()).toEqual(['elm', 'oak', 'ash'])
  expect(table.headings.value.map((h) => h.sorted)).toEqual([false, 'desc'])
  heading('views')?.sort()
  await nextTick()
  expect(names()).toEqual(['oak', 'elm', 'ash'])
  data.value = rows(['yew', 40], ['oak', 12])
  await nextTick()
  expect(names()).toEqual(['oak', 'yew'])
})
