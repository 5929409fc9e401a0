import { unzipSync, strFromU8 } from 'fflate'
import { after, exampleContext } from '../examples'
import { beginCut, keepCut, noteOnCut } from '../commands/cuts'
import { writeEpisode } from '../commands/episode'
import { exampleWorld, viewOf } from '../views/example-cards'
import { packageFiles, packageMessage, packagePage, packageZip } from './cut-package'
import { packageParts, type PackagePart } from '../edit/package-parts'

function sources(parts: readonly PackagePart[] = ['script', 'shots', 'lists', 'notes', 'guide', 'links']) {
  let r = exampleWorld()
  const c = exampleContext()
  r = after(r, beginCut(r, { episode: 'e0', id: 'cut', from: 'Pell' }, c))
  r = after(r, keepCut(r, { cut: 'cut', to: { length: 591 } }, c))
  const notes = [
    { at: 134.48, kind: 'to do' as const, text: 'hold it <b>longer</b> & steady' },
    { at: 9, kind: 'to do' as const, text: 'draw the graphic', mine: true },
    { at: 31, kind: 'remark' as const, text: 'keep this pace' },
  ]
  r = after(r, noteOnCut(r, { cut: 'cut', notes }, c))
  const links = [{ id: 'l', label: 'Drawings', url: 'https://tern-and-tiller.example/drawings' }]
  const title = 'Ribs <script>alert(1)</script>'
  r = after(r, writeEpisode(r, { episode: 'e0', typed: { title, links }, what: 'x' }, c))
  const card = viewOf(r).cards.find((x) => x.episode.id === 'e0')
  if (!card) throw new Error('no card')
  return { card, cut: r.cuts.get('cut'), rate: '25' as const, due: 'Sun 29 Nov', parts: new Set(parts) }
}

test('what was chosen goes along, and nothing else; what is for oneself stays here', () => {
  const all = packageFiles(sources())
  expect(Object.keys(all)).toEqual(
    expect.arrayContaining([
      'start.html',
      'message.txt',
      'script.md',
      'notes.txt',
      'notes.csv',
      'notes.edl',
      'links.txt',
    ]),
  )
  expect(all['start.html']).not.toContain('draw the graphic')
  const few = packageFiles(sources(['notes']))
  expect(Object.keys(few)).toEqual(['start.html', 'message.txt', 'notes.txt', 'notes.csv', 'notes.edl'])
  expect(JSON.stringify(few)).not.toContain('drawings')
  expect(few['start.html']).not.toContain('<h2>Links')
  expect(Object.keys(packageParts)).toHaveLength(6)
})

test('the page shows titles and notes as text, whatever they hold', () => {
  const page = packagePage(sources())
  expect(page).not.toContain('<script>')
  expect(page).toContain('Ribs &lt;script&gt;alert(1)&lt;/script&gt;')
  expect(page).toContain('00:02:14:12 hold it &lt;b&gt;longer&lt;/b&gt; &amp; steady')
  expect(page).toContain('Wanted by Sun 29 Nov. The cut is 9:51 long.')
})

test('the message says to whom, how much, and by when', () => {
  const said = packageMessage(sources())
  expect(said).toMatch(/^Pell, here is “Ribs/)
  expect(said).toContain('1 to do on cut 1')
  expect(said).toContain('I need it back by Sun 29 Nov.')
  expect(packageMessage({ ...sources(), cut: undefined, due: '' })).toMatch(/^Here is “Ribs/)
})

test('the zip holds the files under a name that every system takes', () => {
  const { name, bytes } = packageZip(sources())
  expect(name).toMatch(/^[^<>:"/\\|?*]+\.zip$/)
  const files = unzipSync(bytes)
  expect(strFromU8(files['notes.txt'] ?? new Uint8Array())).toContain('00:02:14:12 [ ] hold it')
})
