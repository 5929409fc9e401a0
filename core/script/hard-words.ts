/** Sounds that trip the tongue when words begin with them one behind the other; longer spellings first. */
const sounds = [
  'sch',
  'sh',
  'str',
  'spr',
  'thr',
  'th',
  'ch',
  'qu',
  'wh',
  'fl',
  'fr',
  'bl',
  'br',
  'pl',
  'pr',
  's',
  'f',
  'v',
  'b',
  'p',
  'w',
  'r',
  'l',
  'm',
  'k',
  'c',
  'g',
  't',
  'd',
]

/** Words so short and light that they neither trip nor part others. */
const light = new Set(
  'a an the and or but so as at by for from in into is it its of off on to too up we he she they you was were be been are'.split(
    ' ',
  ),
)

function soundOf(word: string): string | undefined {
  return sounds.find((s) => word.startsWith(s))
}

/** Letters of consonants that meet where two words meet. */
function meeting(first: string, second: string): number {
  const end = /[^aeiouyàâéèêëïîôöûüœæ\d]*$/u.exec(first)?.[0].length ?? 0
  const start = /^[^aeiouyàâéèêëïîôöûüœæ\d]*/u.exec(second)?.[0].length ?? 0
  return end >= 2 && start >= 2 ? end + start : 0
}

/** As many words with the same beginning one behind the other are hard. */
const inARow = 4
/** As many consonants where two words meet are hard: “sixths stretch”. */
const meetingLetters = 6

/**
 * Words of a text that are hard to say in a row, as offsets: four that begin with the same sound with only light words
 * between them, or two between which six consonants meet. A rule of thumb for languages written in Latin letters.
 */
export function hardRuns(text: string): { from: number; to: number }[] {
  const found: { from: number; to: number }[] = []
  let run: { sound: string; from: number; to: number; count: number; said: Set<string> } | undefined
  let last: { word: string; from: number; to: number } | undefined
  const close = () => {
    // One word said again and again is a figure of speech.
    if (run && run.count >= inARow && run.said.size >= 3) found.push({ from: run.from, to: run.to })
    run = undefined
  }
  for (const m of text.matchAll(/[\p{L}\p{N}’']+|[.!?…;:\n]/gu)) {
    const word = m[0].toLowerCase()
    if (!/[\p{L}\p{N}]/u.test(word)) {
      close()
      last = undefined
      continue
    }
    const [from, to] = [m.index, m.index + m[0].length]
    if (last && meeting(last.word, word) >= meetingLetters) found.push({ from: last.from, to })
    last = { word, from, to }
    if (light.has(word)) continue
    const sound = soundOf(word)
    if (sound === undefined || run?.sound !== sound) close()
    if (sound === undefined) continue
    run ??= { sound, from, to, count: 0, said: new Set() }
    run.to = to
    run.count++
    run.said.add(word)
  }
  close()
  return found.sort((a, b) => a.from - b.from)
}
