import type { Page } from '@playwright/test'
import { film } from './film'
import { demo, expect, png, stored, test } from './fixtures'

/** Opens the pictures of an episode of the demo that has none. */
async function open(page: Page): Promise<void> {
  await demo(page, '/schedule')
  await page.locator('a', { hasText: 'Lofting a stem' }).first().click()
  await page.getByRole('link', { name: /^Thumbnail/ }).click()
  await expect(page.getByRole('heading', { name: 'No picture yet' })).toBeVisible()
}
const verdict = (page: Page) =>
  page
    .getByRole('status')
    .filter({ hasText: /passes|fail|\./ })
    .last()
const value = (page: Page, measure: string) => page.getByRole('row', { name: new RegExp(`^${measure}`) })

test('a frame is taken from the cut and words are laid over it; three measures fail, are mended, and it is chosen', async ({
  desk: page,
}) => {
  await open(page)
  await page.keyboard.press('f')
  await page.getByLabel('The film to take a frame from').setInputFiles(film(1, '1280x720'))
  await page.getByRole('button', { name: 'A frame on' }).click()
  await page.getByRole('button', { name: 'Take this frame' }).click()
  await expect(page.getByRole('heading', { name: 'One candidate' })).toBeVisible()
  await expect(page.getByText('1280 × 720 ·')).toBeVisible()

  await page.keyboard.press('w')
  const room = page.getByRole('region', { name: 'Words over the picture' })
  await room.getByRole('button', { name: 'Lay words over' }).click()
  await room.getByRole('textbox', { name: 'Words' }).fill('LOFTING')
  await room.getByLabel('Size').fill('0.05')
  await room.getByRole('button', { name: 'bottom right' }).click()
  const measured = page.getByRole('region', { name: 'Measured so far' })
  await expect(measured).toContainText('Move “LOFTING” out of the lower right corner')
  await page.keyboard.press('Control+Enter')
  await expect(page.getByRole('columnheader', { name: /^A/ })).toContainText('fail')
  for (const [measure, is] of [
    ['Letters', '3'],
    ['Under the length', '1 line'],
    ['Words not in the title', '0 of 1'],
  ] as const)
    await expect(value(page, measure).getByRole('cell')).toHaveText(is)

  await page.keyboard.press('w')
  await room.getByRole('textbox', { name: 'Words' }).fill('WHITE\nCHALK')
  await room.getByLabel('Size').fill('0.3')
  await room.getByRole('button', { name: 'middle left' }).click()
  await room.getByRole('button', { name: 'Colour #14110f' }).click()
  await room.getByLabel('Outline').check()
  await expect(measured).not.toContainText('lower right corner')
  await page.getByRole('button', { name: /^Keep it/ }).click()
  await expect(value(page, 'Under the length').getByRole('cell')).toHaveText('clear')
  await expect(value(page, 'Words not in the title').getByRole('cell')).toHaveText('2 of 2')
  await expect(page.getByRole('heading', { name: 'One candidate' })).toBeVisible()
  await page.keyboard.press('Enter')
  await expect(page.getByText('A is chosen.')).toBeVisible()
  await stored(page)
  await page.reload()
  await expect(page.getByText('A is chosen.')).toBeVisible()
  await expect(value(page, 'Words not in the title').getByRole('cell')).toHaveText('2 of 2')
})

test('a finished picture: its words are boxed by hand; one is refused with a reason, one kept as the runner-up', async ({
  desk: page,
}) => {
  await open(page)
  await page.getByLabel('Picture files').setInputFiles([
    { name: 'blue.png', mimeType: 'image/png', buffer: png(1280, 720, [20, 40, 90]) },
    { name: 'red.png', mimeType: 'image/png', buffer: png(1280, 720, [120, 20, 20]) },
    { name: 'green.png', mimeType: 'image/png', buffer: png(1280, 720, [20, 120, 60]) },
  ])
  await expect(page.getByRole('heading', { name: '3 candidates' })).toBeVisible()
  await expect(verdict(page)).toContainText('Where its words are is not known: four measures wait')
  await page.getByRole('button', { name: 'Draw round them' }).click()
  const area = await page.getByTestId('word-boxes').boundingBox()
  if (!area) throw new Error('nowhere to draw')
  await page.mouse.move(area.x + area.width * 0.8, area.y + area.height * 0.88)
  await page.mouse.down()
  await page.mouse.move(area.x + area.width * 0.98, area.y + area.height * 0.99)
  await page.mouse.up()
  await page.getByLabel('What it says').fill('STEM')
  await page.getByRole('button', { name: 'Keep this line' }).click()
  await page.getByRole('button', { name: 'Done', exact: true }).click()
  await expect(verdict(page)).toContainText('Move “STEM” out of the lower right corner')
  // Words that stood in it before are measured with those laid over it, as long as its crop shows them there.
  await page.keyboard.press('w')
  const measured = page.getByRole('region', { name: 'Measured so far' })
  await expect(measured).toContainText('Move “STEM” out of the lower right corner')
  await page.keyboard.press('Escape')
  await expect(page.getByRole('heading', { name: '3 candidates' })).toBeVisible()

  await page.getByRole('button', { name: 'More', exact: true }).click()
  await page.getByRole('button', { name: 'Refuse it, with a reason' }).click()
  await page.getByRole('button', { name: 'Says too much' }).click()
  await page.getByRole('button', { name: /^Refuse C/ }).click()
  await expect(verdict(page)).toContainText('C was refused: Says too much')
  for (const letter of ['A', 'B']) {
    await page.getByRole('button', { name: `Look at picture ${letter}` }).click()
    await page.getByRole('button', { name: new RegExp(`^Choose ${letter}`) }).click()
    await expect(page.getByText(`${letter} is chosen.`)).toBeVisible()
  }
  await expect(page.getByText('A stays as the runner-up')).toBeVisible()
})

test('an episode that runs below its usual is offered its runner-up on Today; the swap is undone by one key', async ({
  desk: page,
}) => {
  await demo(page, '/today')
  const offer = page.getByRole('region', { name: 'A swap for #39' })
  await expect(offer).toContainText('runs at 0.8× its usual')
  await offer.getByRole('button', { name: 'Change to B' }).click()
  await expect(offer).toHaveCount(0)
  await page.keyboard.press('Control+z')
  await expect(offer).toBeVisible()
  await offer.getByRole('button', { name: 'Let it stay' }).click()
  await expect(offer).toHaveCount(0)
})
