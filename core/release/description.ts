import type { Episode, Recipe } from '../records'
import { chaptersText } from '../formats/chapters-text'
import { heldBy } from '../named'
import type { Chapter } from '../script/chapters'

/** What a pattern may hold in braces, and what stands there. */
export const patternWords = {
  title: 'the chosen title',
  description: 'the words of the brief',
  chapters: 'the chapters, a line each',
  links: 'the links, a line each',
  credits: 'sources with their licences, a line each',
  guests: 'who took part',
  sponsor: 'the sponsor’s line',
  call: 'the recipe’s closing lines',
} as const

/** The words a pattern uses in braces that mean nothing, in their order. */
export function unknownWords(pattern: string): string[] {
  return [...pattern.matchAll(/\{([^{}\n]*)\}/g)]
    .map((m) => m[1] ?? '')
    .filter((w) => !Object.hasOwn(patternWords, w))
}

/** The links that stand in the description: those of which nothing else is said. */
export function describedLinks(episode: Pick<Episode, 'links'>): Episode['links'] {
  return episode.links.filter((l) => (l.goes ?? 'description') === 'description')
}

/** The links that go public at all: in the description, or in the outlet's own place for them. */
export function publicLinks(episode: Pick<Episode, 'links'>): Episode['links'] {
  return episode.links.filter((l) => l.goes !== 'nowhere')
}

/**
 * The description made from a pattern: words in braces filled in, lines whose words are all empty dropped,
 * and never more than one blank line in a row. Unknown words stay as they are, so that the fault can be seen. Credits
 * that are owed stand at the end where the pattern has no place for them.
 */
export function descriptionOf(
  recipe: Pick<Recipe, 'pattern' | 'call'>,
  episode: Episode,
  title: string,
  chapters: readonly Chapter[],
  credits: readonly string[] = [],
): string {
  const values: Record<string, string> = {
    title,
    description: episode.brief.description.trim(),
    chapters: chaptersText(chapters).trimEnd(),
    links: describedLinks(episode)
      .map((l) => [l.label.trim(), l.url.trim()].filter(Boolean).join(': '))
      .join('\n'),
    credits: credits.join('\n'),
    guests: episode.guests.join(', '),
    sponsor: episode.sponsor ? `This episode is supported by ${episode.sponsor}.` : '',
    call: recipe.call.trim(),
  }
  const isOwed = credits.length > 0 && !recipe.pattern.includes('{credits}')
  const pattern = isOwed ? `${recipe.pattern}\n\n{credits}` : recipe.pattern
  const lines = pattern.split('\n').flatMap((line) => {
    if (!line.includes('{')) return [line]
    const said: string[] = []
    const filled = line.replace(/\{(\w+)\}/g, (whole, word: string) => {
      const value = heldBy(values, word) ?? whole
      said.push(value)
      return value
    })
    return said.length > 0 && said.every((v) => v === '') ? [] : [filled]
  })
  return lines
    .join('\n')
    .replace(/\n{3,}/g, '\n\n')
    .trim()
}
