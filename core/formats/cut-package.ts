import { strToU8, zipSync } from 'fflate'
import { frameAt, timecode } from '../edit/frames'
import { editNeeds } from '../edit/needs'
import type { PackagePart } from '../edit/package-parts'
import { openNotes } from '../edit/rounds'
import type { Cut, CueKind, FrameRate, PublicLink } from '../records'
import { sayTime } from '../script/timecode'
import type { Card } from '../views/card'
import { cueCsv, cueMarkdown, cuesOfKinds } from './cue-lists'
import { safeName } from './folder'
import { notesCsv, notesEdl, notesText } from './cut-notes'
import { scriptMarkdown } from './script-markdown'

/** What a package is made of. `due`: the day and moment it is wanted by, as it is said. */
export interface PackageSources {
  card: Card
  cut: Cut | undefined
  rate: FrameRate
  due: string
  parts: ReadonlySet<PackagePart>
  /** Links of the shelf that were chosen, and the address of the helper's page, where there is one. */
  shelf?: readonly { label: string; url: string }[]
  page?: string
}

const listKinds: readonly CueKind[] = ['graphic', 'sound', 'find', 'screen', 'edit']
const nameOf = ({ card, cut }: PackageSources) =>
  `${card.number} ${card.title}${cut ? `, cut ${cut.number}` : ''}`
const linksOf = (links: readonly Pick<PublicLink, 'label' | 'url'>[]) =>
  links.map((l) => [l.label.trim(), l.url.trim()].filter(Boolean).join(': ')).filter(Boolean)

/** The links that go along: those that go public where that was chosen, and those of the shelf that were. */
function chosenLinks({ card, parts, shelf = [] }: PackageSources) {
  return [...(parts.has('links') ? card.episode.links : []), ...shelf]
}

/** What is to be done, in the order in which it matters: notes by their moment, then what the cut waits for. */
function toDo({ card, cut, rate }: PackageSources): string[] {
  const notes = cut ? openNotes(cut).filter((n) => !n.mine) : []
  return [
    ...notes.map((n) => `${timecode(frameAt(n.at, rate), rate)} ${n.text}`),
    ...editNeeds(card.script)
      .filter((n) => n.lacking)
      .map((n) => `${n.name}: ${n.there} of ${n.of} there`),
  ]
}

/** The message that goes with it, to be copied. */
export function packageMessage(of: PackageSources): string {
  const { card, cut, due } = of
  const todo = toDo(of)
  const toWhom = cut?.from ? `${cut.from}, h` : 'H'
  const much = cut ? `, with ${todo.length === 0 ? 'nothing' : todo.length} to do on cut ${cut.number}` : ''
  const lines = [
    `${toWhom}ere is “${card.title}” (${card.show.title} ${card.number})${much}.`,
    due === '' ? '' : `I need it back by ${due}.`,
    card.script ? `It should come out at ${card.show.aim.from} to ${card.show.aim.to} minutes.` : '',
    of.page === undefined
      ? 'All that belongs to it is in the package; begin with start.html.'
      : `All that belongs to it is on your page, where you can also tick, ask, and hand back the cut: ${of.page}`,
  ]
  return `${lines.filter(Boolean).join('\n')}\n`
}

const escapes: Readonly<Record<string, string>> = { '&': '&amp;', '<': '&lt;', '>': '&gt;', '"': '&quot;' }
const html = (text: string) => text.replace(/[&<>"]/g, (c) => escapes[c] ?? c)
const list = (title: string, lines: readonly string[]) =>
  lines.length === 0
    ? ''
    : `<h2>${html(title)}</h2><ul>${lines.map((l) => `<li>${html(l)}</li>`).join('')}</ul>`

/** One page to print or read: what is to be done, by when, and the words of the script. */
export function packagePage(of: PackageSources): string {
  const { card, cut, due, parts, rate } = of
  const sections = parts.has('script') ? (card.script?.sections ?? []) : []
  const remarks = parts.has('notes') && cut ? cut.notes.filter((n) => n.kind === 'remark') : []
  const wanted = due === '' ? [] : [`Wanted by ${due}`]
  const long = cut?.length ? [`The cut is ${sayTime(cut.length)} long`] : []
  const body = [
    `<h1>${html(nameOf(of))}</h1>`,
    `<p>${html([card.show.title, ...wanted, ...long].join('. '))}.</p>`,
    list('To do', toDo(of)),
    list(
      'Remarks',
      remarks.map((n) => `${timecode(frameAt(n.at, rate), rate)} ${n.text}`),
    ),
    parts.has('guide') && card.show.notes ? `<h2>Guide</h2><p>${html(card.show.notes)}</p>` : '',
    list('Links', linksOf(chosenLinks(of))),
    ...sections.map(
      (s) =>
        `<h2>${html(s.title)}</h2>${s.beats
          .filter((b) => b.text.trim() !== '')
          .map((b) => `<p${b.delivery === 'voice' ? ' class="voice"' : ''}>${html(b.text)}</p>`)
          .join('')}`,
    ),
  ]
  return `<!doctype html>
<html lang="en"><head><meta charset="utf-8"><title>${html(nameOf(of))}</title>
<style>body{font:15px/1.5 sans-serif;max-width:44em;margin:2em auto;padding:0 1em}h1{font-size:1.4em}h2{font-size:1.1em;margin:1.6em 0 .4em}.voice{border-left:2px dashed;padding-left:.8em}</style>
</head><body>${body.filter(Boolean).join('\n')}</body></html>
`
}

/** The files of a package by name; of parts that are chosen, those that hold something. */
export function packageFiles(of: PackageSources): Record<string, string> {
  const { card, cut, rate, parts } = of
  const shots = cuesOfKinds(card.script, ['shot'])
  const lists = cuesOfKinds(card.script, listKinds)
  const links = linksOf(chosenLinks(of))
  const all: [PackagePart | undefined, string, string][] = [
    [undefined, 'start.html', packagePage(of)],
    [undefined, 'message.txt', packageMessage(of)],
    ['script', 'script.md', card.script ? scriptMarkdown(card.script, card.title, card.show.pace) : ''],
    ['shots', 'shots.csv', shots.length > 0 ? cueCsv(shots) : ''],
    ['lists', 'lists.md', lists.length > 0 ? cueMarkdown(card.title, lists, listKinds) : ''],
    ['notes', 'notes.txt', cut ? notesText(cut, rate) : ''],
    ['notes', 'notes.csv', cut && cut.notes.length > 0 ? notesCsv(cut, rate) : ''],
    ['notes', 'notes.edl', cut && cut.notes.length > 0 ? notesEdl(card.title, cut, rate) : ''],
    ['guide', 'guide.txt', card.show.notes.trim() === '' ? '' : `${card.show.notes.trim()}\n`],
    [undefined, 'links.txt', links.length > 0 ? `${links.join('\n')}\n` : ''],
  ]
  return Object.fromEntries(
    all
      .filter(([part, , text]) => text !== '' && (part === undefined || parts.has(part)))
      .map(([, name, text]) => [name, text]),
  )
}

/** The package as a zip. */
export function packageZip(of: PackageSources): { name: string; bytes: Uint8Array } {
  const files = Object.entries(packageFiles(of)).map(([name, text]) => [name, strToU8(text)] as const)
  return { name: `${safeName(nameOf(of))}.zip`, bytes: zipSync(Object.fromEntries(files)) }
}
