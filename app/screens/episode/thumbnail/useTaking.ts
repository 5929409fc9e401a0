import { ref } from 'vue'
import { useEventListener } from '@vueuse/core'
import { addPicture, makePicture } from '@core/commands/episode'
import type { Candidate, Id } from '@core/records'
import type { Card } from '@core/views/card'
import { useLibrary } from '@app/stores/library'
import { useProof } from '@app/stores/proof'
import { filesIn, rewrite } from '@app/ui/fields/event'
import { lighterPicture, readPicture } from '../pictures'

/**
 * How pictures come to an episode: chosen, dropped or pasted; and a lighter one made of one that is too heavy. Each is
 * looked at as soon as it is among the others, and not only once it is stored: what is pressed meanwhile is meant for it.
 */
export function useTaking(card: () => Card, lookOnceThere: (picture: Id) => void) {
  const library = useLibrary()
  const proof = useProof()
  /** Something is held over the place for them. */
  const over = ref(false)
  const busy = ref(false)
  const faults = ref<string[]>([])
  async function take(files: Iterable<File>) {
    busy.value = true
    faults.value = []
    for (const file of files) {
      const read = await readPicture(file)
      if (!read.ok) {
        faults.value = [...faults.value, read.problem.sentence]
        continue
      }
      lookOnceThere(read.value.picture.id)
      await library.perform(addPicture, { episode: card().episode.id, ...read.value }, 'quietly')
    }
    busy.value = false
  }
  async function lighter(picture: Candidate) {
    const made = await lighterPicture(
      picture,
      await library.file(picture.id),
      proof.mostBytes(card()),
      library.newId(),
    )
    if (!made) return
    const wish = { episode: card().episode.id, ...made, instead: picture.id }
    lookOnceThere(made.picture.id)
    await library.perform(makePicture, wish, 'quietly')
  }
  async function chosen(event: Event) {
    await take(filesIn(event))
    rewrite(event)
  }
  function dropped(event: DragEvent) {
    over.value = false
    void take(event.dataTransfer?.files ?? [])
  }
  useEventListener(window, 'paste', (event: ClipboardEvent) => {
    const files = [...(event.clipboardData?.files ?? [])].filter((f) => f.type.startsWith('image/'))
    if (files.length === 0) return
    event.preventDefault()
    void take(files)
  })
  return { over, busy, faults, take, lighter, chosen, dropped }
}
