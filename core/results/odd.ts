import type { Episode, Figure } from '../records'
import { countedAt, wholeFigures } from './at-age'

const said = (n: number) => Math.round(n).toLocaleString('en')

/**
 * What is odd about a figure before it is kept, in questions; none where all of it can be. It is never altered: who knows
 * better takes it as it is. `days`: how long the episode is out.
 */
export function oddities(figure: Figure, of: Pick<Episode, 'figures'>, days: number): string[] {
  const { age, views, impressions, likes, comments, pressed } = figure
  const same = wholeFigures(of).filter((f) => f.outlet === figure.outlet || figure.outlet === undefined)
  const before = same.findLast((f) => f.age < age && f.views !== undefined)
  const after = same.find((f) => f.age > age && f.views !== undefined)
  const usual = countedAt(of, age)
  const found: string[] = []
  if (age > Math.ceil(days) + 1) found.push(`It is out for ${Math.floor(days)} d, and this says ${age} d.`)
  if (views !== undefined) {
    if (before?.views !== undefined && views < before.views)
      found.push(`It had ${said(before.views)} after ${before.age} d already, and now ${said(views)}.`)
    if (after?.views !== undefined && views > after.views)
      found.push(`After ${after.age} d it had ${said(after.views)}, fewer than these ${said(views)}.`)
    if (usual !== undefined && usual >= 50 && views > usual * 20)
      found.push(`${said(views)} is more than twenty times what was kept there before.`)
    if (likes !== undefined && likes > views) found.push('More likes than views.')
    if (comments !== undefined && comments > views) found.push('More comments than views.')
  }
  if (pressed !== undefined && pressed > 0.5 && (impressions ?? 1000) >= 100)
    found.push(`${Math.round(pressed * 100)} % pressed is rare.`)
  return found
}
