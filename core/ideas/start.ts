import type { Day, Episode, Keyword, Recipe, Script, Show } from '../records'
import { sayDayLong } from '../rhythm/days'
import { plainWords, termsOf } from './words'

/** An earlier episode on the topic, with its script. */
export interface Earlier {
  episode: Episode
  script: Script
  number: string
}

/** One section of a drafted outline: what to say in it, and how an earlier episode began the same. */
export interface DraftSection {
  title: string
  points: string[]
  example: { number: string; text: string } | undefined
}

/** A draft for a start, made by rules; every piece can be taken by itself. */
export interface Start {
  outline: DraftSection[]
  titles: string[]
  posts: string[]
  hashtags: string[]
  /** Sections that most earlier episodes on this had and the outline lacks. */
  lacking: { title: string; had: number; of: number }[]
}

/** A start as parts for the notebook, in Markdown: its outline with points, titles, and texts for posts. */
export function startParts({ outline, titles, posts }: Start): { heading: string; text: string }[] {
  const listed = (rows: readonly string[]) => rows.map((r) => `- ${r.replace(/\s*\n\s*/g, ' ')}`).join('\n')
  const sections = outline.map((s) => [`**${s.title}**`, listed(s.points)].filter(Boolean).join('\n\n'))
  return [
    { heading: 'Outline to start from', text: sections.join('\n\n') },
    { heading: 'Titles to start from', text: listed(titles) },
    { heading: 'Post texts', text: listed(posts) },
  ]
}

export interface StartFor {
  episode: Episode
  show: Show
  recipe: Recipe
  keywords: readonly Keyword[]
  /** Earlier episodes on the same topics, the likest first. */
  earlier: readonly Earlier[]
  /** When it goes out, where that is known. */
  release: Day | undefined
  titleLimit: number
}

const plain = (t: string) => plainWords(t).join(' ')
const upper = (t: string) => t.charAt(0).toUpperCase() + t.slice(1)
const sentences = (t: string) =>
  t
    .split(/(?<=[.!?])\s+|\n+/)
    .map((s) => s.trim())
    .filter(Boolean)

