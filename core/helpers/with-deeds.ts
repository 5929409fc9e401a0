import type { HelperDeed } from './deeds'
import type { HelperPage } from './page'

/** A page as it will be when the desk has taken what was done on it. */
export function withHelperDeeds(
  page: HelperPage,
  deeds: readonly { id: string; deed: HelperDeed }[],
): HelperPage {
  return deeds.reduce((now, { id, deed }) => withDeed(now, id, deed), page)
}

/** What was asked, with one more at the end unless it is there or has no words. */
function withQuestion(asked: HelperPage['asked'], id: string, words: string): HelperPage['asked'] {
  const text = words.trim()
  return text === '' || asked.some((q) => q.id === id) ? asked : [...asked, { id, text, answer: '' }]
}

function withDeed(page: HelperPage, id: string, deed: HelperDeed): HelperPage {
  switch (deed.kind) {
    case 'opened':
      return { ...page, opened: true }
    case 'tick':
      return { ...page, toDo: page.toDo.map((n) => (n.id === deed.note ? { ...n, done: deed.done } : n)) }
    case 'ask':
      return { ...page, asked: withQuestion(page.asked, id, deed.text) }
    case 'note':
      return { ...page, notes: [...page.notes, { at: '', text: deed.text, by: page.who, isTask: false }] }
    case 'through':
      return { ...page, back: true }
    case 'back':
      return { ...page, back: true, asked: withQuestion(page.asked, id, deed.says) }
    case 'handed':
      return {
        ...page,
        things: page.things.map((t) => (t.key === deed.key ? { ...t, [deed.state]: deed.on } : t)),
      }
  }
}
