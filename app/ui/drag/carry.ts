import { shallowReactive, type ObjectDirective } from 'vue'
import { followPress } from './press'
import { scrollAtEdges } from './scroll'

/** What can be carried from one place to another, with what is read beside the pointer. */
export type Carried = { label: string } & (
  | { kind: 'idea'; id: string; show: string }
  | { kind: 'episode'; id: string; show: string }
  /** A section of a script. */
  | { kind: 'section'; id: string }
  /** A session, from its day; work, from the day on which it is laid, if it is. */
  | { kind: 'session'; id: string; day: string }
  | { kind: 'work'; step: string; day: string | undefined; minutes: number }
)

/** A place onto which things are carried. */
export interface Target {
  /** Whether it takes this; another place below it may. */
  takes: (carried: Carried) => boolean
  /** It is over the place: here is said what would happen, by `saying`. */
  over?: (carried: Carried) => void
  /** It has gone on, or was let go. */
  left?: () => void
  drop: (carried: Carried) => unknown
}

/** What is said of what is being carried, at the foot of the window. */
export interface Saying {
  says: string
  /** What comes of it, a moment later. */
  outlook: string
}
export const saying = shallowReactive<Saying>({ says: '', outlook: '' })

export function sayNothing(): void {
  saying.says = ''
  saying.outlook = ''
}

const sources = new WeakMap<HTMLElement, Carried | undefined>()
const targets = new WeakMap<Element, Target | undefined>()

/** The innermost place under a point that takes what is carried. */
function placeAt(x: number, y: number, carried: Carried): Element | undefined {
  let at = document.elementFromPoint(x, y)?.closest('[data-takes]')
  while (at) {
    if (targets.get(at)?.takes(carried)) return at
    at = at.parentElement?.closest('[data-takes]')
  }
  return undefined
}

function carry(event: PointerEvent, from: HTMLElement, carried: Carried): void {
  const sign = document.createElement('div')
  sign.className = 'carried'
  sign.setAttribute('aria-hidden', 'true')
  sign.textContent = carried.label
  let place: Element | undefined
  const scrolling = scrollAtEdges()
  const leave = () => {
    place?.removeAttribute('data-goal')
    if (place) targets.get(place)?.left?.()
    sayNothing()
    place = undefined
  }
  const end = () => {
    scrolling.stop()
    leave()
    from.removeAttribute('data-carried')
    sign.remove()
  }
  followPress(event, {
    start: () => {
      from.setAttribute('data-carried', '')
      document.body.append(sign)
    },
    move: (_dx, _dy, { clientX, clientY }) => {
      scrolling.at(clientX, clientY)
      sign.style.transform = `translate(${clientX + 14}px, ${clientY + 10}px)`
      const next = placeAt(clientX, clientY, carried)
      if (next === place) return
      leave()
      place = next
      place?.setAttribute('data-goal', '')
      if (place) targets.get(place)?.over?.(carried)
    },
    drop: () => {
      const target = place && targets.get(place)
      end()
      void target?.drop(carried)
    },
    cancel: end,
  })
}

function press(this: HTMLElement, event: PointerEvent): void {
  const carried = sources.get(this)
  // A field inside keeps its own press; what is carried inside goes alone.
  if (!carried || !(event.target instanceof Element)) return
  if (event.target.closest('input, select, textarea')) return
  if (event.target.closest('[data-carries]') !== this) return
  carry(event, this, carried)
}

/** What an element is carried as; with undefined it stays where it is. */
export const vCarries: ObjectDirective<HTMLElement, Carried | undefined> = {
  mounted(el, { value }) {
    sources.set(el, value)
    el.toggleAttribute('data-carries', value !== undefined)
    el.addEventListener('pointerdown', press)
    // The browser's own dragging of links and pictures would be in the way.
    el.addEventListener('dragstart', (event) => {
      event.preventDefault()
    })
  },
  updated(el, { value }) {
    sources.set(el, value)
    el.toggleAttribute('data-carries', value !== undefined)
  },
}

/** What an element takes; with undefined nothing. */
export const vTakes: ObjectDirective<Element, Target | undefined> = {
  mounted(el, { value }) {
    targets.set(el, value)
    el.toggleAttribute('data-takes', value !== undefined)
  },
  updated(el, { value }) {
    targets.set(el, value)
    el.toggleAttribute('data-takes', value !== undefined)
  },
}
