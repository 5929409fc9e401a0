import { useEventListener } from '@vueuse/core'

/**
 * One thing that keys do on a screen, and what is said of it. The keys are chords with spaces between, each named as
 * the browser names its key ("Alt+ArrowUp", "Space"), letters in capitals.
 */
export type KeyLine = readonly [keys: string, says: string]

/** The chords of a line, in order. */
export const chordsIn = ([keys]: KeyLine): string[] => keys.split(' ')

/** What keys do on one screen or in one part of it: from it follow handlers, the sheet of shortcuts and hints. */
export interface Keymap<Deed extends string = string> {
  readonly title: string
  readonly lines: Readonly<Record<Deed, KeyLine>>
}

/** What is asked of a press: as the browser tells of it, or a test. */
export type Pressed = Pick<
  KeyboardEvent,
  | 'key'
  | 'altKey'
  | 'ctrlKey'
  | 'metaKey'
  | 'shiftKey'
  | 'isComposing'
  | 'defaultPrevented'
  | 'target'
  | 'preventDefault'
  | 'stopPropagation'
>

/** A key that was pressed: the event, and which of the line's keys it was, 0 for the first. */
export interface Press {
  event: Pressed
  which: number
}

/** Does what the key stands for; false leaves the key to others. */
type Handler<Context extends unknown[]> = (press: Press, ...context: Context) => unknown

/** Declares a keymap: its lines by the name of the deed. */
export function keymap<Deed extends string>(
  title: string,
  lines: Readonly<Record<Deed, KeyLine>>,
): Keymap<Deed> {
  return { title, lines }
}

const signs: Readonly<Record<string, string>> = {
  ArrowUp: '↑',
  ArrowDown: '↓',
  ArrowLeft: '←',
  ArrowRight: '→',
  Escape: 'Esc',
  '-': '−',
}

/** A line's keys as they are shown: "Alt ↑ ↓", "1 to 7". */
export function shownKeys(line: KeyLine): string {
  const keys = chordsIn(line)
  const [first = '', last = ''] = [keys[0], keys.at(-1)]
  if (keys.length > 3 && /^\d$/.test(first) && /^\d$/.test(last)) return `${first} to ${last}`
  const before = first.slice(0, first.lastIndexOf('+', first.length - 2) + 1)
  return keys
    .map((chord, i) =>
      i > 0 && before !== '' && chord.startsWith(before) ? chord.slice(before.length) : chord,
    )
    .map((chord) => (chord === '+' ? ['+'] : chord.split('+')).map((part) => signs[part] ?? part).join(' '))
    .join(' ')
}

/** Whether an event comes from a field in which letters are typed. */
export function typingIn(target: EventTarget | null): boolean {
  return (
    target instanceof HTMLElement &&
    (target.isContentEditable ||
      target instanceof HTMLTextAreaElement ||
      target instanceof HTMLSelectElement ||
      (target instanceof HTMLInputElement &&
        !['checkbox', 'radio', 'range', 'button', 'file'].includes(target.type)))
  )
}

/** The chord that a press is; of a letter or a sign also the one without Shift. */
export function chordsOf(event: Pressed): string[] {
  const key = event.key === ' ' ? 'Space' : event.key.length === 1 ? event.key.toUpperCase() : event.key
  const held = `${event.ctrlKey || event.metaKey ? 'Ctrl+' : ''}${event.altKey ? 'Alt+' : ''}`
  if (!event.shiftKey) return [held + key]
  return event.key.length === 1 ? [`${held}Shift+${key}`, held + key] : [`${held}Shift+${key}`]
}

/** Keys that buttons and links answer to by themselves, as long as nothing else is held. */
const pressing = new Set(['Enter', ' '])
const answering = 'a, button, summary, [role="option"]'
const ticked = 'input[type="checkbox"], input[type="radio"]'
function answersItself(event: Pressed): boolean {
  return (
    pressing.has(event.key) &&
    !event.ctrlKey &&
    !event.metaKey &&
    !event.altKey &&
    event.target instanceof HTMLElement &&
    event.target.closest(event.key === ' ' ? `${answering}, ${ticked}` : answering) !== null
  )
}

function deedOf<Deed extends string>(
  { lines }: Keymap<Deed>,
  event: Pressed,
): { deed: Deed; which: number } | undefined {
  for (const chord of chordsOf(event))
    for (const deed in lines) {
      const which = chordsIn(lines[deed]).indexOf(chord)
      if (which >= 0) return { deed, which }
    }
  return undefined
}

/** A listener for what has the focus, or holds it: does what the keymap says, and keeps the key from others. */
export function keysOn<Deed extends string, Context extends unknown[] = []>(
  map: Keymap<Deed>,
  handlers: Record<Deed, Handler<Context>>,
): (event: Pressed, ...context: Context) => void {
  return (event, ...context) => {
    if (event.defaultPrevented || event.isComposing) return
    const found = deedOf(map, event)
    if (found && handlers[found.deed]({ event, which: found.which }, ...context) !== false)
      event.preventDefault()
  }
}

/**
 * Listens on the whole page while the component is there: not while letters are typed, nor in a dialog or menu,
 * nor to a key that a button answers to by itself. `whileTyping`: what is done by its Alt or Ctrl chords among letters
 * too. `first`: before what keys do everywhere, where a screen needs one of those for its own.
 */
export function useKeymap<Deed extends string>(
  map: Keymap<Deed>,
  handlers: Record<Deed, Handler<[]>>,
  whileTyping: readonly NoInfer<Deed>[] = [],
  first = false,
): void {
  const heard = keysOn(map, handlers)
  const isHeardAnyway = (event: KeyboardEvent) => {
    const deed = event.altKey || event.ctrlKey ? deedOf(map, event)?.deed : undefined
    return deed !== undefined && whileTyping.includes(deed)
  }
  const listen = (event: KeyboardEvent) => {
    if ((typingIn(event.target) && !isHeardAnyway(event)) || answersItself(event)) return
    if (document.querySelector('[role="dialog"], [role="menu"]')) return
    heard(event)
  }
  useEventListener(window, 'keydown', listen, { capture: first })
}
