import type { Outlet } from '../records'

/**
 * Characters that tags take at an outlet: each tag, two quotes round one with a space, one separator
 * between two.
 */
export function tagLength(tags: readonly string[]): number {
  return (
    tags.reduce((sum, tag) => sum + [...tag].length + (/\s/.test(tag) ? 2 : 0), 0) +
    Math.max(0, tags.length - 1)
  )
}

/**
 * Tags in their order of priority, as many from the front as fit under the limit; what is left over comes
 * apart.
 */
export function fitTags(
  tags: readonly string[],
  limit: Outlet['tagLimit'],
): { kept: string[]; left: string[] } {
  let count = tags.length
  while (count > 0 && tagLength(tags.slice(0, count)) > limit) count--
  return { kept: tags.slice(0, count), left: tags.slice(count) }
}

/**
 * Typed or pasted text as tags: parted by commas, semicolons or lines; hashes and doubles dropped, order
 * kept.
 */
export function readTags(text: string): string[] {
  const seen = new Set<string>()
  return text
    .split(/[,;\n]/)
    .map((t) =>
      t
        .trim()
        .replace(/^#+/, '')
        .replace(/^"(.*)"$/, '$1')
        .replace(/\s+/g, ' ')
        .trim(),
    )
    .filter((t) => {
      const key = t.toLowerCase()
      if (t === '' || seen.has(key)) return false
      seen.add(key)
      return true
    })
}
