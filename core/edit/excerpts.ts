import type { Brief, Caption } from '../records'
import { plainWords, termsOf } from '../ideas/words'

/** How long an excerpt is, seconds. */
export const excerptLimits = { least: 30, most: 60, best: 45 } as const
/** A pause of so many seconds ends a thought, whatever its signs say. */
const pause = 1.5
/** As many are proposed. */
const proposed = 5

/** A passage that could stand alone. */
export interface Passage {
  from: number
  to: number
  text: string
  /** Why it is proposed: the point that it makes, and the words that carry. */
  point?: string
  words: string[]
  score: number
}

interface Sentence {
  from: number
  to: number
  text: string
  terms: string[]
}

/** Words with which a sentence leans on the one before. */
const leaning = new Set(
  'and but so or it its he she they this that these those then also because which who here there such both instead still again'.split(
    ' ',
  ),
)

/** Captions as sentences: joined until one ends with a full stop or a pause follows. */
function sentencesOf(captions: readonly Caption[]): Sentence[] {
  const all: Sentence[] = []
  let open: { from: number; to: number; text: string } | undefined
  captions.forEach((c, i) => {
    const text = c.text.replace(/\s+/g, ' ').trim()
    open = open ? { ...open, to: c.to, text: `${open.text} ${text}` } : { from: c.from, to: c.to, text }
    const next = captions[i + 1]
    if (/[.!?…]["”’)]*$/.test(text) || !next || next.from - c.to > pause) {
      all.push({ ...open, terms: termsOf(open.text) })
      open = undefined
    }
  })
  return all
}

/**
 * Passages of 30 to 60 seconds that could stand alone as excerpts, best first: they begin with a sentence that does not
 * lean on the one before and end with one; they say much of one of the brief's points, and words that stand out in them
 * against the rest. None overlaps another.
 */
export function proposeExcerpts(
  captions: readonly Caption[],
  brief: Pick<Brief, 'points' | 'takeaway'>,
  title: string,
): Passage[] {
  const sentences = sentencesOf(captions)
  const points = [...brief.points, brief.takeaway, title]
    .map((text) => ({ text, terms: new Set(termsOf(text)) }))
    .filter((p) => p.terms.size > 0)
  const rarity = rarityOf(sentences)
  const all = sentences.flatMap((first, i): Passage[] => {
    if (leaning.has(plainWords(first.text)[0] ?? '')) return []
    const passages: Passage[] = []
    for (let j = i; j < sentences.length; j++) {
      const last = sentences[j]
      if (!last || last.to - first.from > excerptLimits.most) break
      if (last.to - first.from >= excerptLimits.least)
        passages.push(passageOf(sentences.slice(i, j + 1), points, rarity))
    }
    return passages
  })
  const taken: Passage[] = []
  for (const passage of all.sort((a, b) => b.score - a.score || a.from - b.from)) {
    if (taken.every((t) => passage.to <= t.from || passage.from >= t.to)) taken.push(passage)
    if (taken.length === proposed) break
  }
  return taken
}

/** How rare each term is among the sentences: 0 for one in all of them, the more the fewer. */
function rarityOf(sentences: readonly Sentence[]): Map<string, number> {
  const counts = new Map<string, number>()
  for (const s of sentences)
    for (const term of new Set(s.terms)) counts.set(term, (counts.get(term) ?? 0) + 1)
  return new Map([...counts].map(([term, n]) => [term, Math.log(sentences.length / n)]))
}

function passageOf(
  sentences: readonly Sentence[],
  points: readonly { text: string; terms: ReadonlySet<string> }[],
  rarity: ReadonlyMap<string, number>,
): Passage {
  const [from, to] = [sentences[0]?.from ?? 0, sentences.at(-1)?.to ?? 0]
  const text = sentences.map((s) => s.text).join(' ')
  const counts = new Map<string, number>()
  for (const term of sentences.flatMap((s) => s.terms)) counts.set(term, (counts.get(term) ?? 0) + 1)
  const made = points
    .map((p) => ({ text: p.text, share: [...p.terms].filter((t) => counts.has(t)).length / p.terms.size }))
    .sort((a, b) => b.share - a.share)[0]
  // A word carries where it comes back here and is rare elsewhere.
  const carrying = [...counts]
    .map(([term, n]) => ({ term, weight: n > 1 ? n * (rarity.get(term) ?? 0) : 0 }))
    .filter((t) => t.weight > 0)
    .sort((a, b) => b.weight - a.weight)
    .slice(0, 3)
  const density = carrying.reduce((sum, t) => sum + t.weight, 0) / 12
  const length = 1 - Math.abs(to - from - excerptLimits.best) / excerptLimits.best
  const words = plainWords(text)
  return {
    from,
    to,
    text,
    ...(made && made.share >= 0.4 ? { point: made.text } : {}),
    words: carrying.flatMap(({ term }) => words.find((w) => termsOf(w)[0] === term) ?? []),
    score: 2 * (made?.share ?? 0) + Math.min(1, density) + 0.5 * length,
  }
}
