import { randomBytes } from 'node:crypto'
import {
  appendFileSync,
  existsSync,
  mkdirSync,
  readFileSync,
  readdirSync,
  renameSync,
  statSync,
  rmSync,
} from 'node:fs'
import { join } from 'node:path'
import { z } from 'zod/mini'
import { Mail } from '../core/formats/mail'
import { writeWhole } from './files'

/** What the desk tells those who write: the shows, and whether the post-box is open. */
export const About = z.object({
  shows: z
    .array(z.object({ id: z.string().check(z.maxLength(100)), title: z.string().check(z.maxLength(80)) }))
    .check(z.maxLength(50)),
  open: z.boolean(),
})
export type About = z.infer<typeof About>

/** What the desk hands out for the belt: ciphered, so that nobody reads it who has not its key. */
export const Belt = z.object({
  at: z.iso.datetime(),
  sealed: z.string().check(z.maxLength(1_900_000), z.regex(/^[A-Za-z0-9+/]+={0,2}$/)),
})
export type Belt = z.infer<typeof Belt>
/** What is handed out for it: what it shows, and how shots look, which changes less often. */
export type ForBelt = 'belt' | 'belt-pictures'

/** Most letters, and most bytes, that wait in a mailbox. */
const most = { letters: 2000, bytes: 200_000_000 }

/**
 * Letters that wait for the desk, a file each, named by their id. The same letter put twice is one; one
 * that the desk has taken is remembered by its id, so that it never comes again, whichever side died in
 * between.
 */
export class Mailbox {
  private readonly letters: string
  private readonly unreadable: string
  private readonly ledger: string
  private readonly taken: Set<string>

  constructor(private readonly folder: string) {
    this.letters = join(folder, 'letters')
    this.unreadable = join(folder, 'unreadable')
    this.ledger = join(folder, 'taken.log')
    for (const path of [this.letters, this.unreadable]) mkdirSync(path, { recursive: true, mode: 0o700 })
    this.taken = new Set((readText(this.ledger) ?? '').split('\n').filter(Boolean))
    // A stop between noting and deleting leaves a letter that was taken already, or half a file; anything
    // else is none of ours.
    for (const entry of readdirSync(this.letters, { withFileTypes: true })) {
      const { name } = entry
      if (!entry.isFile()) this.setAside(name)
      else if (name.endsWith('.part') || this.taken.has(name.replace(/\.json$/, '')))
        rmSync(join(this.letters, name), { force: true })
    }
  }

  /** The key of this mailbox, made at its first use, and made anew where the file holds none. */
  get key(): string {
    const path = join(this.folder, 'key')
    const kept = (readText(path) ?? '').trim()
    if (/^[\w-]{24,200}$/.test(kept)) return kept
    const fresh = randomBytes(24).toString('base64url')
    writeWhole(path, fresh)
    return fresh
  }

  get about(): About {
    const path = join(this.folder, 'about.json')
    const read = About.safeParse(readJson(path))
    return read.success ? read.data : { shows: [], open: false }
  }

  set about(about: About) {
    writeWhole(join(this.folder, 'about.json'), JSON.stringify(about))
  }

  /** What was last handed out for the belt, its snapshot or its pictures; nothing where none was. */
  handedOut(what: ForBelt): Belt | undefined {
    const read = Belt.safeParse(readJson(join(this.folder, `${what}.json`)))
    return read.success ? read.data : undefined
  }

  /** Which handing out of it this is; another one has another. Empty where none was handed out. */
  stampOf(what: ForBelt): string {
    const path = join(this.folder, `${what}.json`)
    return existsSync(path) ? String(statSync(path).mtimeMs) : ''
  }

  handOut(what: ForBelt, belt: Belt): void {
    writeWhole(join(this.folder, `${what}.json`), JSON.stringify(belt))
  }

  /** The desk that takes the letters: the first that asked, until another takes over. */
  get desk(): string | undefined {
    return readText(join(this.folder, 'desk'))?.trim() || undefined
  }

  set desk(desk: string | undefined) {
    writeWhole(join(this.folder, 'desk'), desk ?? '')
  }

  /** Moves what is no letter out of the way, under its name and the moment. */
  private setAside(name: string): void {
    try {
      renameSync(join(this.letters, name), join(this.unreadable, `${Date.now()}-${name}`))
    } catch {
      // What cannot even be moved is passed over each time.
    }
  }

