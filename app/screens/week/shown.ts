/** Whether what is dragged is work that a day can take. */
export function carries(event: DragEvent): boolean {
  return ['text/lamp-block', 'text/lamp-episode'].some((t) => event.dataTransfer?.types.includes(t))
}
