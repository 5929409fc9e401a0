import type { BeltMail } from '../formats/mail'
import { BeltLetter } from './letters'
import { opened } from './seal'

/** Letters of the belt read with the key; what was ciphered with another, or is none, is left out. */
export function openedLetters(mail: readonly BeltMail[], key: string): BeltLetter[] {
  return mail.flatMap((m) => {
    const text = opened(m.sealed, key)
    if (text === undefined) return []
    try {
      const read = BeltLetter.safeParse(JSON.parse(text))
      return read.success && read.data.id === m.id ? [read.data] : []
    } catch {
      return []
    }
  })
}
