import type { Chapter } from '../script/chapters'

/** Escapes what FFmpeg's metadata format keeps for itself: `=`, `;`, `#`, `\` and line breaks. */
function escaped(text: string): string {
  return text.replace(/[=;#\\\n]/g, (c) => `\\${c}`)
}

/**
 * Title and chapters in FFmpeg's metadata format (ffmpeg-formats, "Metadata"), times in milliseconds. A
 * chapter ends where the next begins; the last at `length` seconds, or a second after its start when that
 * is not known.
 */
export function ffmetadata(
  list: readonly Chapter[],
  about: { title: string; artist: string; length?: number | undefined },
): string {
  const head = `;FFMETADATA1\ntitle=${escaped(about.title)}\nartist=${escaped(about.artist)}\n`
  return (
    head +
    list
      .map((c, i) => {
        const end = list[i + 1]?.start ?? Math.max(about.length ?? 0, c.start + 1)
        return `\n[CHAPTER]\nTIMEBASE=1/1000\nSTART=${Math.round(c.start * 1000)}\nEND=${Math.round(end * 1000)}\ntitle=${escaped(c.title)}\n`
      })
      .join('')
  )
}
