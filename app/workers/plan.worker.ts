import 'temporal-polyfill/global'
import { expose } from 'comlink'
import { type Outlook } from '@core/plan/outlook'
import { forecast, type ForecastFor } from '@core/plan/forecast'
import { Planner, type Plan, type PlanFor } from '@core/plan/planner'

/** Plans and forecasts away from the interface. A later question ends an earlier one of its kind. */
class PlanWork {
  private planning = 0

  /** Forecasts in one go: it answers within a second or two. */
  forecast(of: ForecastFor): Outlook[] {
    return forecast(of)
  }

  /** Plans for at most `ms`, telling the best so far; `stop` ends it early with that. */
  async plan(of: PlanFor, ms: number, tell: (plan: Plan, share: number) => void): Promise<Plan> {
    const turn = ++this.planning
    const planner = new Planner(of)
    tell(planner.plan, 0)
    const start = performance.now()
    let told = start
    for (let now = start; now - start < ms && turn === this.planning; now = performance.now()) {
      const better = planner.improve(40)
      if (better || now - told > 150) {
        told = now
        tell(planner.plan, (now - start) / ms)
      }
      // A breath, in which a stop is heard.
      await new Promise((done) => {
        setTimeout(done, 0)
      })
    }
    return planner.plan
  }

  stop(): void {
    this.planning++
  }
}

export type { PlanWork }
expose(new PlanWork())
