import type { Episode } from '@core/records'
import { useLibrary } from './library'

/** Where episodes live, with their outlets' names, and the copying of an address. */
export function useAddresses() {
  const library = useLibrary()
  const of = (episode: Episode): { name: string; address: string }[] =>
    Object.entries(episode.addresses ?? {}).map(([id, address]) => ({
      name: library.tables.outlets.get(id)?.name ?? 'its outlet',
      address,
    }))
  async function copy(address: string): Promise<void> {
    await navigator.clipboard.writeText(address)
    library.say('The address is copied.')
  }
  return { of, copy }
}