/** The subject of a title: what stands before a colon or a comma, without the article in front. */
export function subjectOf(title: string): string {
  const first = (title.split(/[:,;–—?!.(]/)[0] ?? title).trim()
  const bare = first.replace(/^(the|a|an)\s+/i, '')
  return bare === '' ? title.trim() : bare.charAt(0).toLowerCase() + bare.slice(1)
}

/**
 * A start for an idea with a title: the recipe's outline filled with the premise, the points and the
 * keywords; five shapes of title; two texts for posts; three hashtags. The same idea gives the same draft:
 * no chance, no network.
 */
export function startFor(of: StartFor): Start {
  const { episode, keywords, recipe } = of
  const subject = subjectOf(episode.title)
  const keyword = keywords[0]?.words
  return {
    outline: outline(of),
    titles: titles(episode.title, subject, keyword, of.titleLimit),
    posts: posts(of, subject),
    hashtags: hashtags(of),
    lacking: lacking(recipe, of.earlier),
  }
}

function outline({ episode, recipe, keywords, earlier }: StartFor): DraftSection[] {
  const said = [...sentences(episode.idea.premise), ...sentences(episode.note)]
  const points = [...episode.brief.points.filter((p) => p.trim() !== ''), ...said.slice(1)]
  const middle = Math.max(1, recipe.outline.length - 2)
  return recipe.outline.map((section, i): DraftSection => {
    const first = i === 0
    const last = i === recipe.outline.length - 1
    const own = first
      ? [
          episode.idea.why || said[0] || '',
          keywords[0] ? `Say “${keywords[0].words}” in the first breath.` : '',
        ]
      : last
        ? [episode.brief.takeaway]
        : points.filter((_, n) => n % middle === i - 1)
    return {
      title: section.title,
      points: [section.guidance, ...own].filter((p) => p.trim() !== ''),
      example: exampleOf(section.title, earlier),
    }
  })
}

/** How the likest earlier episode began its section of that name. */
function exampleOf(title: string, earlier: readonly Earlier[]): DraftSection['example'] {
  for (const { script, number } of earlier) {
    const text = script.sections
      .find((s) => plain(s.title) === plain(title))
      ?.beats.map((b) => b.text.trim())
      .find(Boolean)
    if (text) return { number, text: sentences(text)[0] ?? text }
  }
  return undefined
}

function titles(title: string, subject: string, keyword: string | undefined, limit: number): string[] {
  const about = keyword && !plain(title).includes(plain(keyword)) ? keyword : subject
  const shapes = [
    `${upper(about)}: the mistake I made so you need not`,
    `${upper(subject)}, start to finish`,
    `What ${subject} taught me`,
    `Is ${subject} worth the trouble?`,
    keyword && !plain(title).includes(plain(keyword))
      ? `${title} (${keyword})`
      : `Before you begin: ${subject}`,
  ]
  return shapes.map((t) =>
    [...t].length > limit
      ? `${[...t]
          .slice(0, limit - 1)
          .join('')
          .trimEnd()}…`
      : t,
  )
}

function posts({ episode, show, release }: StartFor, subject: string): string[] {
  const hook = sentences(episode.idea.premise)[0] ?? sentences(episode.note)[0] ?? ''
  const when =
    release === undefined
      ? `Soon on ${show.title}.`
      : `${sayDayLong(release)}, ${show.rhythm.time}, on ${show.title}.`
  const close = (t: string) => (t === '' || /[.!?]$/.test(t) ? t : `${t}.`)
  return [
    [close(hook), close(episode.title), when].filter(Boolean).join(' '),
    `${episode.idea.asked.length > 0 ? 'You asked for it' : 'A question for you'}: what went wrong when you tried ${subject}? The best answers go into the episode. ${when}`,
  ]
}

/** Three hashtags from the keywords, the topics and the show's name: words joined, each with a capital. */
function hashtags({ episode, keywords, show }: StartFor): string[] {
  const tag = (text: string) => `#${plainWords(text).map(upper).join('')}`
  const all = [
    ...keywords.map((k) => k.words),
    ...episode.topics,
    ...episode.tags,
    show.title,
    subjectOf(episode.title),
    show.kind === 'video' ? 'new video' : 'podcast',
  ]
  return [...new Set(all.map(tag))].filter((t) => t.length > 2 && t.length <= 32).slice(0, 3)
}

/**
 * Sections that more than half of the earlier episodes (three at least) had and a recipe's outline lacks,
 * the commonest first.
 */
function lacking(recipe: Recipe, earlier: readonly Earlier[]): Start['lacking'] {
  if (earlier.length < 3) return []
  const own = new Set(recipe.outline.map((s) => plain(s.title)))
  const counts = new Map<string, { title: string; had: number }>()
  for (const { script } of earlier) {
    const seen = new Set<string>()
    for (const { title } of script.sections) {
      const key = plain(title)
      if (key === '' || own.has(key) || seen.has(key)) continue
      seen.add(key)
      const row = counts.get(key) ?? { title, had: 0 }
      row.had++
      counts.set(key, row)
    }
  }
  return [...counts.values()]
    .filter((c) => c.had * 2 > earlier.length)
    .sort((a, b) => b.had - a.had)
    .map((c) => ({ ...c, of: earlier.length }))
}

/** The episodes of a show on any of the same topics, released, the likest in words first; at most `count`. */
export function sameTopic(episode: Episode, episodes: Iterable<Episode>, count: number): Episode[] {
  const terms = new Set(termsOf(`${episode.title} ${episode.topics.join(' ')}`))
  const shared = (e: Episode) => termsOf(e.title).filter((t) => terms.has(t)).length
  return [...episodes]
    .filter(
      (e) =>
        e.show === episode.show &&
        e.id !== episode.id &&
        e.phase.kind === 'released' &&
        e.topics.some((t) => episode.topics.includes(t)),
    )
    .sort((a, b) => shared(b) - shared(a) || (b.updatedAt < a.updatedAt ? -1 : 1))
    .slice(0, count)
}
