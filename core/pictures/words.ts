import type { PictureWords } from '../records'
import { plainWords, termsOf } from '../ideas/words'
import type { Frame } from './frame'

/** Height of the lowest line of words at the size of a list, px; nothing where there are none. */
export function lettersAt(words: readonly PictureWords[], frame: Frame): number | undefined {
  return words.length === 0
    ? undefined
    : Math.min(...words.map((w) => (w.h * frame.height * frame.list.w) / frame.width))
}

/** The lines that lie under the length's stamp. */
export function underStamp(words: readonly PictureWords[], { width, height, stamp }: Frame): PictureWords[] {
  if (!stamp) return []
  return words.filter(
    (b) =>
      b.x * width < stamp.x + stamp.w &&
      (b.x + b.w) * width > stamp.x &&
      b.y * height < stamp.y + stamp.h &&
      (b.y + b.h) * height > stamp.y,
  )
}

/**
 * Of the words in a picture (those that say nothing apart): how many there are, and which the title says already, in the
 * picture's order. Words are the same when their stems are.
 */
export function saidTwice(
  words: readonly PictureWords[],
  title: string,
): { all: number; repeated: string[] } {
  const inTitle = new Set(termsOf(title))
  const telling = [...new Set(words.flatMap((w) => plainWords(w.text)))].filter((w) => termsOf(w).length > 0)
  return {
    all: telling.length,
    repeated: telling.filter((w) => termsOf(w).every((term) => inTitle.has(term))),
  }
}
