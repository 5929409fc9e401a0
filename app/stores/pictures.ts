import { defineStore } from 'pinia'
import { reactive } from 'vue'
import type { Id } from '@core/records'
import { useLibrary } from './library'

/** Pictures as addresses that an `img` can show, read from the store when first asked for. */
export const usePictures = defineStore('pictures', () => {
  const library = useLibrary()
  const urls = reactive(new Map<Id, string>())
  const asked = new Set<Id>()

  /** The address of a picture, or nothing until it has been read. */
  function url(id: Id | undefined): string | undefined {
    if (id === undefined) return undefined
    const known = urls.get(id)
    if (known === undefined && !asked.has(id)) {
      asked.add(id)
      void library.file(id).then((file) => {
        if (file)
          urls.set(id, URL.createObjectURL(new Blob([new Uint8Array(file.bytes)], { type: file.type })))
        else asked.delete(id)
      })
    }
    return known
  }

  /** The address of a picture once it has been read; undefined where it is gone. */
  async function found(id: Id): Promise<string | undefined> {
    const known = urls.get(id)
    if (known !== undefined) return known
    const file = await library.file(id)
    if (!file) return undefined
    const address = URL.createObjectURL(new Blob([new Uint8Array(file.bytes)], { type: file.type }))
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
