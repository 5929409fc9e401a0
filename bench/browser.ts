import { gzipSync } from 'node:zlib'
import { createServer } from 'node:http'
import { fileURLToPath } from 'node:url'
import { chromium, type Page } from '@playwright/test'
import { headless } from '../e2e/chromium'
import { lampReelServer } from '../server/app'
import { line } from './measure'
import { middleOf, openingMs } from './opening'

/**
 * The interface on the large demo: script before the first screen, the time to open screens, and from a key
 * to its letter.
 */
const server = createServer(lampReelServer(fileURLToPath(new URL('../dist', import.meta.url)), 'demo large'))
await new Promise<void>((ready) => {
  server.listen(4197, '127.0.0.1', ready)
})
const base = 'http://127.0.0.1:4197'
const browser = await chromium.launch(headless)

const today = { name: /day/, level: 1 }
const own = await browser.newContext({ reducedMotion: 'reduce' })
await own.addInitScript(() => {
  localStorage.setItem('lamp-reel.world.demo', 'own')
})
await own.addInitScript(() => {
  new MutationObserver((_, seen) => {
    if (!/day/.test(document.querySelector('#screen h1')?.textContent ?? '')) return
    performance.mark('today')
    seen.disconnect()
  }).observe(document, { childList: true, subtree: true })
})
/** A page whose script is weighed: `said` gives what was asked for before Today stood, kB gzipped. */
async function weighed() {
  const page = await own.newPage()
  const sizes = new Map<string, Promise<number>>()
  page.on('response', (response) => {
    const size = () => response.body().then((body) => gzipSync(body).length)
    if (response.url().endsWith('.js'))
      sizes.set(
        response.url(),
        size().catch(() => 0),
      )
  })
  await page.goto(base)
  async function said(): Promise<string> {
    await page.getByRole('heading', today).waitFor()
    const before = await page.evaluate(() => {
      const [stood] = performance.getEntriesByName('today')
      const files = performance.getEntriesByType('resource')
      return files.filter((f) => f.startTime < (stood?.startTime ?? 0)).map((f) => f.name)
    })
    const all = await Promise.all(before.map((file) => sizes.get(file) ?? Promise.resolve(0)))
    return `${(all.reduce((a, b) => a + b, 0) / 1000).toFixed(0)} kB`
  }
  return { page, said }
}
const { page: first, said: ofNewcomer } = await weighed()
await first.getByRole('button', { name: 'Begin' }).waitFor()
await first.getByLabel('Name of the show').fill('Bench')
await first.getByRole('button', { name: 'Begin' }).click()
console.log(`script of a newcomer until Today, with Welcome, gzipped         ${await ofNewcomer()}`)
const again = await weighed()
console.log(`script before Today with nothing planned, gzipped               ${await again.said()}`)
await jotted(first)
const worked = await weighed()
console.log(`script before Today with work, gzipped                          ${await worked.said()}`)
await own.close()

/** Puts a first idea on the next slot. */
async function jotted(page: Page): Promise<void> {
  await page.keyboard.press('i')
  await page.keyboard.type('Steaming ribs')
  await page.keyboard.press('Enter')
  await page.keyboard.press('Escape')
  await page.getByRole('button', { name: 'Choose an idea', exact: true }).click()
  await page.getByRole('dialog').getByText('Steaming ribs').first().click()
  await page.getByRole('region', { name: 'Ready ahead' }).waitFor()
}

const page = await (
  await browser.newContext({
    reducedMotion: 'reduce',
    viewport: { width: 1280, height: 800 },
    permissions: ['clipboard-read', 'clipboard-write'],
  })
).newPage()
let start = performance.now()
await page.goto(`${base}/today`)
await page.getByRole('link', { name: 'Schedule' }).waitFor({ timeout: 300_000 })
console.log(line('large demo laid out (once a day)', performance.now() - start))
start = performance.now()
await page.reload()
await page.getByRole('heading', { level: 1 }).waitFor({ timeout: 60_000 })
console.log(line('Today after a reload, all read from the store', performance.now() - start))

/** From a click to the painted screen, measured in the page itself. */
async function opening(what: string, click: string, there: string): Promise<void> {
  const times: number[] = []
  for (let i = 0; i < 5; i++) {
    await page.getByRole('link', { name: 'Shows' }).click()
    await page.getByRole('heading', { level: 1, name: 'Shows' }).waitFor()
    times.push((await openingMs(page, click, there)).painted)
  }
  console.log(line(`${what}, the middle of five`, middleOf(times)))
}
await opening('Today opens', 'a[href="/today"]', '#nextout')
await opening('Slots open', 'a[href="/schedule"]', 'table.slots tbody tr')
await opening('an episode opens', '.frame.filled', 'nav[aria-label="Stages of the episode"]')
await opening('Release opens (5 outlets, two weeks)', 'a[href="/release"]', '.frame.here')
await opening('the list of 10,000 ideas opens', 'a[href="/ideas"]', '[aria-label="Ideas"] li')
await opening(
  'the Catalogue of 5,000 opens',
  'a[href="/catalogue"]',
  '[aria-label="Released episodes"] [role="presentation"] [role="row"]',
)

