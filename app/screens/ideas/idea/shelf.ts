import type { Attachment, KeptImage, Source, StageKind } from '@core/records'
import type { FileRecord } from '@core/commands/change'
import { readPicture } from '../../episode/pictures'

/** Largest file that is kept in the browser, in bytes. */
export const largestFile = 50 * 1024 * 1024

/** Files as they are kept: pictures apart from others, with their bytes; what was refused, in sentences. */
export interface Taken {
  images: KeptImage[]
  files: Attachment[]
  bytes: FileRecord[]
  refused: string[]
}

/** Reads files to keep beside an episode. Refuses those over 50 MB, in a sentence that says what to do instead. */
export async function takeFiles(given: Iterable<File>, stage: StageKind | undefined): Promise<Taken> {
  const taken: Taken = { images: [], files: [], bytes: [], refused: [] }
  const at = stage === undefined ? {} : { stage }
  for (const file of given) {
    if (file.size > largestFile) {
      taken.refused.push(
        `“${file.name}” has ${saySize(file.size)}; at most 50 MB are kept here. Keep its path or address instead.`,
      )
      continue
    }
    const picture = file.type.startsWith('image/') ? await readPicture(file) : undefined
    if (picture?.ok) {
      taken.images.push({ ...picture.value.picture, ...at })
      taken.bytes.push(picture.value.file)
      continue
    }
    const id = crypto.randomUUID()
    const type = file.type || 'application/octet-stream'
    taken.files.push({ id, type, name: file.name || 'file', size: file.size, ...at })
    taken.bytes.push({ id, type, bytes: new Uint8Array(await file.arrayBuffer()) })
  }
  return taken
}

/** A size in words: `48 kB`, `3.2 MB`. */
export function saySize(bytes: number): string {
  return bytes < 1_000_000
    ? `${Math.max(1, Math.round(bytes / 1000))} kB`
    : `${(bytes / 1_000_000).toFixed(bytes < 10_000_000 ? 1 : 0)} MB`
}

/** What was typed as an entry of the shelf: a name and an address or path, or words alone. */
export function sourceFrom(typed: string, stage: StageKind | undefined): Source | undefined {
  const text = typed.trim()
  if (text === '') return undefined
  const at = /(?:https?:\/\/\S+|(?:^|\s)(?:[a-z]:\\|\/|~\/|\\\\|file:)\S.*)$/i.exec(text)
  const url = at?.[0].trim() ?? ''
  const name = at ? text.slice(0, at.index).trim().replace(/[:,]$/, '') : text
  return { id: crypto.randomUUID(), text: name, url, ...(stage === undefined ? {} : { stage }) }
}

/** Whether an address can be opened by the browser; a path is copied instead. */
export const isWeb = (address: string) => /^https?:/i.test(address)
