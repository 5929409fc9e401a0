import { z } from 'zod/mini'
import { HelperMail } from '../helpers/deeds'
import { ok, refused, type Result } from '../result'

/**
 * Limits of what comes by mail; longer texts are refused where they are typed, and again where they arrive.
 */
export const mailLimits = {
  line: 300,
  text: 2000,
  name: 80,
  mail: 200,
  url: 1000,
  pictureBytes: 1_500_000,
} as const

const Uuid = z.string().check(z.regex(/^[0-9a-zA-Z-]{8,64}$/, 'This is not an id.'))
const Url = z.string().check(
  z.maxLength(mailLimits.url, 'The link is too long.'),
  z.refine((u) => u === '' || /^https?:\/\/\S+$/i.test(u), 'A link begins with http:// or https://.'),
)
const noControl = (s: string) => [...s].every((c) => c >= ' ' || c === '\n' || c === '\t')
const text = (most: number) =>
  z
    .string()
    .check(
      z.maxLength(most, `At most ${most} characters fit here.`),
      z.refine(noControl, 'There are signs in it that are no text.'),
    )

/** An idea jotted away from the desk. Its id becomes the episode's: that is what makes it arrive once. */
export const JottedMail = z.object({
  kind: z.literal('jotted'),
  id: Uuid,
  at: z.iso.datetime(),
  line: text(mailLimits.line).check(z.refine((l) => l.trim() !== '', 'An idea needs at least a word.')),
  note: text(mailLimits.text),
  url: Url,
  show: z.string().check(z.maxLength(100)),
})
export type JottedMail = z.infer<typeof JottedMail>

/** A wish from the audience. */
export const WishMail = z.object({
  kind: z.literal('wish'),
  id: Uuid,
  at: z.iso.datetime(),
  line: text(mailLimits.line).check(
    z.refine((l) => l.trim().length >= 3, 'Say in a few words what you wish for.'),
  ),
  url: Url,
  show: z.string().check(z.maxLength(100)),
  name: text(mailLimits.name),
  mail: z.union([
    z.literal(''),
    z.email('This mail address is not whole.').check(z.maxLength(mailLimits.mail)),
  ]),
  tell: z.boolean(),
  picture: z.optional(
    z.object({
      type: z.enum(['image/png', 'image/jpeg', 'image/webp', 'image/gif']),
      width: z.int().check(z.positive(), z.lte(20000)),
      height: z.int().check(z.positive(), z.lte(20000)),
      base64: z
        .string()
        .check(
          z.maxLength(Math.ceil(mailLimits.pictureBytes / 3) * 4, 'The picture is too large.'),
          z.regex(/^[A-Za-z0-9+/]*={0,2}$/, 'The picture is damaged.'),
        ),
    }),
  ),
})
export type WishMail = z.infer<typeof WishMail>

/** A deed of the belt on its way to the desk, ciphered (`core/belt`): the mailbox keeps it, and can't read it. */
export const BeltMail = z.object({
  kind: z.literal('belt'),
  id: Uuid,
  at: z.iso.datetime(),
  sealed: z
    .string()
    .check(
      z.maxLength(20_000, 'The letter is too large.'),
      z.regex(/^[A-Za-z0-9+/]+={0,2}$/, 'The letter is damaged.'),
    ),
})
export type BeltMail = z.infer<typeof BeltMail>

/** What becomes an idea. */
export type IdeaMail = JottedMail | WishMail
export const Mail = z.discriminatedUnion('kind', [JottedMail, WishMail, BeltMail, HelperMail])
export type Mail = z.infer<typeof Mail>

/** A hand-over without a server: ideas in a file or in codes. */
const HandOver = z.object({
  format: z.literal('lamp-reel ideas'),
  ideas: z.array(JottedMail).check(z.maxLength(5000)),
})

/** The hand-over file of some jotted ideas, JSON. */
export function writeHandOver(ideas: readonly JottedMail[]): string {
  return JSON.stringify({ format: 'lamp-reel ideas', ideas })
}

/** Reads a hand-over file. Refused with the reason when it is none or when an idea in it is broken. */
export function readHandOver(json: string): Result<JottedMail[]> {
  let raw: unknown
  try {
    raw = JSON.parse(json)
  } catch {
    return refused(
      'This file is not a hand-over of ideas. Make one on the phone with “Hand over as a file”.',
      'file',
    )
  }
  const read = HandOver.safeParse(raw)
  if (read.success) return ok(read.data.ideas)
  const issue = read.error.issues[0]
  const at =
    issue?.path[0] === 'ideas' && typeof issue.path[1] === 'number' ? `Idea ${issue.path[1] + 1}: ` : ''
  return refused(
    `${at}${issue?.message ?? 'It is not a hand-over of ideas.'} Nothing was taken.`,
    issue?.path.join('.') ?? 'file',
  )
}

/** Most characters in one code, so that a plain camera reads it from a phone's screen. */
const codeRoom = 620

/**
 * Ideas as texts for codes shown one after another: `LR1 set 1/3 …`. The parts of one set belong together.
 */
export function writeCodes(ideas: readonly JottedMail[], set: string): string[] {
  const whole = JSON.stringify(ideas.map((i) => [i.id, i.at, i.line, i.note, i.url, i.show]))
  const parts: string[] = []
  const letters = [...whole]
  for (let at = 0; at < letters.length; at += codeRoom) parts.push(letters.slice(at, at + codeRoom).join(''))
  return parts.map((part, i) => `LR1 ${set} ${i + 1}/${parts.length} ${part}`)
}

/** Gathers codes as they are read, in any order and as often as the camera sees them. */
export class CodeReader {
  private set = ''
  private parts: (string | undefined)[] = []
  private count = 0

  /**
   * What is still missing of the set, and the ideas when nothing is. Texts that are no code of ours change
   * nothing.
   */
  read(text: string): Result<{ have: number; of: number; ideas: JottedMail[] | undefined }> {
    const code = /^LR1 (\S+) (\d+)\/(\d+) ([\s\S]*)$/.exec(text)
    if (!code) return refused('This code is not one of Lamp Reel’s.', 'code')
    const [, set = '', at = '', of = '', part = ''] = code
    if (set !== this.set || Number(of) !== this.count) {
      this.set = set
      this.count = Number(of)
      this.parts = []
    }
    this.parts[Number(at) - 1] = part
    const have = this.parts.filter((p) => p !== undefined).length
    if (have < this.count) return ok({ have, of: this.count, ideas: undefined })
    try {
      const rows = z
        .array(z.tuple([z.string(), z.string(), z.string(), z.string(), z.string(), z.string()]))
        .parse(JSON.parse(this.parts.join('')))
      return ok({
        have,
        of: this.count,
        ideas: rows.map(([id, moment, line, note, url, show]) =>
          JottedMail.parse({ kind: 'jotted', id, at: moment, line, note, url, show }),
        ),
      })
    } catch {
      return refused(
        'The codes were read, but what is in them is broken. Show them anew on the phone.',
        'code',
      )
    }
  }
}
