import { demo, expect, test } from './fixtures'

test('a topic is one chip: chosen from what is known by a click, typed anew, or left with Tab', async ({
  desk: page,
}) => {
  await demo(page, '/ideas')
  await page.getByRole('button', { name: /^Why wooden boats smell/ }).click()
  const aside = page.getByRole('complementary', { name: 'The chosen idea' })
  const field = aside.getByLabel('Add a topic')
  const crosses = aside.getByRole('button', { name: /^Take the topic/ })
  await expect(crosses).toHaveCount(1)
  await field.pressSequentially('spa')
  await expect(crosses).toHaveCount(1)
  await page.getByRole('option', { name: 'Spars and sails' }).click()
  await expect(crosses).toHaveCount(2)
  await expect(aside.getByRole('button', { name: 'Take the topic Spars and sails away' })).toBeVisible()
  await expect(field).toHaveValue('')
  await field.pressSequentially('Oars')
  await field.press('Tab')
  await expect(crosses).toHaveCount(3)
  await field.pressSequentially('Rope')
  await field.press('Enter')
  await expect(crosses).toHaveCount(4)
  await expect(aside.getByRole('button', { name: 'Take the topic Rope away' })).toBeVisible()
})

test('a date is typed in words or chosen by keys from a month; what cannot be read is not taken for another', async ({
  desk: page,
}) => {
  await demo(page, '/ideas')
  await page.getByRole('button', { name: /^Why wooden boats smell/ }).click()
  await page.keyboard.press('p')
  const dialog = page.getByRole('dialog')
  await dialog.getByRole('button', { name: 'On a date off the rhythm' }).click()
  const date = dialog.getByLabel('Date', { exact: true })
  const time = dialog.getByLabel('Time', { exact: true })
  await date.fill('soonish')
  await date.press('Enter')
  await expect(dialog.getByRole('alert')).toContainText('is no date that can be read')
  await date.fill('next sat')
  await time.fill('half past five')
  await time.press('Enter')
  await expect(dialog.getByRole('alert')).toContainText('is no time of day')
  await expect(date).toHaveValue('Sat 5 Dec, 11 d')
  await dialog.getByRole('button', { name: 'Show a month' }).click()
  await expect(page.getByRole('heading', { name: 'Choose a day, December 2026' })).toBeAttached()
  await page.keyboard.press('ArrowDown')
  await page.keyboard.press('Enter')
  await expect(date).toHaveValue('Sat 12 Dec, 18 d')
  await time.fill('5.30 pm')
  await time.press('Enter')
  await expect(dialog).not.toBeAttached()
  await expect(
    page.getByRole('button', { name: /Why wooden boats smell, goes out Sat 12 Dec/ }).first(),
  ).toBeVisible()
})
