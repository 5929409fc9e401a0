/**
 * Makes dates with zones ready: the browser's own where it has them (Temporal, ECMA-262), else those that ship with
 * the program. To be waited for before anything is derived.
 */
export async function readyDates(): Promise<void> {
  if (!('Temporal' in globalThis)) await import('temporal-polyfill/global')
}
