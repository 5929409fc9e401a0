import type { Script } from '../records'
import { sectionSeconds, type SpeechPace } from '../script/timing'
import { sayTime } from '../script/timecode'

/**
 * A script as Markdown: sections as headings with their times, voice-over as quotes, shots as a checklist
 * under their beat.
 */
export function scriptMarkdown(script: Script | undefined, title: string, pace: SpeechPace): string {
  const sections = (script?.sections ?? []).map((section) => {
    const beats = section.beats
      .filter((b) => b.text.trim() !== '' || b.cues.length > 0)
      .map((beat) => {
        const text =
          beat.delivery === 'voice'
            ? beat.text
                .trim()
                .split('\n')
                .map((l) => `> ${l}`)
                .join('\n')
            : beat.text.trim()
        return [
          text,
          ...(beat.cues.length > 0
            ? [
                beat.cues
                  .map((c) => `- [${c.got ? 'x' : ' '}] ${c.kind === 'shot' ? '' : `${c.kind}: `}${c.text}`)
                  .join('\n'),
              ]
            : []),
        ]
          .filter(Boolean)
          .join('\n\n')
      })
    return [`## ${section.title} (${sayTime(sectionSeconds(script, section, pace))})`, ...beats].join('\n\n')
  })
  return `${[`# ${title}`, ...sections].join('\n\n')}\n`
}
