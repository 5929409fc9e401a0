import { begin, expect, jot, png, stored, test, visit } from './fixtures'

/** Not everybody writes every word. */
test('an episode with no script at all becomes ready: points here, freely there, the rest ticked by hand', async ({
  page,
}) => {
  await begin(page)
  await jot(page, 'An hour at the slip')
  await visit(page, '/ideas')
  await page.locator('[aria-label="Ideas"]').getByText('An hour at the slip').first().click()
  await page.getByRole('button', { name: /^Start/ }).click()
  await page.getByRole('link', { name: /^Script/ }).click()

  // One section from points: the running time follows their own rate.
  const section = page.getByLabel(/^How “.*” is spoken$/).first()
  const more = page.getByRole('button', { name: /^More for the section/ }).first()
  await more.click()
  await section.selectOption('points')
  await page.keyboard.press('Escape')
  await page.locator('.beat .words').first().click()
  for (const [i, point] of ['the tide', 'the rope', 'the mud'].entries()) {
    if (i > 0) await page.keyboard.press('Shift+Enter')
    await page.keyboard.type(point)
  }
  await expect(page.getByTestId('running-time')).toHaveText('2:00')

  // All of it freely: nothing but a length.
  await page.getByLabel('How the script is spoken').selectOption('free')
  await more.click()
  await section.selectOption('')
  await page.keyboard.press('Escape')
  const lamp = page.getByRole('link', { name: /^Script/ })
  await expect(lamp).not.toHaveAccessibleName('Script: lit')
  await page.getByLabel('How long the script lasts').fill('45:00')
  await page.getByLabel('How long the script lasts').press('Enter')
  await expect(page.getByTestId('running-time')).toHaveText('45:00')
  await expect(lamp).toHaveAccessibleName('Script: lit')
  await stored(page)

  // What a step is completed by can be left out by a tick, which says once what is then missing.
  for (const stage of ['Film', 'Edit']) {
    await page.getByRole('link', { name: new RegExp(`^${stage}`) }).click()
    const steps = page.getByRole('region', { name: `Steps of ${stage}` }).getByRole('checkbox')
    await expect(steps.first()).toBeVisible()
    for (let i = 0; i < (await steps.count()); i++) await steps.nth(i).check()
    if (stage === 'Edit') await expect(page.getByText(/^Ticked by hand/)).toBeVisible()
  }
  // What an outlet requires is still asked for.
  await page.getByRole('link', { name: /^Release:/ }).click()
  const missing = page.getByRole('region', { name: /missing|Ready/ }).getByRole('listitem')
  await expect(missing.filter({ hasText: 'Thumbnail' })).toHaveCount(1)
  await expect(missing.filter({ hasText: /^Script/ })).toHaveCount(0)

  await page.getByRole('link', { name: /^Brief/ }).click()
  await page.getByRole('button', { name: 'Take the working title' }).click()
  await page.getByRole('radio', { name: 'Choose “An hour at the slip”' }).check()
  await page.getByLabel('Description, the words of your own').fill('An hour, a rope and the tide.')
  await page.getByLabel('Add tags').fill('slip, tide')
  await page.getByLabel('Add tags').press('Enter')
  await page.getByRole('link', { name: /^Thumbnail/ }).click()
  await page
    .getByLabel('Picture files')
    .setInputFiles({ name: 'slip.png', mimeType: 'image/png', buffer: png(1280, 720, [40, 60, 90]) })
  await page.getByRole('button', { name: 'Choose A' }).click()
  await stored(page)
  await page.getByRole('link', { name: /^Release:/ }).click()
  await expect(page.getByText('Ready', { exact: true })).toBeVisible()
  await expect(missing).toHaveCount(0)
})
