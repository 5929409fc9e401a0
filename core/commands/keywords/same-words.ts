/** A keyword's words as they are compared: lower case, single spaces. */
export function sameWords(words: string): string {
  return words.trim().toLowerCase().replace(/\s+/g, ' ')
}
