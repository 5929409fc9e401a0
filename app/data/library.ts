import type { Command, Outcome } from '@core/commands/change'
import type { Id, JournalLine, Records, Step } from '@core/records'
import { ok, type Result } from '@core/result'
import { LateStore } from './late-store'
import { linesOf } from './journal'
import { Memory } from './memory'
import { isWithoutStore, makeStore } from './new-store'
import { NotFetched, problemOf } from './problems'
import { Gone } from './revision'
import { Tabs, type Message } from './tabs'
import { upgraded } from './upgraded'
import type { Watcher } from './watcher'
import type { Store } from './database'
import type { Writing } from './writing'

export type { Watcher } from './watcher'

/**
 * The records of one world in memory, and the one write path to its store (`Writing`), which is fetched a moment
 * after the records are there: nothing needs it before the first thing is done.
 */
export class Library {
  private readonly late: LateStore
  private readonly memory: Memory
  private readonly tabs: Tabs
  private writing: Writing | undefined
  private fetching: Promise<Result<Writing>> | undefined

  constructor(
    name: string,
    private readonly watcher: Watcher,
  ) {
    this.late = new LateStore(name, watcher)
    this.memory = new Memory(this.late, watcher)
    this.tabs = new Tabs(name, (message) => {
      void this.heard(message)
    })
  }

  /** All that is known, as of now. */
  get records(): Records {
    return this.memory.records
  }

  /**
   * Loads what screens need at once: everything but the texts and steps of ended and unstarted episodes. A store that
   * is not there yet is made, one of an older program brought up to date.
   */
  async open(): Promise<Result<Records>> {
    try {
      if (await this.memory.loadIfThere()) return ok(this.records)
      const { name } = this.late
      if (await isWithoutStore(name)) await makeStore(name)
      else {
        const migrated = await upgraded(await this.late.get())
        if (!migrated.ok) return migrated
      }
      await this.memory.load()
      return ok(this.records)
    } catch (error) {
      return { ok: false, problem: problemOf(error) }
    }
  }

  /** The store itself, for what takes the whole in hand. Throws where it cannot be had; see `LateStore`. */
  store(): Promise<Store> {
    return this.late.get()
  }

  /** What the store said about itself when it was last read. */
  get remarks(): Memory['remarks'] {
    return this.memory.remarks
  }

  close(): void {
    this.tabs.close()
    this.late.close()
  }

  /**
   * Whether an episode's steps and script are among the records, so that nothing there means that there is
   * nothing.
   */
  isLoaded(id: Id): boolean {
    return this.memory.isLoaded(id)
  }

  /** Brings an episode's steps and script into the records where they aren't yet. */
  async ensure(ids: readonly Id[]): Promise<void> {
    const missing = ids.filter((id) => !this.memory.isLoaded(id))
    if (missing.length === 0) return
    // What is on its way into the store is in it before it is read.
    await this.settled()
    await this.memory.ensure(missing)
  }

  /** The steps of some episodes, read without bringing them into the records: what past work taught. */
  async stepsOf(ids: readonly Id[]): Promise<Step[]> {
    const store = await this.store()
    return store
      .rows('steps')
      .where('episode')
      .anyOf([...ids])
      .toArray()
  }

  /** Fetches the write path, once. Asked again after it could not be had, it tries again. */
  fetchWriting(): Promise<Result<Writing>> {
    this.fetching ??= this.fetched().catch((error: unknown) => {
      this.fetching = undefined
      return { ok: false, problem: problemOf(error) }
    })
    return this.fetching
  }

  private async fetched(): Promise<Result<Writing>> {
    const [{ Writing }, store] = await Promise.all([
      import('./writing').catch(() => {
        throw new NotFetched()
      }),
      this.store(),
    ])
    this.writing = new Writing(store, this.memory, this.tabs, this.watcher)
    return ok(this.writing)
  }

