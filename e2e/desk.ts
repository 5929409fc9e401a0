import { expect, type Browser, type Page, type TestInfo } from '@playwright/test'
import { moment, quiet } from './quiet'

/**
 * The program open on the demo, from one test to the next: to open it anew takes longer than most of what is looked at.
 * Each test finds the demo laid anew by the program's own button; one that failed, or after which the browser remembers
 * something else than before, leaves a page that is not used again.
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
  const desk = { page, errors: await quiet(page) }
  desks.set(page, desk)
  return desk
}

/** What the browser remembers, but for the name that a desk gives itself; and whether its clock still goes right. */
function rememberedIn(page: Page): Promise<string> {
  return page.evaluate((begun) => {
    const kept = Object.entries(localStorage).filter(([key]) => key !== 'lamp-reel.desk')
    const minutes = (Date.now() - begun) / 60_000
    return JSON.stringify([minutes >= 0 && minutes < 30, ...kept.sort()])
  }, moment.getTime())
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

/** Whether a desk may be used again after a test. */
export async function isAsBefore(desk: Desk, { status, expectedStatus }: TestInfo): Promise<boolean> {
  return (
    status === expectedStatus &&
    desk.errors.length === 0 &&
    desk.remembered === (await rememberedIn(desk.page).catch(() => ''))
  )
}
