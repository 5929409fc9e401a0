import { strToU8, zipSync } from 'fflate'
import { notebookMarkdown, type Notebook } from '@core/formats/notebook-markdown'
import { fileName } from '@core/release/kit'

/**
 * An episode's notebook as a file: Markdown, or a zip of it with the pictures that stand in its note, under their
 * names.
 */
export async function notebookFile(
  about: Notebook,
  number: string,
  bytesOf: (id: string) => Promise<{ bytes: Uint8Array } | undefined>,
): Promise<{ name: string; type: string; bytes: Uint8Array }> {
  const base = `${fileName(number, about.title)}-notebook`
  const names = new Map<string, string>()
  const entries: Record<string, Uint8Array> = {}
  for (const [i, picture] of about.episode.idea.images.entries()) {
    if (!about.episode.note.includes(`(picture:${picture.id})`)) continue
    const file = await bytesOf(picture.id)
    if (!file) continue
    const name = `pictures/${i + 1}-${picture.name.replace(/[^\p{L}\p{N}._-]+/gu, '-')}`
    names.set(picture.id, name)
    entries[name] = file.bytes
  }
  const text = notebookMarkdown(about, names)
  return names.size === 0
    ? { name: `${base}.md`, type: 'text/markdown', bytes: strToU8(text) }
    : {
        name: `${base}.zip`,
        type: 'application/zip',
        bytes: zipSync({ [`${base}.md`]: strToU8(text), ...entries }),
      }
}
