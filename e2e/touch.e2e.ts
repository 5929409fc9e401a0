import type { Locator, Page } from '@playwright/test'
import { demo, expect, test } from './fixtures'

test.use({ hasTouch: true })

/** A finger on the screen. */
async function finger(page: Page) {
  const client = await page.context().newCDPSession(page)
  const middle = async (at: Locator) => {
    await at.scrollIntoViewIfNeeded()
    const box = await at.boundingBox()
    if (!box) throw new Error('It is not in sight')
    return { x: box.x + box.width / 2, y: box.y + box.height / 2 }
  }
  const send = (type: 'touchStart' | 'touchMove' | 'touchEnd', points: { x: number; y: number }[]) =>
    client.send('Input.dispatchTouchEvent', { type, touchPoints: points })
  return {
    down: async (at: Locator) => send('touchStart', [await middle(at)]),
    to: async (at: Locator) => send('touchMove', [await middle(at)]),
    up: () => send('touchEnd', []),
  }
}

test('by touch a block is carried to another day once the finger has rested on it; Escape gives it up', async ({
  desk: page,
}) => {
  await demo(page, '/week')
  const day = (name: string) => page.getByRole('listitem', { name, exact: true })
  const film = (name: string) => day(name).getByRole('button', { name: /^Film the shots, #43/ })
  const hand = await finger(page)
  const carried = page.locator('html[data-dragging]')
  const goal = (name: string) => page.locator(`li[data-goal][aria-label="${name}"]`)

  await hand.down(film('Tue 24 Nov'))
  await expect(carried).toBeAttached()
  await hand.to(day('Thu 26 Nov'))
  await expect(goal('Thu 26 Nov')).toBeAttached()
  await page.keyboard.press('Escape')
  await expect(carried).not.toBeAttached()
  await hand.up()
  await expect(film('Tue 24 Nov')).toBeVisible()

  await hand.down(film('Tue 24 Nov'))
  await expect(carried).toBeAttached()
  await hand.to(day('Fri 27 Nov'))
  await expect(goal('Fri 27 Nov')).toBeAttached()
  await hand.up()
  await expect(page.getByText('Film the shots laid on Fri 27 Nov')).toBeVisible()
  await expect(film('Fri 27 Nov')).toBeVisible()
})
