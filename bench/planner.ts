import 'temporal-polyfill/global'
import { isBetter, Planner } from '@core/plan/planner'
import { bestByTrying } from '@core/plan/reference'
import { smallCase } from '@core/plan/small-cases'

/**
 * The planner against every assignment tried one by one, on 1,500 random cases: how often it misses more
 * releases, or breaks a rule.
 */
const cases = 1500
let [more, worse, broken, tries] = [0, 0, 0, 0]
let [spent, tried] = [0, 0]
for (let n = 0; n < cases; n++) {
  const of = smallCase(n)
  let at = performance.now()
  const best = bestByTrying(of)
  tried += performance.now() - at
  at = performance.now()
  const planner = new Planner(of, n + 1)
  while (planner.tried < 3000 && of.tasks.length > 1 && isBetter(best, planner.plan.score))
    planner.improve(50)
  spent += performance.now() - at
  tries += planner.tried
  const { score } = planner.plan
  if (score.missed > best.missed) more++
  else if (isBetter(best, score)) worse++
  if (planner.broken.length > 0) broken++
}
console.log(
  `planner, ${cases} small cases: ${more} miss more releases than the best there is, ${worse} are worse in anything else, ${broken} break a pin; ${Math.round(tries / cases)} orders a case, ${(spent / tried).toFixed(2)} × the time of trying all`,
)
