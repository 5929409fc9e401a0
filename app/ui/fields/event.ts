/** What stands in the field that an event comes from; empty where it comes from elsewhere. */
export function typedIn({ target }: Event): string {
  return target instanceof HTMLInputElement ||
    target instanceof HTMLTextAreaElement ||
    target instanceof HTMLSelectElement
    ? target.value
    : ''
}

/** Whether the box that an event comes from is ticked. */
export function tickedIn({ target }: Event): boolean {
  return target instanceof HTMLInputElement && target.checked
}

/** The files chosen in the field that an event comes from. */
export function filesIn({ target }: Event): File[] {
  return target instanceof HTMLInputElement ? [...(target.files ?? [])] : []
}

/** Empties the field that an event comes from, or writes something else into it. */
export function rewrite({ target }: Event, text = ''): void {
  if (
    target instanceof HTMLInputElement ||
    target instanceof HTMLTextAreaElement ||
    target instanceof HTMLSelectElement
  )
    target.value = text
}
