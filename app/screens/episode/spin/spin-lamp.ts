import type { Lamp } from '@core/recipe/progress'
import type { SpinState } from '@core/release/spin-parts'

/** The lamp of something made of an episode. */
export function spinLamp(state: SpinState): Lamp {
  switch (state) {
    case 'off':
      return { state: 'dark', share: 0 }
    case 'to make':
      return { state: 'open', share: 0 }
    case 'begun':
      return { state: 'working', share: 0.5 }
    case 'ready':
    case 'out':
      return { state: 'lit', share: 1 }
  }
}
