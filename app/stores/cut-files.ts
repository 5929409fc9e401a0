import { defineStore } from 'pinia'
import { shallowReactive } from 'vue'
import type { Id } from '@core/records'
import { askForFile, canRemember, fileOf, rememberedFile, rememberFile } from '@app/data/cut-file'

/** A file that plays: where the browser finds it, its name, and whether there is a picture to see. */
export interface PlayedFile {
  url: string
  name: string
  hasPicture: boolean
}

/** The files of cuts that were opened in this visit. They stay where they are on the disk and are never read whole. */
export const useCutFiles = defineStore('cut files', () => {
  const open = shallowReactive(new Map<Id, PlayedFile>())
  /** Files that are known by where they lie, but may be read only after a press. */
  const known = shallowReactive(new Map<Id, FileSystemFileHandle>())

  function play(cut: Id, file: File): PlayedFile {
    const before = open.get(cut)
    if (before) URL.revokeObjectURL(before.url)
    const played = {
      url: URL.createObjectURL(file),
      name: file.name,
      hasPicture: !file.type.startsWith('audio/'),
    }
    open.set(cut, played)
    known.delete(cut)
    return played
  }
  /** Opens again what was remembered, where the browser lets that be without a press. */
  async function look(cut: Id): Promise<void> {
    if (open.has(cut) || !canRemember()) return
    const handle = await rememberedFile(cut)
    if (!handle) return
    const file = await fileOf(handle, false)
    if (file) play(cut, file)
    else known.set(cut, handle)
  }
  /** Opens it again after a press; nothing where it is no longer there or may not be read. */
  async function again(cut: Id): Promise<PlayedFile | undefined> {
    const handle = known.get(cut)
    const file = handle && (await fileOf(handle, true))
    if (!file) known.delete(cut)
    return file && play(cut, file)
  }
  /** Asks for a file and remembers where it lies. */
  async function choose(cut: Id): Promise<PlayedFile | undefined> {
    const handle = await askForFile()
    const file = handle && (await fileOf(handle, true))
    if (!file) return undefined
    await rememberFile(cut, handle)
    return play(cut, file)
  }
  return { open, known, can: canRemember, play, look, again, choose }
})
