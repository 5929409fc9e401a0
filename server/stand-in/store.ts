import { randomBytes } from 'node:crypto'
import { existsSync, mkdirSync, readFileSync } from 'node:fs'
import { join } from 'node:path'
import { z } from 'zod/mini'
import { HandedThing, type Standing } from '../../core/line/message'
import { writeWhole } from '../files'
import { viewsAfter } from './growth'

const Kept = z.object({ thing: HandedThing, takenAt: z.number(), hasPicture: z.boolean() })
export type Kept = z.infer<typeof Kept>

/** What it is told to do wrong, so that one may see what comes of it. */
export const Trouble = z.object({
  kind: z.enum(['none', 'down', 'slow', 'refuse a tag', 'lose the answer']),
  tag: z.optional(z.string().check(z.maxLength(100))),
})
export type Trouble = z.infer<typeof Trouble>

/** How far its clock is ahead of the machine’s, hours; so that one need not wait for a release to see it out. */
const Ahead = z.number().check(z.gte(-1_000_000), z.lte(1_000_000))

const State = z.object({
  key: z.string(),
  trouble: Trouble,
  ahead: z._default(Ahead, 0),
  things: z.array(Kept),
})

/** Most things that it keeps. */
const most = 2000
const day = 86_400_000

/**
 * All that the simulated outlet keeps, in one file that is written whole: things by their id, so that one handed over
 * twice is one. Whether a thing is live follows from the moment alone, whether anybody looks or not.
 */
export class StandIn {
  private readonly path: string
  private readonly state: z.infer<typeof State>

  constructor(
    private readonly folder: string,
    private readonly clock: () => number = Date.now,
  ) {
    mkdirSync(folder, { recursive: true, mode: 0o700 })
    this.path = join(folder, 'stand-in.json')
    const read = State.safeParse(
      existsSync(this.path) ? JSON.parse(readFileSync(this.path, 'utf8')) : undefined,
    )
    this.state = read.success
      ? read.data
      : { key: randomBytes(18).toString('base64url'), trouble: { kind: 'none' }, ahead: 0, things: [] }
    if (!read.success) this.keep()
  }

  now(): number {
    return this.clock() + this.state.ahead * 3_600_000
  }
  get ahead(): number {
    return this.state.ahead
  }
  /** Sets its clock ahead of the machine's by so many hours; false where that is no number it takes. */
  setAhead(hours: number): boolean {
    const read = Ahead.safeParse(hours)
    if (read.success) {
      this.state.ahead = read.data
      this.keep()
    }
    return read.success
  }
  get key(): string {
    return this.state.key
  }
  get trouble(): Trouble {
    return this.state.trouble
  }
  get things(): readonly Kept[] {
    return this.state.things
  }
  set trouble(trouble: Trouble) {
    this.state.trouble = trouble
    this.keep()
  }
  /** One that misbehaves once behaves again. */
  calmDown(): void {
    this.trouble = { kind: 'none' }
  }

  /** Takes a thing, or takes it anew: true where there was none of this id. False results change nothing. */
  take(thing: HandedThing, picture: Uint8Array | undefined): boolean {
    const before = this.state.things.find((t) => t.thing.id === thing.id)
    if (!before && this.state.things.length >= most) throw new Error('It has no room left.')
    if (picture) writeWhole(join(this.folder, `${thing.id}.jpg`), picture)
    const kept = {
      thing,
      takenAt: before?.takenAt ?? this.now(),
      hasPicture: picture !== undefined || (before?.hasPicture ?? false),
    }
    this.state.things = [...this.state.things.filter((t) => t !== before), kept]
    this.keep()
    return !before
  }
  find(id: string): Kept | undefined {
    return this.state.things.find((t) => t.thing.id === id)
  }
  picture(id: string): Uint8Array | undefined {
    const path = join(this.folder, `${id}.jpg`)
    return this.find(id)?.hasPicture && existsSync(path) ? readFileSync(path) : undefined
  }
  isLive({ thing }: Kept): boolean {
    return Date.parse(thing.at) <= this.now()
  }
  standing(kept: Kept, base: string): Standing {
    const { id, at } = kept.thing
    const isLive = this.isLive(kept)
    return {
      id,
      state: isLive ? 'live' : 'scheduled',
      address: `${base}/watch/${id}`,
      views: isLive ? viewsAfter(id, (this.now() - Date.parse(at)) / day) : 0,
    }
  }
  private keep(): void {
    writeWhole(this.path, JSON.stringify(this.state))
  }
}
