import { sayTime } from '../../core/script/timecode'
import type { Kept, StandIn } from './store'

const signs: Readonly<Record<string, string>> = {
  '&': '&amp;',
  '<': '&lt;',
  '>': '&gt;',
  '"': '&quot;',
  "'": '&#39;',
}
/** Text as text: nothing that was handed over is ever read as HTML. */
const safe = (text: string) => text.replace(/[&<>"']/g, (c) => signs[c] ?? c)

const style = `<style>body{font:16px/1.5 system-ui,sans-serif;max-width:720px;margin:40px auto;padding:0 16px;color:#222;background:#f6f3ee}
img{max-width:100%;border-radius:8px}table{border-collapse:collapse;width:100%}td,th{text-align:left;padding:6px 10px 6px 0;border-top:1px solid #ccc}
p.note{border:1px dashed #777;border-radius:6px;padding:8px 12px}button,select,input{font:inherit;padding:4px 8px}</style>`
const page = (title: string, body: string) =>
  `<!doctype html><html lang="en"><meta charset="utf-8"><meta name="viewport" content="width=device-width"><title>${safe(title)}</title>${style}<body>${body}`
const note =
  '<p class="note">This is a stand-in: a simulated outlet that ships with Lamp Reel. Nothing here is public.</p>'
const troubles = [
  ['none', 'nothing: it works'],
  ['down', 'it is down'],
  ['slow', 'it is slow'],
  ['refuse a tag', 'it refuses a tag'],
  ['lose the answer', 'it loses its next answer after taking the thing'],
] as const

/** Everything that it has, and what it is to do wrong. */
export function listPage(standIn: StandIn): string {
  const rows = [...standIn.things]
    .sort((a, b) => (a.thing.at < b.thing.at ? 1 : -1))
    .map((kept) => {
      const { thing } = kept
      const is = standIn.isLive(kept)
        ? `<a href="/stand-in/watch/${safe(thing.id)}">live</a>`
        : `goes out ${safe(new Date(thing.at).toUTCString())}`
      return `<tr><th scope="row">${safe(thing.title)}<td>${safe(thing.show)}<td>${is}`
    })
  const options = troubles.map(
    ([kind, says]) =>
      `<option value="${kind}"${kind === standIn.trouble.kind ? ' selected' : ''}>${says}</option>`,
  )
  return page(
    'The stand-in',
    `<h1>The stand-in</h1>${note}
<form method="post" action="/stand-in/trouble"><p><label>What goes wrong: <select name="kind">${options.join('')}</select></label>
<label>Tag: <input name="tag" value="${safe(standIn.trouble.tag ?? '')}"></label></p>
<p><label>Its clock is ahead by <input name="ahead" inputmode="decimal" size="6" value="${standIn.ahead}"> hours</label>, so that one need not wait to see a release out. <button>Set it</button></p></form>
<table><caption>${standIn.things.length === 0 ? 'Nothing was handed over yet.' : 'What was handed over'}</caption>${rows.join('')}</table>`,
  )
}

/** A thing that is out, as its audience sees it. */
export function watchPage({ thing, hasPicture }: Kept, views: number): string {
  const chapters = thing.chapters.map((c) => `<li>${sayTime(c.start)} ${safe(c.title)}`).join('')
  return page(
    thing.title,
    `${hasPicture ? `<img src="/stand-in/watch/${safe(thing.id)}/picture.jpg" alt="">` : ''}<h1>${safe(thing.title)}</h1>
<p>${safe(thing.show)} · seen ${views.toLocaleString('en')} times</p>
<p style="white-space:pre-wrap">${safe(thing.description)}</p>${chapters ? `<ol>${chapters}</ol>` : ''}${note}`,
  )
}
