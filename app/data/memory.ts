import { inverse, withChanges } from '@core/commands/change'
import type { Aside } from '@core/formats/backup'
import {
  byId,
  emptyRecords,
  recordsOf,
  type Change,
  type Id,
  type Records,
  type TableName,
} from '@core/records'
import type { Store } from './database'
import { changesSince } from './journal'
import { checkedRows, readStore, readerOf, setAside, settledRows } from './reading'
import type { LateStore } from './late-store'
import { Gone, holdsRecords, revisionOf } from './revision'
import type { Snapshot } from './snapshot'
import type { Watcher } from './watcher'

/**
 * The records of a store as this page knows them: what screens need at once, and the steps and scripts of episodes
 * that were asked for. It is brought up to what other tabs wrote.
 */
export class Memory {
  records: Records = emptyRecords()
  /** How often the store had been written, over all tabs, when this one last read it. */
  seen = 0
  /** What the store said about itself then. */
  remarks: Snapshot['remarks'] = new Map()
  private readonly loaded = new Set<Id>()
  /** The changes of a command that is being shown. */
  private making: readonly Change[] | undefined
  /** Whether what was done to a record here still waits to be stored: until then that is what is shown of it. */
  isWaiting: (of: { table: TableName; id: Id }) => boolean = () => false
  private silent = 0

  constructor(
    private readonly store: LateStore,
    private readonly watcher: Watcher,
  ) {}

  /** Reads the store anew. Throws `Gone` where there is none, or it is empty; what is there of another version is not gone. */
  async load(): Promise<void> {
    if (await this.loadIfThere()) return
    if (await holdsRecords(await this.store.get())) throw new Error('The store is of another version.')
    throw new Gone()
  }

  /** The same, and says whether there is a store of this program's version. */
  async loadIfThere(): Promise<boolean> {
    const read = await readStore(this.store.name)
    if (!read) return false
    const { rows, aside } = await settledRows(this.store, read)
    const asked = [...this.loaded]
    this.loaded.clear()
    for (const id of read.loaded) this.loaded.add(id)
    this.seen = read.rev
    this.remarks = read.remarks
    this.records = recordsOf(rows)
    // What screens asked for before is there again when they see the rest: they do not ask twice.
    await this.inOne(() => this.ensure(asked.filter((id) => this.records.episodes.has(id))))
    this.watcher.readAnew?.()
    this.watcher.aside?.(aside)
    if (read.later.length > 0) void this.lookLater(read.later)
    return true
  }

  /**
   * Looks at the rest of a large library's episodes, a few at a time and never so long that a letter that is typed
   * would wait for it; those that are damaged are set aside.
   */
  private async lookLater(ids: readonly Id[]): Promise<void> {
    const few = 20
    for (let i = 0; i < ids.length;) {
      await new Promise((done) => {
        setTimeout(done, 30)
      })
      if (this.store.isClosed) return
      const aside: Aside[] = []
      const until = performance.now() + 5
      do {
        const rows = ids.slice(i, i + few).flatMap((id) => this.records.episodes.get(id) ?? [])
        aside.push(...checkedRows('episodes', rows, readerOf('episodes')).aside)
        i += few
      } while (i < ids.length && performance.now() < until)
      if (aside.length > 0) {
        // All is read anew by that, and looked at from its beginning.
        await this.dropped(aside)
        return
      }
    }
  }

  /** Takes damaged records out of the records and the store. */
  private async dropped(aside: readonly Aside[]): Promise<void> {
    await setAside(await this.store.get(), aside)
    await this.load()
  }

  /**
   * Whether an episode's steps and script are among the records, so that nothing there means that there is
   * nothing.
   */
  isLoaded(id: Id): boolean {
    return this.loaded.has(id)
  }

  /**
   * Brings an episode's steps and script into the records where they aren't yet. What is on its way into the store
   * must be in it before.
   */
  async ensure(ids: readonly Id[]): Promise<void> {
    const missing = ids.filter((id) => !this.loaded.has(id))
    if (missing.length === 0) return
    const store = await this.store.get()
    const [rawSteps, rawScripts] = await store.transaction(
      'r',
      ['steps', 'scripts'],
      async (): Promise<[unknown[], unknown[]]> => [
        await store.rows('steps').where('episode').anyOf(missing).toArray(),
        (await store.rows('scripts').bulkGet(missing)).filter((s) => s !== undefined),
      ],
    )
    const steps = checkedRows('steps', rawSteps, readerOf('steps'))
    const scripts = checkedRows('scripts', rawScripts, readerOf('scripts'))
    for (const id of missing) this.loaded.add(id)
    this.records = {
      ...this.records,
      steps: new Map([...this.records.steps, ...byId(steps.rows)]),
      scripts: new Map([...this.records.scripts, ...byId(scripts.rows)]),
    }
    this.changed()
    const aside = [...steps.aside, ...scripts.aside]
    if (aside.length > 0) await this.dropped(aside)
  }

  /** Shows what a command of this page does, before it is stored. */
  showMade(changes: readonly Change[]): void {
    this.making = changes
    this.show(changes)
    this.making = undefined
  }

  /** Takes changes into the records. */
  show(changes: readonly Change[]): void {
    if (changes.length === 0) return
    // What is new has all its steps and its script among these changes; what was there before may not.
    for (const c of changes)
      if (c.table === 'episodes' && c.before === undefined && c.after && !this.records.episodes.has(c.id))
        this.fresh(c.id, changes)
    this.records = withChanges(this.records, changes)
    this.changed()
  }

  private changed(): void {
    if (this.silent === 0) this.watcher.changed()
  }

  /** Does something of which only the outcome is shown: on its way it stands without what was done here. */
  async inOne<T>(work: () => Promise<T>): Promise<T> {
    this.silent++
    try {
      return await work()
    } finally {
      this.silent--
      this.changed()
    }
  }

  /**
   * An episode that was made here, just now, is whole among the records; one that another tab made is read
   * when it is asked for.
   */
  private fresh(id: Id, changes: readonly Change[]): void {
    if (this.making === changes) this.loaded.add(id)
  }

  /**
   * Reads what other tabs wrote since this one last did: by the journal where it knows, else everything
   * anew. `over`: also over what was done here and waits.
   */
  async catchUp(over = false): Promise<void> {
    const store = await this.store.get()
    const rev = await revisionOf(store)
    if (rev === this.seen) return
    const changes = await changesSince(store.journal, this.seen, rev)
    if (!changes) {
      await this.load()
      return
    }
    await this.refresh(changes, over)
    this.seen = Math.max(this.seen, rev)
  }

  /** Reads the records that some changes touch anew from the store, each once; `over` as for `catchUp`. */
  async refresh(changes: readonly Change[], over = false): Promise<void> {
    try {
      const once = new Map(changes.map((c) => [`${c.table}/${c.id}`, c]))
      const store = await this.store.get()
      const read = await Promise.all([...once.values()].map((change) => stored(store, change)))
      this.show(read.filter((change) => over || !this.isWaiting(change)))
    } catch {
      this.show(inverse(changes))
    }
  }
}

async function stored<T extends TableName>(store: Store, change: Change<T>): Promise<Change<T>> {
  return { ...change, after: await store.rows(change.table).get(change.id) }
}