  /** How many files were set aside since they are no letters. */
  get asideCount(): number {
    return readdirSync(this.unreadable).length
  }

  /**
   * The calendar that other programs may subscribe to, and the secret in its address; nothing while it is
   * off.
   */
  get calendar(): { secret: string; ics: string } | undefined {
    const [secret, ics] = [join(this.folder, 'calendar.secret'), join(this.folder, 'calendar.ics')]
    return existsSync(secret)
      ? { secret: readFileSync(secret, 'utf8').trim(), ics: existsSync(ics) ? readFileSync(ics, 'utf8') : '' }
      : undefined
  }

  /**
   * Keeps the calendar as it is now; with `renew` under a new secret, so that the old address finds
   * nothing.
   */
  keepCalendar(ics: string, renew: boolean): string {
    const now = renew ? undefined : this.calendar?.secret
    const secret = now ?? randomBytes(18).toString('base64url')
    if (secret !== now) writeWhole(join(this.folder, 'calendar.secret'), secret)
    writeWhole(join(this.folder, 'calendar.ics'), ics)
    return secret
  }

  /** Ends the subscription: its address finds nothing any more. */
  endCalendar(): void {
    for (const name of ['calendar.secret', 'calendar.ics']) rmSync(join(this.folder, name), { force: true })
  }

  private names(): string[] {
    return readdirSync(this.letters, { withFileTypes: true }).flatMap((e) =>
      e.isFile() && e.name.endsWith('.json') ? [e.name] : [],
    )
  }

  private stat(name: string): { size: number; at: number } {
    try {
      const { size, mtimeMs } = statSync(join(this.letters, name))
      return { size, at: mtimeMs }
    } catch {
      return { size: 0, at: 0 }
    }
  }

  /**
   * Keeps a letter. `full` when there is no room for all of it; one that is there, or was taken, counts as
   * kept.
   */
  put(letter: Mail): 'kept' | 'full' {
    const path = join(this.letters, `${letter.id}.json`)
    if (this.taken.has(letter.id) || existsSync(path)) return 'kept'
    const names = this.names()
    if (names.length >= most.letters || names.reduce((sum, n) => sum + this.stat(n).size, 0) > most.bytes)
      return 'full'
    try {
      writeWhole(path, JSON.stringify(letter))
    } catch {
      return 'full'
    }
    return 'kept'
  }

  /**
   * The oldest letters that wait, at most `count`, how many wait in all, and how many files were set aside
   * since they are no letters.
   */
  waiting(count: number): { mail: Mail[]; waiting: number; unreadable: number } {
    const dated = this.names()
      .map((name) => ({ name, at: this.stat(name).at }))
      .sort((a, b) => a.at - b.at || (a.name < b.name ? -1 : 1))
    const mail: Mail[] = []
    let waiting = 0
    for (const { name } of dated) {
      waiting++
      if (mail.length >= count) continue
      const read = Mail.safeParse(readJson(join(this.letters, name)))
      if (read.success && `${read.data.id}.json` === name) mail.push(read.data)
      else {
        this.setAside(name)
        waiting--
      }
    }
    return { mail, waiting, unreadable: this.asideCount }
  }

  /** Moves letters aside that the desk could not take. */
  refuse(ids: readonly string[]): void {
    for (const id of ids) if (existsSync(join(this.letters, `${id}.json`))) this.setAside(`${id}.json`)
  }

  /** Notes that the desk has letters safe, then deletes them. */
  take(ids: readonly string[]): void {
    const fresh = ids.filter((id) => !this.taken.has(id) && existsSync(join(this.letters, `${id}.json`)))
    if (fresh.length === 0) return
    appendFileSync(this.ledger, fresh.map((id) => `${id}\n`).join(''), { flush: true, mode: 0o600 })
    for (const id of fresh) {
      this.taken.add(id)
      rmSync(join(this.letters, `${id}.json`), { force: true })
    }
  }
}

/** A file's text; nothing where there is no such file, or it is a folder. */
function readText(path: string): string | undefined {
  try {
    return readFileSync(path, 'utf8')
  } catch {
    return undefined
  }
}

/** A file's JSON; nothing where it holds none. */
function readJson(path: string): unknown {
  try {
    return JSON.parse(readText(path) ?? '')
  } catch {
    return undefined
  }
}
