import type { Episode } from '@core/records'

/** Takes an idea up for dragging: onto an open frame of the strip, a month, a place in the order. */
export function carryIdea(event: DragEvent, idea: Episode): void {
  event.dataTransfer?.setData('text/lamp-idea', idea.id)
  event.dataTransfer?.setData(`text/lamp-${idea.show}`, '')
  event.dataTransfer?.setData('text/plain', idea.title)
}

/** The idea that was carried to a place. */
export function carriedIdea(event: DragEvent): string | undefined {
  return event.dataTransfer?.getData('text/lamp-idea') || undefined
}
