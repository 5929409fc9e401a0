import { exampleScript } from '../examples'
import type { Script } from '../records'
import { exampleWorld, viewOf } from './example-cards'
import { scriptDesk } from './script-desk'

/** The world with these scripts, each changed at its own moment. */
function deskOf(scripts: Record<string, Partial<Script> & { text?: string }>) {
  const records = exampleWorld()
  const made = Object.entries(scripts).map(([id, { text = 'Some words are here.', ...rest }], i) => {
    const updatedAt = `2026-11-2${i}T09:00:00.000Z`
    return [id, { ...exampleScript({ Hook: [text, ''] }, id), updatedAt, ...rest }] as const
  })
  return scriptDesk(viewOf({ ...records, scripts: new Map([...records.scripts, ...made]) }).cards)
}
const titles = (rows: { card: { title: string } }[]) => rows.map((r) => r.card.title)

test('scripts stand by how far they are; what was written last stands first, what is not begun last', () => {
  const desk = deskOf({ e1: {}, e2: {} })
  expect(titles(desk.writing)).toEqual(['Spar', 'Keel', 'Ribs'])
  expect(desk.writing.map((d) => d.lacks)).toEqual(['1 beat unwritten', '1 beat unwritten', 'not begun'])
})

test('at copy-edit its remarks are counted; ready ones stand apart', () => {
  const long = `${Array.from({ length: 32 }, (_, i) => `${['oak', 'pine', 'elm'][i % 3] ?? ''}${i}`).join(' ')}.`
  const desk = deskOf({ e0: { stand: 'copy-edit', text: long }, e1: { stand: 'ready' } })
  expect(desk['copy-edit'].map((d) => d.lacks)).toEqual(['1 beat unwritten, 1 remark'])
  expect(titles(desk.ready)).toEqual(['Keel'])
  expect(titles(desk.writing)).toEqual(['Spar'])
})
