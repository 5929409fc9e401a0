import { nextTick, ref, watch, type Ref } from 'vue'

/** What both fields for numbers are told. */
export interface NumberProps {
  label: string
  /** The label is said, not shown. */
  hidden?: boolean
  min?: number
  max?: number
  /** From one to the next by arrows; a fraction lets fractions be typed. */
  step?: number
  /** What it counts, behind the field. */
  unit?: string
  /** Given at every figure, not when the field is left. */
  eager?: boolean
  fault?: string
  /** Classes of the field itself. */
  field?: string
}

export interface Bounds {
  /** Whole numbers alone, unless it is a fraction. */
  step?: number | undefined
  min?: number | undefined
  max?: number | undefined
}

/**
 * Reads a number as people type one, with a comma or a point, kept within its bounds and whole. An empty field is none; what
 * is no number is NaN.
 */
export function readNumber(text: string, { min, max, step = 1 }: Bounds): number | undefined {
  const bare = text.trim().replace(',', '.')
  if (bare === '') return undefined
  const read = Number.isInteger(step) ? Math.round(Number(bare)) : Number(bare)
  return Math.min(max ?? Infinity, Math.max(min ?? -Infinity, read))
}

/**
 * The text of a field for a number, and what becomes of what is typed: it is given as it is read, and what is not
 * taken goes back to what holds. `give` gets undefined from an empty field.
 */
export function useNumberText(
  number: () => number | undefined,
  bounds: () => Bounds,
  give: (read: number | undefined) => void,
): { text: Ref<string>; typed: (done: boolean) => void } {
  const shownText = () => String(number() ?? '')
  const text = ref(shownText())
  watch(number, (n) => {
    if (readNumber(text.value, bounds()) !== n) text.value = shownText()
  })
  function typed(done: boolean): void {
    const read = readNumber(text.value, done ? bounds() : { step: bounds().step })
    if (!Number.isNaN(read) && read !== number()) give(read)
    if (done)
      void nextTick(() => {
        text.value = shownText()
      })
  }
  return { text, typed }
}
