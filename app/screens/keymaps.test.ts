import { readdirSync, readFileSync } from 'node:fs'
import { join } from 'node:path'
import { chordsIn } from '@app/ui/keymap'
import { keymaps } from './keymaps'

test('the sheet of shortcuts lists every keymap', () => {
  const declared = readdirSync(__dirname, { recursive: true, encoding: 'utf8' })
    .filter((f) => f.endsWith('keymap.ts'))
    .flatMap((f) => [...readFileSync(join(__dirname, f), 'utf8').matchAll(/= keymap\('([^']+)'/g)])
    .map((m) => m[1])
  expect(declared.length).toBeGreaterThan(10)
  expect(keymaps.map((m) => m.title).sort()).toEqual(declared.sort())
})

test('within a keymap no chord means two things', () => {
  for (const { title, lines } of keymaps) {
    const chords = Object.values(lines).flatMap((l) => chordsIn(l))
    expect([title, ...new Set(chords)]).toEqual([title, ...chords])
  }
})

test('keys are bound nowhere but in keymaps, and by what answers to Enter and Escape in a field', () => {
  const loose = readdirSync(join(__dirname, '..'), { recursive: true, encoding: 'utf8' })
    .filter((f) => f.endsWith('.vue'))
    .filter((f) =>
      /event\.key\b|@key(down|up)\.(?!enter|esc)/.test(readFileSync(join(__dirname, '..', f), 'utf8')),
    )
  expect(loose).toEqual([])
})
