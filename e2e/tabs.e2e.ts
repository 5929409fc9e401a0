import { demo, expect, jot, secondTab, stored, test } from './fixtures'

test('two tabs agree at once, also on undo', async ({ desk: page }) => {
  await demo(page, '/ideas')
  const other = await secondTab(page.context(), '/schedule')
  await expect(other.getByRole('heading', { level: 1, name: 'Schedule' })).toBeVisible({ timeout: 60_000 })
  await jot(page, 'An idea from the first tab')
  await other.keyboard.press('2')
  await expect(other.getByRole('list', { name: 'Ideas' })).toContainText('An idea from the first tab')
  await other.getByRole('button', { name: /An idea from the first tab/ }).click()
  await other.keyboard.press('p')
  await other.getByRole('list', { name: 'Open slots of Tern & Tiller' }).getByRole('button').first().click()
  await expect(page.getByRole('button', { name: /^#46 An idea from the first tab/ })).toBeVisible()
  await page.keyboard.press('Control+z')
  await expect(other.getByRole('button', { name: /^#46 open/ })).toBeVisible()
})

test('what is typed is kept when the tab is killed a moment later', async ({ page, context }) => {
  await demo(page, '/schedule')
  await page.getByRole('link', { name: /Caulking, the quiet skill/ }).click()
  const field = page.getByLabel('What the viewer should take away')
  await field.fill('')
  await field.pressSequentially('Listen to the iron.')
  await stored(page)
  const address = page.url()
  await page.close({ runBeforeUnload: false })
  const again = await secondTab(context, address)
  await expect(again.getByLabel('What the viewer should take away')).toHaveValue('Listen to the iron.', {
    timeout: 60_000,
  })
})
