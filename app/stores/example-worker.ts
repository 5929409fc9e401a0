import { forecast, type ForecastFor } from '@core/plan/forecast'
import { Planner, type PlanFor } from '@core/plan/planner'

/** As many draws, and tries for a better plan, tell in a test what many more tell in the program. */
const few = { draws: 150, tries: 60 }

/**
 * In the place of 'comlink' for stores that plan and forecast: the worker answers at once, in the page itself, with fewer
 * draws. Test support.
 */
export const wrap = () => ({
  forecast: (of: ForecastFor) => Promise.resolve(forecast({ ...of, draws: few.draws })),
  plan: (of: PlanFor) => {
    const planner = new Planner(of)
    planner.improve(few.tries)
    return Promise.resolve(planner.plan)
  },
  stop: () => Promise.resolve(),
})
export const proxy = <T>(of: T): T => of
Object.assign(globalThis, { Worker: EventTarget })
