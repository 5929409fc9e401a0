import { z } from 'zod/mini'
import type { Id } from '../records'
import type { Snapshot } from './snapshot'

/** So many pictures go along, each of at most so many bytes: all of them together are handed out in one piece. */
export const beltPicture = { most: 24, bytes: 40_000, width: 480, height: 320 } as const

const address = z
  .string()
  .check(
    z.maxLength(Math.ceil(beltPicture.bytes / 3) * 4 + 30),
    z.regex(/^data:image\/jpeg;base64,[A-Za-z0-9+/]+={0,2}$/),
  )

/** What shots look like, small, for the phone: by the picture's id, as an address that an `img` shows. */
export const BeltPictures = z.record(z.string(), address)
export type BeltPictures = z.infer<typeof BeltPictures>

/** Which pictures a snapshot asks for, those of what comes first before others, each once. */
export function picturesOf({ sessions }: Pick<Snapshot, 'sessions'>): Id[] {
  const all = sessions.flatMap((s) => [...s.items].sort((a, b) => Number(a.got) - Number(b.got)))
  return [...new Set(all.flatMap((i) => i.picture ?? []))].slice(0, beltPicture.most)
}

/** The bytes of a JPEG as an address that an `img` shows. */
export function addressOfJpeg(bytes: Uint8Array): string {
  return `data:image/jpeg;base64,${btoa(Array.from(bytes, (b) => String.fromCharCode(b)).join(''))}`
}

/** Pictures from JSON; nothing where these are none. */
export function readPictures(json: string): BeltPictures | undefined {
  try {
    const read = BeltPictures.safeParse(JSON.parse(json))
    return read.success ? read.data : undefined
  } catch {
    return undefined
  }
}
