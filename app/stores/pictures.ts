import { defineStore } from 'pinia'
import { reactive } from 'vue'
import type { Id } from '@core/records'
import { useLibrary } from './library'

/** Pictures as addresses that an `img` can show, read from the store when first asked for. */
export const usePictures = defineStore('pictures', () => {
  const library = useLibrary()
  const urls = reactive(new Map<Id, string>())
  /** Those that were asked for, with the turn of the records at which they were: what was not there may be later. */
  const asked = new Map<Id, number>()
  let wanted: Id[] = []

  /** The address of a picture, or nothing until it has been read: all that are asked for at once are read at once. */
  function url(id: Id | undefined): string | undefined {
    if (id === undefined) return undefined
    const known = urls.get(id)
    if (known === undefined && asked.get(id) !== library.turns) {
      asked.set(id, library.turns)
      if (wanted.push(id) === 1) queueMicrotask(read)
    }
    return known
  }

  function read() {
    const ids = wanted
    wanted = []
    void library.files(ids).then((files) => {
      for (const [id, file] of files) if (asked.has(id) && !urls.has(id)) urls.set(id, addressOf(file))
    })
  }

  /** The address of a picture once it has been read; undefined where it is gone. */
  async function found(id: Id): Promise<string | undefined> {
    const known = urls.get(id)
    if (known !== undefined) return known
    const file = await library.file(id)
    if (!file) return undefined
    const address = addressOf(file)
    urls.set(id, address)
    return address
  }

  /** Forgets all addresses, for another world. */
  function forget(): void {
    for (const address of urls.values()) URL.revokeObjectURL(address)
    urls.clear()
    asked.clear()
  }

  return { url, found, forget }
})

function addressOf({ type, bytes }: { type: string; bytes: Uint8Array }): string {
  return URL.createObjectURL(new Blob([new Uint8Array(bytes)], { type }))
}
