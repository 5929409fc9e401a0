import { existsSync, mkdirSync, readFileSync, renameSync, writeFileSync } from 'node:fs'
import { dirname } from 'node:path'
import { fileURLToPath } from 'node:url'
import { deflateSync, crc32 } from 'node:zlib'
import { test as base, expect, type BrowserContext, type Page } from '@playwright/test'
import { isOpen, layAnew, newDesk, opened, tidied, type Desk } from './desk'
import { keptDemo } from './kept'
import { moment, quiet } from './quiet'

/**
 * Tests with the clock fixed, and no error in the console: on a `page` of their own, or at a `desk` that is open from
 * one test to the next.
 */
export const test = base.extend<{ desk: Page }, { kept: { desk?: Desk } }>({
  page: async ({ page }, use) => {
    const errors = await quiet(page)
    await use(page)
    expect(errors).toEqual([])
  },
  kept: [({}, use) => use({}), { scope: 'worker' }],
  desk: async ({ browser, kept }, use, info) => {
    const desk = (kept.desk ??= await newDesk(browser))
    await use(desk.page)
    if (!(await tidied(desk, info).catch(() => false))) {
      delete kept.desk
      await desk.page.context().close()
    }
    expect(desk.errors).toEqual([])
  },
})
export { expect, moment }

/** Begins as a newcomer does: a weekly video show on Thursdays, ten hours a week. Ends on Today. */
export async function begin(page: Page, title = 'Tern & Tiller'): Promise<void> {
  await page.goto('/')
  await page.getByLabel('Name of the show').fill(title)
  await page.getByRole('button', { name: 'Begin' }).click()
  await page.getByRole('heading', { level: 1, name: 'Tuesday 24 November' }).waitFor()
  await stored(page)
}

const prepared = new WeakSet<Page>()
/** Lets the demo of a page be laid out from what was kept. */
async function withKeptDemo(page: Page): Promise<void> {
  if (prepared.has(page)) return
  prepared.add(page)
  await page.exposeFunction('keptDemo', () => (existsSync(keptDemo) ? readFileSync(keptDemo, 'utf8') : ''))
  await page.exposeFunction('keepDemo', (made: string) => {
    const mine = `${keptDemo}.${process.pid}`
    mkdirSync(dirname(keptDemo), { recursive: true })
    writeFileSync(mine, made)
    renameSync(mine, keptDemo)
  })
  await page.addInitScript({ path: fileURLToPath(new URL('kept-demo.mjs', import.meta.url)) })
}

/**
 * Opens the demo, laid out for the fixed moment: by its worker the first time, and as that made it from then on. A desk
 * that is open goes there with the demo laid anew.
 */
export async function demo(page: Page, path = '/today'): Promise<void> {
  if (isOpen(page)) {
    // Whatever still stands open over the screen is closed first.
    for (const key of ['Escape', 'Escape']) await page.keyboard.press(key)
    await visit(page, '/settings')
    await layAnew(page)
    return visit(page, path)
  }
  await withKeptDemo(page)
  await page.addInitScript(() => {
    if (localStorage.getItem('lamp-reel.world.own') === null)
      localStorage.setItem('lamp-reel.world.own', 'demo')
  })
  await page.goto(path)
  // Not an expectation: each time one of those is not met yet, all that is on the page is described.
  await page.getByRole('link', { name: 'Lamp Reel, to Today' }).waitFor({ timeout: 90_000 })
  if (path === '/today') await page.locator('#screen h1').waitFor()
  await opened(page)
}

/**
 * Goes to another screen of the program that is open, as a link does: to load all anew takes longer than most of what is
 * looked at there.
 */
export async function visit(page: Page, path: string): Promise<void> {
  await page.evaluate((to) => {
    history.pushState({}, '', to)
    dispatchEvent(new PopStateEvent('popstate', { state: {} }))
  }, path)
  // The address is another at once; the screen, when its script is there.
  const { pathname } = new URL(path, page.url())
  await page.locator(`#screen[data-at="${pathname}"]`).waitFor({ state: 'attached' })
}

/** Keeps ideas by the keyboard alone. */
export async function jot(page: Page, ...lines: string[]): Promise<void> {
  await page.keyboard.press('i')
  const field = page.getByRole('textbox', { name: 'Jot an idea' })
  await expect(field).toBeFocused()
  for (const line of lines) {
    await page.keyboard.type(line)
    await page.keyboard.press('Enter')
    await expect(field).toHaveValue('')
  }
  await page.keyboard.press('Escape')
  await stored(page)
}

/** Waits until all that is shown is in the store, so that a page may be left. */
export async function stored(page: Page): Promise<void> {
  await expect(page.locator('html:not([data-writing])')).toHaveCount(1)
}

/** A second page of the same browser, with the clock fixed too. */
export async function secondTab(context: BrowserContext, path: string): Promise<Page> {
  const page = await context.newPage()
  await page.clock.install({ time: moment })
  await page.goto(path)
  return page
}

function chunk(type: string, data: Buffer): Buffer {
  const body = Buffer.concat([Buffer.from(type), data])
  const size = Buffer.alloc(4)
  size.writeUInt32BE(data.length)
  const sum = Buffer.alloc(4)
  sum.writeUInt32BE(crc32(body) >>> 0)
  return Buffer.concat([size, body, sum])
}

/** A PNG of one colour, for pictures to add. */
export function png(width: number, height: number, [r, g, b]: [number, number, number]): Buffer {
  const head = Buffer.alloc(13)
  head.writeUInt32BE(width, 0)
  head.writeUInt32BE(height, 4)
  head.set([8, 2, 0, 0, 0], 8)
  const row = Buffer.concat([Buffer.from([0]), Buffer.alloc(width * 3).map((_, i) => [r, g, b][i % 3] ?? 0)])
  return Buffer.concat([
    Buffer.from([137, 80, 78, 71, 13, 10, 26, 10]),
    chunk('IHDR', head),
    chunk('IDAT', deflateSync(Buffer.concat(Array.from({ length: height }, () => row)))),
    chunk('IEND', Buffer.alloc(0)),
  ])
}
