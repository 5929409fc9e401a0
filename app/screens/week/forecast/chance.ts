import type { Outlook } from '@core/plan/forecast'

/** A release's chance to go out on time as it is shown: "99 %"; nothing of what is too far ahead. */
export function sayChance(outlook: Outlook | undefined): string {
  return outlook === undefined || outlook.is === 'too far ahead'
    ? ''
    : `${Math.round(100 * outlook.chance)} %`
}
