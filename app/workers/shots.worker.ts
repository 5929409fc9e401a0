import { expose } from 'comlink'
import { untangled } from '@core/plan/order-shots'
import { ShotSearch } from '@core/plan/shots-search'
import type { Shot, ShotDay } from '@core/plan/shots'
import type { Id } from '@core/records'

/** Seeks the order of many shots away from the interface. A later question ends an earlier one. */
class ShotWork {
  private turn = 0

  /** Seeks for at most `ms`, telling the best so far; `stop` ends it early with that. */
  async order(
    shots: readonly Shot[],
    day: ShotDay,
    ms: number,
    tell: (order: Id[], share: number) => void,
  ): Promise<Id[]> {
    const turn = ++this.turn
    const search = new ShotSearch(untangled(shots), day)
    const ids = () => search.best.map((s) => s.id)
    const start = performance.now()
    for (let now = start; now - start < ms && turn === this.turn; now = performance.now()) {
      if (search.improve(60)) tell(ids(), (now - start) / ms)
      // A breath, in which a stop is heard.
      await new Promise((done) => {
        setTimeout(done, 0)
      })
    }
    return ids()
  }

  stop(): void {
    this.turn++
  }
}

export type { ShotWork }
expose(new ShotWork())
