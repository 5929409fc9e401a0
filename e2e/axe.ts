import { readFileSync } from 'node:fs'
import { createRequire } from 'node:module'
import type { Page } from '@playwright/test'
import type axe from 'axe-core'

const source = readFileSync(createRequire(import.meta.url).resolve('axe-core/axe.min.js'), 'utf8')
declare const globalThis: { axe?: typeof axe }

/**
 * What axe finds on the page as it stands: rule, and the first nodes of each; with all its rules, or some. There are no
 * frames to look into, so it is brought into the page once, and asked for what is wrong alone.
 */
export async function findings(page: Page, rules?: string[]): Promise<string[]> {
  if (!(await page.evaluate(() => globalThis.axe !== undefined))) await page.evaluate(source)
  return await page.evaluate(async (only) => {
    const found = await globalThis.axe?.run(document, {
      resultTypes: ['violations'],
      elementRef: false,
      ...(only ? { runOnly: { type: 'rule', values: only } } : {}),
    })
    if (!found) throw new Error('axe is not there')
    return found.violations.map(
      (v) =>
        `${v.id}: ${v.nodes
          .map((n) => n.target.join(' '))
          .slice(0, 3)
          .join(' | ')}`,
    )
  }, rules)
}
