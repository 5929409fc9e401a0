import { merged, type Outcome } from '@core/commands/change'
import { upheld } from '@core/commands/uphold'
import { ok, refused, type Result } from '@core/result'
import { Missed, Overtaken, commit } from './commit'
import type { Store } from './database'
import type { Memory } from './memory'
import { problemOf } from './problems'
import { Gone } from './revision'
import type { Tabs } from './tabs'
import type { Watcher } from './watcher'

interface Waiting {
  run: () => Result<Outcome>
  done: Outcome
  settle: (result: Result<Outcome>) => void
}

/**
 * What is shown and waits to be stored. All that waits is written in one transaction; where another tab was first,
 * each is run again on what that tab left.
 */
export class WriteQueue {
  private readonly queue: Waiting[] = []
  /** What is being written at the moment. */
  private batch: readonly Waiting[] = []
  private working: Promise<void> | undefined

  constructor(
    private readonly store: Store,
    private readonly memory: Memory,
    private readonly tabs: Tabs,
    private readonly watcher: Watcher,
  ) {
    memory.isWaiting = ({ table, id }) =>
      [...this.batch, ...this.queue].some((w) => w.done.changes.some((c) => c.table === table && c.id === id))
  }

  /** Takes what a command did, and how to run it again; kept when it is stored. */
  add(value: Outcome, run: () => Result<Outcome>): Promise<Result<Outcome>> {
    return new Promise((settle) => {
      const last = this.queue.at(-1)
      if (last && value.merge !== undefined && last.done.merge === value.merge) {
        last.done = { ...value, changes: merged(last.done.changes, value.changes) }
        last.run = run
        const earlier = last.settle
        last.settle = (r) => {
          earlier(r)
          settle(r)
        }
      } else this.queue.push({ run, done: value, settle })
      this.working ??= this.work()
      this.watcher.writing?.(true)
    })
  }

  /** Whether nothing waits to be stored. */
  get isIdle(): boolean {
    return this.working === undefined
  }

  /** Kept when everything that was added is stored, or has failed. */
  async settled(): Promise<void> {
    await this.working
  }

  private async work(): Promise<void> {
    while (this.queue.length > 0) {
      // All that waits is written at once: the fewer turns, the less can be lost when the tab is killed.
      const batch = this.queue.splice(0)
      this.batch = batch
      try {
        await this.written(batch)
      } catch (error) {
        if (error instanceof Overtaken || error instanceof Missed) await this.anew(batch)
        else await this.failed(batch, error)
      }
      this.batch = []
    }
    this.working = undefined
    this.watcher.writing?.(false)
  }

  private async written(batch: readonly Waiting[]): Promise<void> {
    const { rev, lines } = await commit(
      this.store,
      batch.map((w) => w.done),
      this.memory.seen,
      this.tabs.id,
    )
    this.memory.seen = rev
    this.tabs.tell(
      batch.flatMap((w) => w.done.changes),
      rev,
    )
    batch.forEach((w, i) => {
      w.settle(ok({ ...w.done, line: lines[i] }))
    })
  }

  /** The store fails: what was shown is taken back, and all that waits with it. */
  private async failed(batch: readonly Waiting[], error: unknown): Promise<void> {
    const problem = problemOf(error)
    const all = [...batch, ...this.queue.splice(0)]
    if (!(error instanceof Gone))
      await this.memory.refresh(
        all.flatMap((w) => w.done.changes),
        true,
      )
    for (const w of all) w.settle({ ok: false, problem })
    this.watcher.trouble(problem)
  }

  /** Does again, one after another, what was overtaken by another tab, upon what that one left. */
  private async anew(batch: readonly Waiting[]): Promise<void> {
    const all = [...batch, ...this.queue.splice(0)]
    this.batch = all
    const results = await this.memory.inOne(async () => {
      await this.memory.refresh(
        all.flatMap((w) => w.done.changes),
        true,
      )
      const done: Result<Outcome>[] = []
      for (const w of all) done.push(await this.once(w))
      return done
    })
    results.forEach((result, i) => all[i]?.settle(result))
  }

  private async once(waiting: Waiting): Promise<Result<Outcome>> {
    for (let attempt = 0; ; attempt++) {
      try {
        await this.memory.catchUp(true)
        const again = await this.upon(waiting)
        if (!again.ok) return again
        this.memory.show(again.value.changes)
        waiting.done = again.value
        const { rev, lines } = await commit(this.store, [again.value], this.memory.seen, this.tabs.id)
        this.memory.seen = rev
        this.tabs.tell(again.value.changes, rev)
        return ok({ ...again.value, line: lines[0] })
      } catch (error) {
        await this.memory.refresh(waiting.done.changes, true)
        if (error instanceof Overtaken && attempt < 6)
          this.memory.show(
            error.theirs.map((after) => ({ table: 'episodes', id: after.id, before: undefined, after })),
          )
        else if (!(error instanceof Missed) || attempt >= 6) {
          const problem = problemOf(error)
          if (problem.path === 'storage') this.watcher.trouble(problem)
          return { ok: false, problem }
        }
      }
    }
  }

  /**
   * What was done, upon what stands by now: what was typed goes field by field into the stored record,
   * everything else is run again. Refused where it would write over a record that this page had never read.
   */
  private async upon({ done, run }: Waiting): Promise<Result<Outcome>> {
    if (done.merge !== undefined) {
      const stored = await Promise.all(done.changes.map((c) => this.store.rows(c.table).get(c.id)))
      const theirs = new Map(done.changes.map((c, i) => [c, stored[i]]))
      return upheld(done, (c) => theirs.get(c))
    }
    const again = run()
    if (!again.ok) return again
    const unread = new Set(
      done.changes.filter((c) => c.before === undefined).map((c) => `${c.table}/${c.id}`),
    )
    const over = again.value.changes.some((c) => c.before !== undefined && unread.has(`${c.table}/${c.id}`))
    return over
      ? refused(
          'There is more here than this page had read, so nothing was written over it. Look at it, then do it again.',
          'records',
        )
      : again
  }
}
