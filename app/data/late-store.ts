import type { Store } from './database'
import { NotFetched } from './problems'
import type { Watcher } from './watcher'

/**
 * The store of a world, fetched and opened when it is first asked for: what is shown at the start is read without it
 * (`snapshot.ts`), so that its code waits until something is to be written or looked up.
 */
export class LateStore {
  isClosed = false
  private opening: Promise<Store> | undefined

  constructor(
    readonly name: string,
    private readonly watcher: Watcher,
  ) {}

  /**
   * The store, open; the first one to ask waits until it is. Throws `NotFetched` where nobody answers, and what the
   * browser throws where it does not open; asked again later, it is tried again.
   */
  get(): Promise<Store> {
    this.opening ??= this.opened().catch((error: unknown) => {
      this.opening = undefined
      throw error
    })
    return this.opening
  }

  close(): void {
    this.isClosed = true
    void this.opening?.then(
      (store) => {
        store.close()
      },
      () => undefined,
    )
  }

  private async opened(): Promise<Store> {
    const { Store } = await import('./database').catch(() => {
      throw new NotFetched()
    })
    const store = new Store(this.name)
    // A newer page wants to bring the store up to date: this one lets it, and says so.
    store.on('versionchange', () => {
      store.close()
      this.watcher.trouble({
        sentence:
          'Lamp Reel was opened anew in another tab and needs the store. Reload this page to go on here.',
        path: 'storage',
      })
    })
    store.on('blocked', () => {
      this.watcher.trouble({
        sentence:
          'Another tab has an older Lamp Reel open, so the store cannot be brought up to date. Close that tab; this one then opens by itself.',
        path: 'blocked',
      })
    })
    await store.open()
    return store
  }
}