  /**
   * Runs a command: the change is in the records when this returns, but for the first one where it comes before the
   * write path, and in the store when the promise is kept.
   */
  perform<Wish extends object>(command: Command<Wish>, wish: Wish): Promise<Result<Outcome>> {
    const ids = 'episode' in wish && typeof wish.episode === 'string' ? [wish.episode] : []
    const { writing } = this
    if (!writing) return this.afterFetching((fetched) => this.begun(fetched, ids, command, wish))
    return this.begun(writing, ids, command, wish)
  }

  private begun<Wish>(writing: Writing, ids: Id[], command: Command<Wish>, wish: Wish) {
    if (ids.every((id) => this.memory.isLoaded(id))) return writing.perform(command, wish)
    return this.ensure(ids).then(() => writing.perform(command, wish))
  }

  /** What is done before the write path is there waits for it; until then something waits to be stored. */
  private async afterFetching<T>(work: (writing: Writing) => Promise<Result<T>>): Promise<Result<T>> {
    this.watcher.writing?.(true)
    try {
      const writing = this.writing ? ok(this.writing) : await this.fetchWriting()
      return writing.ok ? await work(writing.value) : writing
    } finally {
      if (this.writing?.isIdle ?? true) this.watcher.writing?.(false)
    }
  }

  /** Kept when everything shown is also stored. */
  async settled(): Promise<void> {
    await this.fetching
    await this.writing?.settled()
  }

  /**
   * Looks whether the store is still ours and whether something was missed: after sleep, or when the tab is
   * come back to.
   */
  async check(): Promise<void> {
    try {
      await this.settled()
      await this.memory.catchUp()
    } catch (error) {
      if (error instanceof Gone) this.watcher.trouble(problemOf(error))
    }
  }

  /** Takes back the last thing that was done, or does again what was taken back last; says which. */
  step(way: 'undo' | 'redo'): Promise<Result<string>> {
    return this.afterFetching((writing) => writing.past.step(way))
  }

  /** Takes back what some lines of the history did; see `History.takeBack`. */
  takeBack(lines: readonly number[]): Promise<Result<string>> {
    return this.afterFetching((writing) => writing.past.takeBack(lines))
  }

  /** The lines of an episode's history, newest first. */
  async history(episode: Id): Promise<JournalLine[]> {
    const store = await this.store()
    return linesOf(store.journal, episode)
  }

  /** A file's bytes; of one that is on its way into the store when it has arrived. */
  async file(id: Id): Promise<{ type: string; bytes: Uint8Array } | undefined> {
    const { files } = await this.store()
    const kept = await files.get(id)
    if (kept) return kept
    await this.settled()
    return files.get(id)
  }

  /** Files by their ids, read at once; those that are not there, also after what is on its way has arrived, are left out. */
  async files(ids: readonly Id[]): Promise<Map<Id, { type: string; bytes: Uint8Array }>> {
    const store = await this.store()
    const found = new Map<Id, { type: string; bytes: Uint8Array }>()
    const read = async (wanted: Id[]) => {
      for (const file of await store.files.bulkGet(wanted)) if (file) found.set(file.id, file)
    }
    await read([...ids])
    const missing = ids.filter((id) => !found.has(id))
    if (missing.length > 0) {
      await this.settled()
      await read(missing)
    }
    return found
  }

  /** Tells every tab, this one too, to load anew: after a restore, an erasure or a demo laid anew. */
  async reloaded(): Promise<void> {
    this.tabs.tellReload()
    await this.memory.load()
  }

  private async heard(message: Message): Promise<void> {
    try {
      await this.settled()
      if (message.kind === 'reload') await this.memory.load()
      else if (message.rev === this.memory.seen + 1) {
        this.memory.seen = message.rev
        await this.memory.refresh(message.changes)
      } else await this.memory.catchUp()
    } catch (error) {
      if (error instanceof Gone) this.watcher.trouble(problemOf(error))
    }
  }
}
