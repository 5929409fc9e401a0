import { computed, useAttrs, type ComputedRef } from 'vue'

/** What is set on a field part: class and style are the label's that stands round it, the rest the field's own. */
export function useFieldAttrs(): {
  outer: ComputedRef<Record<string, unknown>>
  inner: ComputedRef<Record<string, unknown>>
} {
  const attrs = useAttrs()
  return {
    outer: computed(() => ({ class: attrs['class'], style: attrs['style'] })),
    inner: computed(() =>
      Object.fromEntries(Object.entries(attrs).filter(([name]) => name !== 'class' && name !== 'style')),
    ),
  }
}
