import { watchEffect, type Ref } from 'vue'

/** What is wrong with a field holds its form back, as the browser's own checks do; empty lets it go. */
export function useValidity(input: Readonly<Ref<HTMLInputElement | null>>, fault: Ref<string>): void {
  watchEffect(
    () => {
      input.value?.setCustomValidity(fault.value)
    },
    // Enter gives what was typed and sends the form in one go.
    { flush: 'sync' },
  )
}
