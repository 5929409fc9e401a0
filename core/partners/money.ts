/** A sum without the dust of adding fractions: whole cents. */
export function inCents(sum: number): number {
  return Math.round(sum * 100) / 100
}

/** A sum with its currency where one is chosen: `1,200 €`, `81.20 €`, `240`. */
export function sayMoney(sum: number, currency: string | undefined): string {
  const whole = inCents(sum)
  const digits = Number.isInteger(whole) ? 0 : 2
  const said = whole.toLocaleString('en', { minimumFractionDigits: digits, maximumFractionDigits: digits })
  return `${said} ${currency ?? ''}`.trim()
}
