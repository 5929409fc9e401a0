import { onBeforeUnmount, onMounted } from 'vue'

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

/** Keys that buttons and links answer to by themselves. */
const pressing = new Set(['Enter', ' '])

/**
 * Listens for single keys while the component is there: not while letters are typed, nor in a dialog or
 * menu, nor with Ctrl, Alt or Meta. One that gives back false leaves the key to others.
 */
export function useKeys(keys: Record<string, (event: KeyboardEvent) => unknown>): void {
  const heard = (event: KeyboardEvent) => {
    if (event.defaultPrevented || event.ctrlKey || event.altKey || event.metaKey || typingIn(event.target))
      return
    if (
      pressing.has(event.key) &&
      event.target instanceof HTMLElement &&
      event.target.closest('a, button, summary, [role="option"]')
    )
      return
    if (document.querySelector('[role="dialog"], [role="menu"]')) return
    const act = keys[event.key.length === 1 ? event.key.toLowerCase() : event.key]
    if (!act) return
    if (act(event) !== false) event.preventDefault()
  }
  onMounted(() => {
    window.addEventListener('keydown', heard)
  })
  onBeforeUnmount(() => {
    window.removeEventListener('keydown', heard)
  })
}
