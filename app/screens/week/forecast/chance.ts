import { computed } from 'vue'
import type { Outlook } from '@core/plan/outlook'
import { useCards } from '@app/stores/cards'

/** Releases that must be out before a chance is said in figures: until then the word alone. */
export const enough = 8

/** A chance in figures, whoever asks: "99 %"; nothing of what is too far ahead. */
export function inFigures(outlook: Pick<Outlook, 'chance' | 'is'> | undefined): string {
  return outlook === undefined || outlook.is === 'too far ahead'
    ? ''
    : `${Math.round(100 * outlook.chance)} %`
}

/** Chances as they stand behind their words: in figures once eight releases are out. */
export function useChance() {
  const cards = useCards()
  const known = computed(() => cards.released.length >= enough)
  const say = (outlook: Pick<Outlook, 'chance' | 'is'> | undefined) => (known.value ? inFigures(outlook) : '')
  return { known, say }
}
