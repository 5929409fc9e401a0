/** Days between being ready, as things stand, and the release: in hand, or short. */
export function sayInHand(days: number): string {
  return days >= 0 ? `${days} d in hand` : `${-days} d short`
}
