import { useLocalStorage } from '@vueuse/core'
import type { Ref } from 'vue'

/** What a kept text says: JSON, or, as older versions kept some choices, the text itself. */
function parsed(text: string): unknown {
  try {
    return JSON.parse(text)
  } catch {
    return text
  }
}

/**
 * A choice that this browser remembers. `read` makes sense of what was kept, or gives back undefined, and the
 * fallback holds. Each tab goes its own way: what another chooses is met at the next start. Where the browser keeps
 * nothing it lasts as long as the page.
 */
export function remembered<T>(key: string, fallback: T, read: (kept: unknown) => T | undefined): Ref<T> {
  return useLocalStorage<T>(key, fallback, {
    shallow: true,
    writeDefaults: false,
    listenToStorageChanges: false,
    serializer: { read: (text) => read(parsed(text)) ?? fallback, write: (value) => JSON.stringify(value) },
    onError: () => undefined,
  })
}
