import type { Page } from '@playwright/test'
import { restored } from './restored'
import { wideBackup } from './wide'

/**
 * Dragging on Countdown and Month with 300 episodes in work: the frames that come while a card is carried
 * about, against the 16.7 ms of 60 a second.
 */
const { page, base, end } = await restored(4196, wideBackup(Date.now()))
await page.addInitScript(() => {
  localStorage.setItem('lamp-reel.countdown-weeks', '26')
})

/** Counts frames in the page while the mouse goes to and fro over `selector`'s card. */
async function frames(
  what: string,
  at: { x: number; y: number },
  moves: readonly [number, number][],
): Promise<void> {
  await page.mouse.move(at.x, at.y)
  await page.mouse.down()
  await page.mouse.move(at.x + 10, at.y + 2)
  await page.evaluate(() => {
    const times: number[] = []
    let last = performance.now()
    const tick = (now: number) => {
      times.push(now - last)
      last = now
      if (!Reflect.get(window, 'stopFrames')) requestAnimationFrame(tick)
    }
    Reflect.set(window, 'frameTimes', times)
    Reflect.set(window, 'stopFrames', false)
    requestAnimationFrame(tick)
  })
  for (let round = 0; round < 3; round++)
    for (const [dx, dy] of moves) await page.mouse.move(at.x + dx, at.y + dy, { steps: 2 })
  const times = (
    await page.evaluate(() => {
      Reflect.set(window, 'stopFrames', true)
      const found: unknown = Reflect.get(window, 'frameTimes')
      return Array.isArray(found) ? found.map(Number) : []
    })
  )
    .slice(2)
    .sort((a, b) => a - b)
  await page.keyboard.press('Escape')
  await page.mouse.up()
  const of = (share: number) => times[Math.min(times.length - 1, Math.floor(times.length * share))] ?? 0
  console.log(
    `${what.padEnd(58)} ${String(times.length).padStart(5)} frames: middle ${(of(0.5) / 16.7).toFixed(2)}, nine in ten within ${(of(0.9) / 16.7).toFixed(2)}, worst ${(of(1) / 16.7).toFixed(2)} × 16.7 ms`,
  )
}
async function box(page_: Page, selector: string): Promise<{ x: number; y: number }> {
  const found = await page_.locator(selector).first().boundingBox()
  if (!found) throw new Error(`nothing is at ${selector}`)
  return { x: found.x + found.width / 2, y: found.y + found.height / 2 }
}
const across: [number, number][] = Array.from({ length: 40 }, (_, i) => [20 + i * 6, 3])
await page.goto(`${base}/schedule/countdown`)
await page.locator('[data-card]').nth(200).waitFor()
console.log(`cards on Countdown: ${await page.locator('[data-card]').count()}`)
await page.waitForTimeout(6000)
await frames(
  'dragging on Countdown, 300 episodes over 26 weeks',
  await box(page, '[data-card]:not(.pin)'),
  across,
)
await page.goto(`${base}/schedule/month`)
await page.locator('[data-month-card]').nth(20).waitFor()
console.log(`releases on Month: ${await page.locator('[data-month-card]').count()}`)
await page.waitForTimeout(6000)
await frames(
  'dragging on Month, 300 episodes',
  await box(page, '[data-month-card][data-carries]'),
  across.map(([dx, dy]) => [dx, dy + dx / 3]),
)
await end()
