import { computed, ref } from 'vue'
import { correctCaption, dropTranscript, keepTranscript } from '@core/commands/transcripts'
import type { LineFault } from '@core/edit/notes'
import { captionFaults, transcriptOf } from '@core/edit/transcript'
import type { Caption, Timing } from '@core/records'
import type { Card } from '@core/views/card'
import { useLibrary } from '@app/stores/library'
import { download } from '@app/ui/download'
import { textOfFile } from '@app/ui/text-file'

/** What is heard in an episode, its faults, and what can be done with it. */
export function useSubtitles(card: () => Card, timing: () => Timing) {
  const library = useLibrary()
  const episode = () => card().episode.id
  const transcript = computed(() => library.tables.transcripts.get(episode()))
  const captions = computed(() => transcript.value?.captions ?? [])
  const faults = computed(() => {
    const by = new Map<number, string[]>()
    for (const f of captionFaults(
      captions.value,
      timing().length,
      // Where the script has silence or music, nothing is heard.
      transcript.value?.made === 'script',
    ))
      by.set(f.index, [...(by.get(f.index) ?? []), f.says])
    return by
  })
  /** Lines of a file that could not be read, or why it could not be at all. */
  const unread = ref<readonly LineFault[]>([])

  async function read(file: File) {
    const { readSubtitles } = await import('@core/formats/subtitles')
    const found = readSubtitles(await textOfFile(file))
    if (!found.ok) {
      unread.value = [{ line: 0, sentence: `${file.name}: ${found.problem.sentence}` }]
      return
    }
    unread.value = found.value.faults
    await library.perform(keepTranscript, {
      episode: episode(),
      made: 'read',
      captions: found.value.captions,
    })
  }
  async function save(as: 'srt' | 'vtt' | 'txt') {
    const { writeSpoken, writeSrt, writeVtt } = await import('@core/formats/subtitles')
    const text = { srt: writeSrt, vtt: writeVtt, txt: writeSpoken }[as](captions.value)
    const type = as === 'vtt' ? 'text/vtt' : 'text/plain'
    download(`${card().episode.code.toLowerCase()}-subtitles.${as}`, text, type)
  }
  return {
    transcript,
    captions,
    faults,
    unread,
    read,
    save,
    /** What could be made of the script. */
    canMake: computed(() => transcriptOf(card().script, card().show.pace, timing()).length > 0),
    make: () => {
      const made = transcriptOf(card().script, card().show.pace, timing())
      unread.value = []
      void library.perform(keepTranscript, { episode: episode(), made: 'script', captions: made })
    },
    correct: (was: Caption, text: string) => {
      if (text.trim() !== was.text)
        void library.perform(
          correctCaption,
          { episode: episode(), was, to: { text: text.trim() } },
          'quietly',
        )
    },
    drop: () => {
      void library.perform(dropTranscript, { episode: episode() })
    },
  }
}
