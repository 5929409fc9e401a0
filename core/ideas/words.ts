/** English words that say nothing of what a text is about. */
const stop = new Set(
  'a about after again all also am an and any are as at be because been before being both but by can could did do does doing down each every few for from get go had has have having he her here hers him his how i if in into is it its just know like made make me more most much my new no nor not now of off on once one only or other our out over own part same she should so some such than that the their them then there these they thing this those through to too two under until up us use very was we well were what when where which while who why will with without you your'.split(
    ' ',
  ),
)

/**
 * Endings that are cut, longest first, with how much must remain. A light stemmer: enough that `ribs` meets
 * `rib`, `steaming` meets `steam`.
 */
const endings: readonly [string, string, number][] = [
  ['ies', 'y', 3],
  ['ings', '', 4],
  ['ing', '', 4],
  ['edly', '', 4],
  ['ed', '', 4],
  ['es', '', 4],
  ['s', '', 3],
  ['e', '', 4],
]

/** The stem of one lower-case word. */
export function stem(word: string): string {
  if (word.endsWith('ss')) return word
  for (const [ending, instead, least] of endings)
    if (word.endsWith(ending) && word.length - ending.length + instead.length >= least) {
      const cut = word.slice(0, -ending.length) + instead
      // Doubled letters before -ing and -ed: planning, planned.
      return (ending === 'ing' || ending === 'ed') && /([bdgmnprt])\1$/.test(cut) ? cut.slice(0, -1) : cut
    }
  return word
}

const stems = new Map<string, string>()

function stemmed(word: string): string {
  let known = stems.get(word)
  if (known === undefined) {
    if (stems.size > 50_000) stems.clear()
    stems.set(word, (known = stem(word)))
  }
  return known
}

/** A text's words in lower case, without marks over letters; apostrophes joined. */
export function plainWords(text: string): string[] {
  return (
    text
      .normalize('NFKD')
      .replace(/\p{M}+|(?<=\p{L})[’'](?=\p{L})/gu, '')
      .toLowerCase()
      .match(/[\p{L}\p{N}]+/gu) ?? []
  )
}

/** The terms of a text: stems of its words, without those that say nothing; as often as they stand there. */
export function termsOf(text: string): string[] {
  const terms: string[] = []
  for (const word of plainWords(text)) if (word.length > 1 && !stop.has(word)) terms.push(stemmed(word))
  return terms
}

/** How often each term stands in a text. */
export function countsOf(text: string): Map<string, number> {
  const counts = new Map<string, number>()
  for (const term of termsOf(text)) counts.set(term, (counts.get(term) ?? 0) + 1)
  return counts
}

/** The words of `text` (as written, in order, once each) whose stems are among `terms`. */
export function sharedWords(text: string, terms: ReadonlySet<string>): string[] {
  const shared = new Map<string, string>()
  for (const word of plainWords(text)) {
    const term = stemmed(word)
    if (terms.has(term) && !shared.has(term) && !stop.has(word)) shared.set(term, word)
  }
  return [...shared.values()]
}
