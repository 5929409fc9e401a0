import type { Outlet, Part } from '../records'
import { takesPart } from './at-outlet'

/** The parts that the show's outlets require, each once, in the trade's order. */
export function requiredParts(outlets: readonly Outlet[]): Part[] {
  const order: Part[] = [
    'title',
    'description',
    'chapters',
    'tags',
    'thumbnail',
    'length',
    'links',
    'brief',
    'script',
    'shots',
    'picture',
    'keyword',
  ]
  return order.filter((p) => outlets.some((o) => o.required.includes(p)))
}

const firstOfPair = /[\ud800-\udbff]/

/** Characters as outlets count them: code points, so that a sign of two units is one. */
export function charactersIn(text: string): number {
  if (!firstOfPair.test(text)) return text.length
  let count = text.length
  for (let i = 1; i < text.length; i++) if (isPair(text.charCodeAt(i - 1), text.charCodeAt(i))) count--
  return count
}
const isPair = (first: number, second: number) => (first & 0xfc00) === 0xd800 && (second & 0xfc00) === 0xdc00

/** Whether a text has more characters than a limit; short ones are not counted. */
export function isLonger(text: string, limit: number): boolean {
  return text.length > limit && charactersIn(text) > limit
}

/** Where a limit is meant, once there is more than one outlet. */
export function whereIf(outlets: readonly Outlet[], { name }: Outlet): string {
  return outlets.length > 1 ? ` at ${name}` : ''
}

/** Limits of all outlets that have a place for the part, taken together: the strictest of each. */
export function strictest(outlets: readonly Outlet[]): { title: number; description: number; tags: number } {
  const least = (part: Part, of: (o: Outlet) => number, most: number) =>
    Math.min(...outlets.filter((o) => takesPart(o, part)).map(of), most)
  return {
    title: least('title', (o) => o.titleLimit, 500),
    description: least('description', (o) => o.descriptionLimit, 100_000),
    tags: least('tags', (o) => (o.tagForm === 'hashtags' ? 100_000 : o.tagLimit), 100_000),
  }
}
