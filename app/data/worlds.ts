/** The two sets of data that are never mixed: the creator's own, and the demo to look round in. */
export type World = 'own' | 'demo'

/**
 * The choice is kept apart for a server of the demo and one of the creator's own data, since both may have
 * the same address.
 */
const key = () => `lamp-reel.world.${servedStart().world}`

/** What the server that served this page asks for: `own`, `demo` or `demo large`. */
export function servedStart(): { world: World; size: 'usual' | 'large' } {
  const page = typeof document === 'undefined' ? undefined : document
  const asked = page?.querySelector('meta[name="lamp-reel-start"]')?.getAttribute('content') ?? 'own'
  return {
    world: asked.startsWith('demo') ? 'demo' : 'own',
    size: asked.includes('large') ? 'large' : 'usual',
  }
}

/** The world this tab is in: what was chosen before, or what the server asks for. */
export function chosenWorld(): World {
  try {
    const kept = localStorage.getItem(key())
    return kept === 'own' || kept === 'demo' ? kept : servedStart().world
  } catch {
    return servedStart().world
  }
}

/** Remembers the world for the next opening. */
export function chooseWorld(world: World): void {
  try {
    localStorage.setItem(key(), world)
  } catch {
    // A browser that keeps nothing opens what the server asks for; the library says that storage is refused.
  }
}

/** The name of a world's store in the browser. */
export function storeName(world: World): string {
  const { size } = servedStart()
  return world === 'own' ? 'lamp-reel' : size === 'large' ? 'lamp-reel-demo-large' : 'lamp-reel-demo'
}
