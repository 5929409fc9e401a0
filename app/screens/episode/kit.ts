import { zipSync } from 'fflate'
import { frameOf } from '@core/pictures/frame'
import type { Outlet } from '@core/records'
import { fileName, kitTexts, outletTexts } from '@core/release/kit'
import type { Card } from '@core/views/card'
import { renderPicture } from './pictures'

/**
 * An episode's release kit as a zip: its texts, its chosen picture as PNG and JPEG in the size of its show's pictures, and a
 * folder of what each outlet asks.
 */
export async function releaseKit(
  card: Card,
  file: { type: string; bytes: Uint8Array } | undefined,
): Promise<{ name: string; bytes: Uint8Array }> {
  const most = Math.min(...card.outlets.map((o) => o.pictureBytes), 2_000_000)
  const frame = frameOf(card.show)
  const name = card.show.kind === 'audio' ? 'cover' : 'thumbnail'
  const pictures: Record<string, Uint8Array> = file
    ? {
        [`${name}.png`]: await renderPicture(file, 'image/png', frame, most),
        [`${name}.jpg`]: await renderPicture(file, 'image/jpeg', frame, most),
      }
    : {}
  const texts = kitTexts(card, {
    number: card.number,
    at: card.standing.release?.at,
    pictures: Object.keys(pictures),
  })
  const encoder = new TextEncoder()
  const entries: Entries = {}
  for (const [name, text] of Object.entries(texts)) entries[name] = encoder.encode(text)
  for (const [name, bytes] of Object.entries(pictures)) entries[name] = [bytes, { level: 0 }]
  for (const outlet of card.outlets)
    for (const [name, text] of Object.entries(outletTexts(outlet, card)))
      entries[`${fileName('', outlet.name)}/${name}`] = encoder.encode(text)
  return { name: `${fileName(card.number, card.title)}.zip`, bytes: zipSync(entries) }
}

type Entries = Record<string, Uint8Array | [Uint8Array, { level: 0 }]>

/** What one outlet asks of an episode, as a zip: its fields in their order, and the picture as it takes it. */
export async function outletKit(
  card: Card,
  outlet: Outlet,
  file: { type: string; bytes: Uint8Array } | undefined,
): Promise<{ name: string; bytes: Uint8Array }> {
  const encoder = new TextEncoder()
  const entries: Entries = {}
  for (const [name, text] of Object.entries(outletTexts(outlet, card))) entries[name] = encoder.encode(text)
  if (file)
    entries['picture.jpg'] = [
      await renderPicture(file, 'image/jpeg', frameOf(card.show), outlet.pictureBytes),
      { level: 0 },
    ]
  const name = `${fileName(card.number, card.title)}-${fileName('', outlet.name)}.zip`
  return { name, bytes: zipSync(entries) }
}
