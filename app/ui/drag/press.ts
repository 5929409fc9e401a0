/** What becomes of a press that is held and moved. Distances are in pixels from where it began. */
export interface Gesture {
  /** It was moved far enough, or held long enough, to be a drag. */
  start?: () => void
  /** It is moved; at most once a frame. */
  move: (dx: number, dy: number, at: PointerEvent) => void
  /** It was let go. */
  drop: (at: PointerEvent) => void
  /** It was given up by Escape, or taken away by the browser. */
  cancel?: () => void
  /** It was let go without having been moved. */
  tap?: () => void
}

/** How far a mouse moves before a press is a drag, in pixels. */
const far = 5
/** How long a finger rests before a press is a drag, in milliseconds; moved sooner it scrolls. */
const long = 320
/** How far a finger may tremble meanwhile, in pixels. */
const tremble = 9

function stop(event: Event): void {
  event.preventDefault()
  event.stopPropagation()
}
/** The click that ends a drag is no click. */
function swallowClick(): void {
  window.addEventListener('click', stop, { capture: true, once: true })
  setTimeout(() => {
    window.removeEventListener('click', stop, { capture: true })
  }, 0)
}

/**
 * Follows a press until it is let go: with a mouse it is a drag once moved, with a finger once it has rested.
 * Call it from `pointerdown`. One layer of our own on pointer events: the packages for sortable lists carry things
 * within lists, while here they are carried onto days, slots, frames and months, along an axis of time, with what
 * would happen said on the way; and the browser's own dragging does not exist by touch.
 */
export function followPress(event: PointerEvent, gesture: Gesture): void {
  if (event.button !== 0 || !event.isPrimary) return
  const touch = event.pointerType !== 'mouse'
  let dragging = false
  let frame = 0
  let last = event
  const over = new AbortController()
  const { signal } = over
  const begin = () => {
    dragging = true
    document.documentElement.dataset['dragging'] = ''
    gesture.start?.()
  }
  const resting = touch ? setTimeout(begin, long) : undefined
  const end = () => {
    over.abort()
    clearTimeout(resting)
    cancelAnimationFrame(frame)
    delete document.documentElement.dataset['dragging']
  }
  const giveUp = () => {
    const was = dragging
    end()
    if (was) gesture.cancel?.()
  }
  const listen = <K extends keyof WindowEventMap>(
    name: K,
    act: (e: WindowEventMap[K]) => void,
    passive = true,
  ) => {
    window.addEventListener(name, act, { signal, passive, capture: true })
  }
  listen('pointermove', (e) => {
    if (e.pointerId !== event.pointerId) return
    last = e
    const [dx, dy] = [e.clientX - event.clientX, e.clientY - event.clientY]
    if (!dragging) {
      if (Math.hypot(dx, dy) < (touch ? tremble : far)) return
      if (touch) {
        giveUp()
        return
      }
      begin()
    }
    cancelAnimationFrame(frame)
    frame = requestAnimationFrame(() => {
      gesture.move(dx, dy, e)
    })
  })
  listen('pointerup', (e) => {
    if (e.pointerId !== event.pointerId) return
    const was = dragging
    end()
    if (!was) {
      gesture.tap?.()
      return
    }
    swallowClick()
    // What the last frame would have shown counts, though it was not drawn.
    gesture.move(last.clientX - event.clientX, last.clientY - event.clientY, last)
    gesture.drop(e)
  })
  listen('pointercancel', giveUp)
  listen(
    'keydown',
    (e) => {
      if (e.key !== 'Escape' || !dragging) return
      stop(e)
      giveUp()
    },
    false,
  )
  // A finger that carries something neither scrolls nor calls a menu.
  for (const name of ['touchmove', 'contextmenu'] as const)
    listen(
      name,
      (e) => {
        if (dragging && e.cancelable) e.preventDefault()
      },
      false,
    )
}
