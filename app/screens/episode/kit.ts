import { zipSync } from 'fflate'
import { fileName, kitTexts } from '@core/release/kit'
import type { Card } from '@core/views/card'
import { renderPicture } from './pictures'

/** An episode's release kit as a zip: its texts, and its chosen picture as PNG and JPEG at 1280 × 720. */
export async function releaseKit(
  card: Card,
  file: { type: string; bytes: Uint8Array } | undefined,
): Promise<{ name: string; bytes: Uint8Array }> {
  const most = Math.min(...card.outlets.map((o) => o.pictureBytes), 2_000_000)
  const pictures: Record<string, Uint8Array> = file
    ? {
        'thumbnail.png': await renderPicture(file.bytes, file.type, 'image/png', most),
        'thumbnail.jpg': await renderPicture(file.bytes, file.type, 'image/jpeg', most),
      }
    : {}
  const texts = kitTexts(card, {
    number: card.number,
    at: card.standing.release?.at,
    pictures: Object.keys(pictures),
  })
  const encoder = new TextEncoder()
  const entries: Record<string, Uint8Array | [Uint8Array, { level: 0 }]> = {}
  for (const [name, text] of Object.entries(texts)) entries[name] = encoder.encode(text)
  for (const [name, bytes] of Object.entries(pictures)) entries[name] = [bytes, { level: 0 }]
  return { name: `${fileName(card.number, card.title)}.zip`, bytes: zipSync(entries) }
}
