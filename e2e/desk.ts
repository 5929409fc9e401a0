import { expect, type Browser, type Page, type TestInfo } from '@playwright/test'
import { moment, quiet } from './quiet'

/**
 * The program open on the demo, from one test to the next: to open it anew takes longer than most of what is looked at.
 * Each test finds the demo laid anew by the program's own button, at the size and with the choices that it opened with;
 * one that failed, or after which the clock goes otherwise, leaves a page that is not used again.
 */
export interface Desk {
  page: Page
  /** What went wrong in it so far. */
  errors: readonly string[]
  /** What the browser remembered before anything was done; nothing before it is open. */
  remembered?: string
}

const desks = new WeakMap<Page, Desk>()

/** A new desk, its page still blank. */
export async function newDesk(browser: Browser): Promise<Desk> {
  const page = await (await browser.newContext()).newPage()
  // As in browsers that cannot remember where a file lies.
  await page.addInitScript(() => {
    Reflect.deleteProperty(window, 'showOpenFilePicker')
  })
  const desk = { page, errors: await quiet(page) }
  desks.set(page, desk)
  return desk
}

/** What the browser remembers, but for the name that a desk gives itself. */
function rememberedIn(page: Page): Promise<string> {
  return page.evaluate(() =>
    JSON.stringify(
      Object.entries(localStorage)
        .filter(([key]) => key !== 'lamp-reel.desk')
        .sort(),
    ),
  )
}

/** Whether a page's clock still goes as it did when it was opened. */
function isOnTime(page: Page): Promise<boolean> {
  return page.evaluate((begun) => {
    const minutes = (Date.now() - begun) / 60_000
    return minutes >= 0 && minutes < 30
  }, moment.getTime())
}

/** Makes the browser remember what it did when the desk was opened, which the program reads when it starts. */
async function restore({ page, remembered = '' }: Desk): Promise<void> {
  if ((await rememberedIn(page)) === remembered) return
  await page.evaluate((kept: [string, string][]) => {
    const desk = localStorage.getItem('lamp-reel.desk')
    localStorage.clear()
    if (desk !== null) localStorage.setItem('lamp-reel.desk', desk)
    for (const [key, value] of kept) localStorage.setItem(key, value)
  }, JSON.parse(remembered))
  await page.reload()
  await page.getByRole('link', { name: 'Lamp Reel, to Today' }).waitFor({ timeout: 90_000 })
}

/** Notes what the browser remembers in a desk that was just opened; nothing for any other page. */
export async function opened(page: Page): Promise<void> {
  const desk = desks.get(page)
  if (desk) desk.remembered = await rememberedIn(page)
}

/** Whether a page is a desk that stands open from a test before. */
export function isOpen(page: Page): boolean {
  return desks.get(page)?.remembered !== undefined
}

/** Lays the demo of an open desk anew, as its Settings do; nothing that was said before is still to be read. */
export async function layAnew(page: Page): Promise<void> {
  await page.mouse.move(0, 0)
  const lay = { name: 'Lay it anew now' }
  await page.getByRole('button', lay).click()
  await page.getByRole('button', { ...lay, disabled: false }).waitFor()
  await page.clock.fastForward(20_000)
  await expect(page.locator('[data-sonner-toast]')).toHaveCount(0)
  await page.clock.setSystemTime(moment)
}

/** Makes a desk ready for the next test; false where it may not be used again. */
export async function tidied(desk: Desk, { status, expectedStatus }: TestInfo): Promise<boolean> {
  const { page, errors, remembered } = desk
  if (status !== expectedStatus || errors.length > 0 || remembered === undefined) return false
  for (const other of page.context().pages()) if (other !== page) await other.close()
  if (!(await isOnTime(page))) return false
  await page.setViewportSize({ width: 1280, height: 800 })
  await restore(desk)
  return (await rememberedIn(page)) === remembered
}
