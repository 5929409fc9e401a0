import { checked, type Command, type Outcome } from '@core/commands/change'
import { withFollowOns } from '@core/commands/follow'
import type { Result } from '@core/result'
import { newId, now } from './clock'
import type { Store } from './database'
import { History } from './history'
import type { Memory } from './memory'
import { WriteQueue } from './queue'
import type { Tabs } from './tabs'
import type { Watcher } from './watcher'

/**
 * The one write path to the store of a library. A command is run on the records, shown at once, and written in one
 * transaction with its line in the journal; where another tab was first, it is run again on what that tab left.
 * Nothing else writes records.
 */
export class Writing {
  readonly past: History
  private readonly queue: WriteQueue

  constructor(
    store: Store,
    private readonly memory: Memory,
    tabs: Tabs,
    watcher: Watcher,
  ) {
    this.queue = new WriteQueue(store, memory, tabs, watcher)
    this.past = new History(store, memory, this.queue, tabs, watcher)
  }

  /** Runs a command: the change is in the records when this returns, and in the store when the promise is kept. */
  perform<Wish>(command: Command<Wish>, wish: Wish): Promise<Result<Outcome>> {
    const context = { now: now(), id: newId }
    const run = (): Result<Outcome> => {
      const { records } = this.memory
      const done = command(records, wish, context)
      return done.ok ? checked(withFollowOns(records, done.value, context)) : done
    }
    const result = run()
    if (!result.ok) return Promise.resolve(result)
    this.memory.showMade(result.value.changes)
    return this.queue.add(result.value, run)
  }

  /** Whether nothing waits to be stored. */
  get isIdle(): boolean {
    return this.queue.isIdle
  }

  /** Kept when everything shown is also stored. */
  async settled(): Promise<void> {
    await this.queue.settled()
  }
}
