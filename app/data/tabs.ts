import type { Change, Id } from '@core/records'
import { newId } from './clock'

/** What tabs tell each other. */
export type Message = { kind: 'changed'; changes: Change[]; rev: number } | { kind: 'reload' }

/** This tab among those that have the same world open. */
export class Tabs {
  readonly id: Id = newId()
  private readonly channel: BroadcastChannel | undefined

  /** `heard` is called with what other tabs tell. */
  constructor(name: string, heard: (message: Message) => void) {
    this.channel = typeof BroadcastChannel === 'undefined' ? undefined : new BroadcastChannel(name)
    this.channel?.addEventListener('message', (event: MessageEvent<Message>) => {
      heard(event.data)
    })
  }

  /** Tells what was written, and how often the store has been written with it. */
  tell(changes: Change[], rev: number): void {
    this.channel?.postMessage({ kind: 'changed', changes, rev } satisfies Message)
  }

  /** Tells the others to load anew. */
  tellReload(): void {
    this.channel?.postMessage({ kind: 'reload' } satisfies Message)
  }

  close(): void {
    this.channel?.close()
  }
}
