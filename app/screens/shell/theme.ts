import { computed, watchEffect } from 'vue'
import { useLocalStorage, useMediaQuery } from '@vueuse/core'
import { useLibrary } from '@app/stores/library'

/** Puts the chosen theme on the page, follows the system's as it changes, and keeps it for the next start. */
export function useTheme(): void {
  const library = useLibrary()
  const light = useMediaQuery('(prefers-color-scheme: light)')
  // `public/theme.js` reads it before anything is drawn.
  const kept = useLocalStorage<string | null>('lamp-reel.theme', null)
  const chosen = computed(() =>
    library.state === 'open' && !library.isNew ? library.settings.theme : undefined,
  )
  watchEffect(() => {
    if (!chosen.value) return
    kept.value = chosen.value
    const system = light.value ? 'daylight' : 'booth'
    document.documentElement.dataset['theme'] = chosen.value === 'system' ? system : chosen.value
  })
}
