/** How near its edge what can scroll begins to, and how far it goes a frame, in pixels. */
const edge = 40
const step = 10

/** Which way a stretch goes on where a point is near one of its ends: -1, 0 or 1. */
export function towards(at: number, from: number, to: number): -1 | 0 | 1 {
  if (at < from || at > to || to - from < 3 * edge) return 0
  return at < from + edge ? -1 : at > to - edge ? 1 : 0
}

/** The boxes round a point that scroll, the innermost first, the page last. */
function scrollersAt(x: number, y: number): Element[] {
  const found: Element[] = []
  for (let at = document.elementFromPoint(x, y); at; at = at.parentElement) {
    const { overflowX, overflowY } = getComputedStyle(at)
    const scrolls = (way: string, room: number) => room > 1 && (way === 'auto' || way === 'scroll')
    if (
      scrolls(overflowY, at.scrollHeight - at.clientHeight) ||
      scrolls(overflowX, at.scrollWidth - at.clientWidth)
    )
      found.push(at)
  }
  return [...found, document.scrollingElement ?? document.documentElement]
}

/**
 * While something is carried, what can scroll does so near its edges, for as long as the pointer stays there: a list
 * and the film within themselves, else the page.
 */
export function scrollAtEdges(): { at: (x: number, y: number) => void; stop: () => void } {
  let frame = 0
  let point: { x: number; y: number } | undefined
  const tick = () => {
    frame = 0
    if (!point) return
    for (const box of scrollersAt(point.x, point.y)) {
      const page = box === document.scrollingElement
      const { left, top, right, bottom } = box.getBoundingClientRect()
      const dx = page ? 0 : towards(point.x, left, right)
      const dy = page
        ? towards(point.y, 0, window.innerHeight)
        : towards(point.y, Math.max(0, top), Math.min(window.innerHeight, bottom))
      const before = [box.scrollLeft, box.scrollTop]
      if (dx !== 0 || dy !== 0) box.scrollBy(dx * step, dy * step)
      if (box.scrollLeft !== before[0] || box.scrollTop !== before[1]) {
        frame = requestAnimationFrame(tick)
        return
      }
    }
  }
  return {
    at(x, y) {
      point = { x, y }
      if (frame === 0) frame = requestAnimationFrame(tick)
    },
    stop() {
      point = undefined
      cancelAnimationFrame(frame)
    },
  }
}