await opening(
  'Rhythm of 2,500 releases opens',
  'a[href="/rhythm"]',
  'svg[aria-label^="Releases of this time"]',
)

await opening(
  'People and partners open',
  '[aria-label="Which show"] button:last-child',
  'nav[aria-label="People"] li',
)

/** From a key in a field to the frame that shows its letter. */
async function typing(what: string, selector: string): Promise<void> {
  await page.locator(selector).first().click()
  const times = await page.evaluate(async (field) => {
    const input = document.querySelector<HTMLTextAreaElement | HTMLInputElement>(field)
    const found: number[] = []
    for (let i = 0; input && i < 40; i++) {
      const begin = performance.now()
      input.setRangeText('a', input.value.length, input.value.length, 'end')
      input.dispatchEvent(new InputEvent('input', { bubbles: true, data: 'a', inputType: 'insertText' }))
      await new Promise((r) => {
        requestAnimationFrame(() => {
          setTimeout(r, 0)
        })
      })
      found.push(performance.now() - begin)
    }
    return found.sort((a, b) => a - b)
  }, selector)
  console.log(line(`${what}, key to painted letter: middle`, times[20] ?? 0))
  console.log(line(`${what}, key to painted letter: slowest of 40`, times.at(-1) ?? 0))
}
/** From a key pressed where the focus is to the end of the frame that shows what it did. */
async function pressed(key: string): Promise<number> {
  const begin = await page.evaluate(() => performance.now())
  await page.keyboard.press(key)
  return page.evaluate(
    (from) =>
      new Promise<number>((done) => {
        requestAnimationFrame(() => {
          setTimeout(() => {
            done(performance.now() - from)
          }, 0)
        })
      }),
    begin,
  )
}
/** From a letter pressed where the focus is to the frame that shows it. */
async function keying(what: string): Promise<void> {
  const letters: number[] = []
  for (let i = 0; i < 40; i++) letters.push(await pressed('a'))
  letters.sort((x, y) => x - y)
  console.log(line(`${what}, key to letter: middle`, letters[20] ?? 0))
  console.log(line(`${what}, key to letter: slowest of 40`, letters.at(-1) ?? 0))
}
/** From a key that does something, on a page that rests, to the frame that shows it done. */
async function doing(what: string, key: string): Promise<void> {
  const times: number[] = []
  for (let i = 0; i < 8; i++) {
    await page.waitForTimeout(800)
    times.push(await pressed(key))
  }
  console.log(line(`${what}, key to paint: the middle of eight`, middleOf(times)))
}
await page.getByRole('link', { name: 'Lamp Reel, to Today' }).click()
await page.locator('#nextout').waitFor()
await doing('a step begins or stops, 15,000 episodes', 't')
await page.goto(`${base}/ideas`)
await page.locator('[aria-label="Ideas"] li').first().waitFor()
await typing('find in 15,000 episodes', 'input[type="search"]')
await page.goto(`${base}/catalogue`)
await page.locator('[aria-label="The film, to be scrolled"] button').first().waitFor()
await typing('asking the catalogue of 5,000', 'input[aria-label="Ask the catalogue"]')
await page.locator('input[aria-label="Ask the catalogue"]').fill('')
const frames = await page.evaluate(async () => {
  const film = document.querySelector('[aria-label="The film, to be scrolled"]')
  const found: number[] = []
  let last = performance.now()
  for (let i = 0; film && i < 120; i++) {
    film.scrollLeft -= 40
    await new Promise((r) => {
      requestAnimationFrame(r)
    })
    const now = performance.now()
    found.push(now - last)
    last = now
  }
  return found.sort((a, b) => a - b)
})
console.log(line('scrolling the film with its arcs, a frame: middle of 120', frames[60] ?? 0))
console.log(line('scrolling the film with its arcs, a frame: the 12th slowest', frames[108] ?? 0))
await page.goto(`${base}/today`)
await page.getByRole('heading', { level: 1 }).waitFor()
await typing('jotting, with likeness and topics looked up', 'input[aria-label="Jot an idea"]')
await page.goto(`${base}/schedule`)
const address = await page.locator('tbody a', { hasText: 'Cutting a spar' }).getAttribute('href')
await page.goto(`${base}${address ?? ''}/script`)
await page.locator('.beat').first().waitFor()
await page.locator('.beat').nth(2).click()
await keying('script of 1,000 words')
await page.goto(`${base}${address ?? ''}/edit`)
await page.getByRole('heading', { level: 1 }).waitFor()
await page.getByRole('button', { name: 'Notebook' }).click()
const note = page.getByRole('textbox', { name: 'Note' })
await note.click()
await page.evaluate(async () => {
  const text = 'The keel lies on its side and waits. '.repeat(27)
  await navigator.clipboard.writeText(Array.from({ length: 20 }, () => text).join('\n\n'))
})
await page.keyboard.press('Control+v')
await keying('notebook of 20,000 characters')
await page.goto(`${base}${address ?? ''}/brief`)
await page.locator('textarea[data-at="takeaway"]').waitFor()
await typing('brief', 'textarea[data-at="takeaway"]')
await browser.close()
server.close()
