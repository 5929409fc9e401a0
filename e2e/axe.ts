import { readFileSync } from 'node:fs'
import { createRequire } from 'node:module'
import type { Page } from '@playwright/test'
import type axe from 'axe-core'

const source = [
  createRequire(import.meta.url).resolve('axe-core/axe.min.js'),
  new URL('axe-colours.mjs', import.meta.url),
]
  .map((file) => readFileSync(file, 'utf8'))
  .join('\n')
declare const globalThis: { axe?: typeof axe }

/**
 * What axe finds on the page as it stands, or within a part of it (a selector): rule, and the first nodes of each; with
 * all its rules, those of contrast alone, or all but those. There are no frames to look into, so it is brought into the
 * page once, and asked for what is wrong alone.
 */
export async function findings(
  page: Page,
  { within = 'html', contrast }: { within?: string; contrast?: 'alone' | 'not' } = {},
): Promise<string[]> {
  if (!(await page.evaluate(() => globalThis.axe !== undefined))) await page.evaluate(source)
  return await page.evaluate(
    async ([part, colours]) => {
      const found = await globalThis.axe?.run(part, {
        resultTypes: ['violations'],
        elementRef: false,
        ...(colours === 'alone' ? { runOnly: { type: 'rule', values: ['color-contrast'] } } : {}),
        ...(colours === 'not' ? { rules: { 'color-contrast': { enabled: false } } } : {}),
      })
      if (!found) throw new Error('axe is not there')
      return found.violations.map(
        (v) =>
          `${v.id}: ${v.nodes
            .map((n) => n.target.join(' '))
            .slice(0, 3)
            .join(' | ')}`,
      )
    },
    [within, contrast] as const,
  )
}
