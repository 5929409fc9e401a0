import type { Store } from './database'
import { NotFetched } from './problems'
import type { Watcher } from './watcher'

/**
 * The store of a world, fetched and opened when it is first asked for: what is shown at the start is read without it
 * (`snapshot.ts`), so that its code waits until something is to be written or looked up.
 */
export class LateStore {
  private opening: Promise<Store> | undefined
  private store: Store | undefined
  private isLeft = false

  constructor(
    readonly name: string,
    private readonly watcher: Watcher,
  ) {}

  /** Whether it was open and is no more: left for another world, or let go for a newer page. */
  get isClosed(): boolean {
    return this.isLeft || this.store?.isOpen() === false
  }

  /**
   * The store; the first one to ask waits until it is open. Throws `NotFetched` where nobody answers, and what the
   * browser throws where it does not open; asked again later, it is tried again. One that was left is not opened anew.
   */
  get(): Promise<Store> {
    if (this.isLeft) return Promise.reject(new Error('The store was left.'))
    this.opening ??= this.opened().catch((error: unknown) => {
      this.opening = undefined
      throw error
    })
    return this.opening
  }

  close(): void {
    this.isLeft = true
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
    this.store = store
    return store
  }
}
