import { z } from 'zod/mini'
import { hasTakes, itemKinds } from '../session/item-kinds'
import type { BeltDeed } from './letters'

const BeltCheck = z.object({ id: z.string(), text: z.string(), on: z.boolean() })
export type BeltCheck = z.infer<typeof BeltCheck>

const BeltItem = z.object({
  id: z.string(),
  /** Of which kind it is; a desk of before says nothing. */
  kind: z.optional(z.enum(itemKinds)),
  name: z.string(),
  words: z.string(),
  /** Where and how it is set up, and of which episode it is. */
  where: z.string(),
  of: z.string(),
  minutes: z.number(),
  got: z.boolean(),
  put: z.boolean(),
  takes: z.int(),
  /** The id of what it should look like; see `pictures.ts`. */
  picture: z.optional(z.string()),
})
export type BeltItem = z.infer<typeof BeltItem>

const BeltSession = z.object({
  id: z.string(),
  name: z.string(),
  day: z.string(),
  running: z.boolean(),
  items: z.array(BeltItem),
  before: z.array(BeltCheck),
  after: z.array(BeltCheck),
})
export type BeltSession = z.infer<typeof BeltSession>

/** What the phone has of the desk: to look at, and to tick. */
export const Snapshot = z.object({
  format: z.literal('lamp-reel belt 1'),
  at: z.iso.datetime(),
  today: z.array(
    z.object({ step: z.string(), name: z.string(), of: z.string(), minutes: z.number(), done: z.boolean() }),
  ),
  next: z.optional(z.object({ title: z.string(), number: z.string(), when: z.string(), missing: z.int() })),
  ideas: z.array(z.object({ title: z.string(), note: z.string() })),
  scripts: z.array(
    z.object({
      title: z.string(),
      number: z.string(),
      seconds: z.number(),
      sections: z.array(z.object({ title: z.string(), lines: z.array(z.string()) })),
    }),
  ),
  sessions: z.array(BeltSession),
  /** Letters that were taken, and what is said of those where the desk's own word stood. */
  taken: z.array(z.object({ id: z.string(), over: z.optional(z.string()) })),
})
export type Snapshot = z.infer<typeof Snapshot>

/** A snapshot from JSON; nothing where it is none that this page reads. */
export function readSnapshot(json: string): Snapshot | undefined {
  try {
    const read = Snapshot.safeParse(JSON.parse(json))
    return read.success ? read.data : undefined
  } catch {
    return undefined
  }
}

const ticked = (checks: readonly BeltCheck[], id: string, on: boolean) =>
  checks.map((c) => (c.id === id ? { ...c, on } : c))

function inSession(session: BeltSession, deed: BeltDeed): BeltSession {
  if (!('session' in deed) || deed.session !== session.id) return session
  const item = (turn: (i: BeltItem) => BeltItem): BeltSession => ({
    ...session,
    items: session.items.map((i) => (i.id === deed.item ? turn(i) : i)),
  })
  switch (deed.kind) {
    case 'take':
      return item((i) => ({
        ...i,
        takes: i.takes + Number(hasTakes(i.kind ?? 'shot')),
        got: i.got || deed.kept,
      }))
    case 'got':
      return item((i) => ({ ...i, got: deed.got }))
    case 'put':
      return item((i) => ({ ...i, put: deed.on }))
    case 'check':
      return {
        ...session,
        before: ticked(session.before, deed.item, deed.on),
        after: ticked(session.after, deed.item, deed.on),
      }
    case 'remark':
      return session
  }
}

/** A snapshot as it is with what was done since, as long as the desk has not taken it. */
export function withDeeds(snapshot: Snapshot, deeds: readonly BeltDeed[]): Snapshot {
  return deeds.reduce<Snapshot>(
    (now, deed) =>
      deed.kind === 'step'
        ? { ...now, today: now.today.map((t) => (t.step === deed.step ? { ...t, done: deed.done } : t)) }
        : { ...now, sessions: now.sessions.map((s) => inSession(s, deed)) },
    snapshot,
  )
}
