import type { Episode, Recipe } from '../records'
import { chaptersText } from '../formats/chapters-text'
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

function isPatternWord(word: string): word is keyof typeof patternWords {
  return Object.hasOwn(patternWords, word)
}

/** Patterns taken apart: a show's episodes are all made by the same few. */
const takenApart = new Map<string, string[][]>()
const mostKept = 500

/** The lines of a pattern, each in pieces: what stands there and, at every second place, a word that stood in braces. */
function piecesOf(pattern: string): string[][] {
  let lines = takenApart.get(pattern)
  if (!lines) {
    lines = pattern.split('\n').map((line) => line.split(/\{(\w+)\}/))
    if (takenApart.size > mostKept) takenApart.clear()
    takenApart.set(pattern, lines)
  }
  return lines
}

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
  const said = (word: string): string | undefined => {
    if (!isPatternWord(word)) return undefined
    switch (word) {
      case 'title':
        return title
      case 'description':
        return episode.brief.description.trim()
      case 'chapters':
        return chaptersText(chapters).trimEnd()
      case 'links':
        return describedLinks(episode)
          .map((l) => [l.label.trim(), l.url.trim()].filter(Boolean).join(': '))
          .join('\n')
      case 'credits':
        return credits.join('\n')
      case 'guests':
        return episode.guests.join(', ')
      case 'sponsor':
        return episode.sponsor ? `This episode is supported by ${episode.sponsor}.` : ''
      case 'call':
        return recipe.call.trim()
    }
  }
  const isOwed = credits.length > 0 && !recipe.pattern.includes('{credits}')
  const lines = piecesOf(isOwed ? `${recipe.pattern}\n\n{credits}` : recipe.pattern).flatMap((pieces) => {
    if (pieces.length === 1) return pieces
    const words = pieces.map((piece, i) => (i % 2 === 0 ? piece : (said(piece) ?? `{${piece}}`)))
    return words.some((word, i) => i % 2 === 1 && word !== '') ? [words.join('')] : []
  })
  return lines
    .join('\n')
    .replace(/\n{3,}/g, '\n\n')
    .trim()
}
