import type { HelperDeed } from './deeds'
import type { HelperPage } from './page'

/** A page as it will be when the desk has taken what was done on it. */
export function withHelperDeeds(
  page: HelperPage,
  deeds: readonly { id: string; deed: HelperDeed }[],
): HelperPage {
  return deeds.reduce((now, { id, deed }) => withDeed(now, id, deed), page)
}

function withDeed(page: HelperPage, id: string, deed: HelperDeed): HelperPage {
  switch (deed.kind) {
    case 'opened':
      return { ...page, opened: true }
    case 'tick':
      return { ...page, toDo: page.toDo.map((n) => (n.id === deed.note ? { ...n, done: deed.done } : n)) }
    case 'ask':
      return page.asked.some((q) => q.id === id)
        ? page
        : { ...page, asked: [...page.asked, { id, text: deed.text, answer: '' }] }
    case 'note':
      return { ...page, notes: [...page.notes, { at: '', text: deed.text, by: page.who, isTask: false }] }
    case 'through':
    case 'back':
      return { ...page, back: true }
    case 'handed':
      return {
        ...page,
        things: page.things.map((t) => (t.key === deed.key ? { ...t, [deed.state]: deed.on } : t)),
      }
  }
}
