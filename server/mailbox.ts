import { randomBytes } from 'node:crypto'
import {
  appendFileSync,
  closeSync,
  existsSync,
  fsyncSync,
  mkdirSync,
  openSync,
  readFileSync,
  readdirSync,
  renameSync,
  statSync,
  unlinkSync,
  writeSync,
} from 'node:fs'
import { join } from 'node:path'
import { z } from 'zod'
import { Mail } from '../core/formats/mail'

/** What the desk tells those who write: the shows, and whether the post-box is open. */
export const About = z.object({
  shows: z.array(z.object({ id: z.string().max(100), title: z.string().max(80) })).max(50),
  open: z.boolean(),
})
export type About = z.infer<typeof About>

/** Most letters, and most bytes, that wait in a mailbox. */
const most = { letters: 2000, bytes: 200_000_000 }

/** Writes a file so that it is whole or not there, also when the machine stops in between: beside it, flushed, then renamed. */
function writeWhole(path: string, text: string): void {
  const beside = `${path}.part`
  const file = openSync(beside, 'w', 0o600)
  writeSync(file, text)
  fsyncSync(file)
  closeSync(file)
  renameSync(beside, path)
}

/**
 * Letters that wait for the desk, a file each, named by their id. The same letter put twice is one; one that the desk has
 * taken is remembered by its id, so that it never comes again, whichever side died in between.
 */
export class Mailbox {
  private readonly letters: string
  private readonly ledger: string
  private readonly taken: Set<string>

  constructor(private readonly folder: string) {
    this.letters = join(folder, 'letters')
    this.ledger = join(folder, 'taken.log')
    mkdirSync(this.letters, { recursive: true, mode: 0o700 })
    this.taken = new Set(
      existsSync(this.ledger) ? readFileSync(this.ledger, 'utf8').split('\n').filter(Boolean) : [],
    )
    // A stop between noting and deleting leaves a letter that was taken already, or half a file.
    for (const name of readdirSync(this.letters))
      if (name.endsWith('.part') || this.taken.has(name.replace(/\.json$/, '')))
        unlinkSync(join(this.letters, name))
  }

  /** The key of this mailbox, made at its first use. */
  get key(): string {
    const path = join(this.folder, 'key')
    if (!existsSync(path)) writeWhole(path, randomBytes(24).toString('base64url'))
    return readFileSync(path, 'utf8').trim()
  }

  get about(): About {
    const path = join(this.folder, 'about.json')
    const read = About.safeParse(existsSync(path) ? JSON.parse(readFileSync(path, 'utf8')) : undefined)
    return read.success ? read.data : { shows: [], open: false }
  }

  set about(about: About) {
    writeWhole(join(this.folder, 'about.json'), JSON.stringify(about))
  }

  /** The calendar that other programs may subscribe to, and the secret in its address; nothing while it is off. */
  get calendar(): { secret: string; ics: string } | undefined {
    const [secret, ics] = [join(this.folder, 'calendar.secret'), join(this.folder, 'calendar.ics')]
    return existsSync(secret)
      ? { secret: readFileSync(secret, 'utf8').trim(), ics: existsSync(ics) ? readFileSync(ics, 'utf8') : '' }
      : undefined
  }

  /** Keeps the calendar as it is now; with `renew` under a new secret, so that the old address finds nothing. */
  keepCalendar(ics: string, renew: boolean): string {
    const now = renew ? undefined : this.calendar?.secret
    const secret = now ?? randomBytes(18).toString('base64url')
    if (secret !== now) writeWhole(join(this.folder, 'calendar.secret'), secret)
    writeWhole(join(this.folder, 'calendar.ics'), ics)
    return secret
  }

  /** Ends the subscription: its address finds nothing any more. */
  endCalendar(): void {
    for (const name of ['calendar.secret', 'calendar.ics'])
      if (existsSync(join(this.folder, name))) unlinkSync(join(this.folder, name))
  }

  private names(): string[] {
    return readdirSync(this.letters).filter((n) => n.endsWith('.json'))
  }

  /** Keeps a letter. `full` when there is no room; one that is there, or was taken, counts as kept. */
  put(letter: Mail): 'kept' | 'full' {
    const path = join(this.letters, `${letter.id}.json`)
    if (this.taken.has(letter.id) || existsSync(path)) return 'kept'
    const names = this.names()
    if (
      names.length >= most.letters ||
      names.reduce((sum, n) => sum + statSync(join(this.letters, n)).size, 0) > most.bytes
    )
      return 'full'
    writeWhole(path, JSON.stringify(letter))
    return 'kept'
  }

  /** The oldest letters that wait, at most `count`, and how many wait in all. A file that is no letter is passed over. */
  waiting(count: number): { mail: Mail[]; waiting: number } {
    const names = this.names()
    const dated = names
      .map((name) => ({ name, at: statSync(join(this.letters, name)).mtimeMs }))
      .sort((a, b) => a.at - b.at)
    const mail = dated.slice(0, count).flatMap(({ name }) => {
      const read = Mail.safeParse(JSON.parse(readFileSync(join(this.letters, name), 'utf8')))
      return read.success ? [read.data] : []
    })
    return { mail, waiting: names.length }
  }

  /** Notes that the desk has letters safe, then deletes them. */
  take(ids: readonly string[]): void {
    const fresh = ids.filter((id) => !this.taken.has(id) && existsSync(join(this.letters, `${id}.json`)))
    if (fresh.length === 0) return
    appendFileSync(this.ledger, fresh.map((id) => `${id}\n`).join(''), { flush: true, mode: 0o600 })
    for (const id of fresh) {
      this.taken.add(id)
      unlinkSync(join(this.letters, `${id}.json`))
    }
  }
}
