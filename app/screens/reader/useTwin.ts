import { onBeforeUnmount } from 'vue'
import { z } from 'zod/mini'
import type { Id } from '@core/records'

/** What two windows of one reader share. */
const Shared = z.object({ at: z.number(), running: z.boolean() })
export type Shared = z.infer<typeof Shared>

/** Joins this window to others that read the same episode: what one does, the others follow. Gives what tells them. */
export function useTwin(episode: Id, heard: (said: Shared) => void): (said: Shared) => void {
  const channel = new BroadcastChannel(`lamp-reel.reader.${episode}`)
  channel.addEventListener('message', (event: MessageEvent<unknown>) => {
    const said = Shared.safeParse(event.data)
    if (said.success) heard(said.data)
  })
  onBeforeUnmount(() => {
    channel.close()
  })
  return (said) => {
    channel.postMessage(said)
  }
}
