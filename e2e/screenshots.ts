import { demo, expect, test } from './fixtures'

test('one picture of each main view, from the demo', async ({ page }) => {
  test.slow()
  const shot = async (name: string) => {
    await page.waitForTimeout(1200)
    await page.waitForLoadState('networkidle')
    await page.waitForTimeout(3200)
    await page.screenshot({ path: `docs/screenshots/${name}.png` })
  }
  await page.goto('/')
  await expect(page.getByLabel('Name of the show')).toBeVisible()
  await shot('welcome')
  await demo(page)
  await shot('today')
  for (const [name, path] of [
    ['countdown', '/schedule/countdown'],
    ['week', '/week'],
  ] as const) {
    await page.goto(path)
    await expect(page.getByRole('heading', { level: 1 })).toBeVisible()
    await page.waitForTimeout(2500)
    await shot(name)
  }
  await page.goto('/shows/boats/recipe/recipe-boats')
  await page.getByRole('button', { name: 'Step First cut' }).click()
  await page.waitForTimeout(2500)
  await shot('recipe')
  for (const screen of ['ideas', 'schedule', 'catalogue', 'rhythm', 'shows']) {
    await page.goto(`/${screen}`)
    await expect(page.getByRole('heading', { level: 1 })).toBeVisible()
    await shot(screen)
  }
  await page.goto('/schedule')
  const address = async (title: RegExp) =>
    (await page.getByRole('link', { name: title }).getAttribute('href')) ?? ''
  const ribs = await address(/Steaming oak ribs/)
  const spar = await address(/Cutting a spar/)
  const pilot = await address(/The ferry pilot/)
  for (const [name, path] of [
    ['script', `${spar}/script`],
    ['cut', `${pilot}/edit`],
    ['reader', spar.replace('/episode/', '/read/')],
    ['thumbnail', `${ribs}/thumbnail`],
    ['release', '/release'],
    ['partners', '/shows/partners'],
  ] as const) {
    await page.goto(path)
    await expect(page.getByRole('heading', { level: 1 })).toBeVisible()
    await shot(name)
  }
  await page.goto('/sessions')
  await page
    .getByRole('button', { name: /^Lay it on Wed/ })
    .first()
    .click()
  await page.getByRole('link', { name: /^Open Filming/ }).click()
  for (const name of [/^Begin setting up/, /^First one/, /^Go on all the same/])
    await page.getByRole('button', { name }).click()
  for (const minutes of [9, 12, 7, 14, 6, 9]) {
    await page.clock.fastForward(minutes * 60_000)
    await page.keyboard.press('Space')
    await page.waitForTimeout(400)
  }
  await shot('session')
  await page.goto('/settings')
  await page.getByRole('radio', { name: 'Daylight' }).click()
  await page.waitForTimeout(400)
  await page.goto('/schedule')
  await expect(page.getByRole('heading', { level: 1 })).toBeVisible()
  await shot('schedule-daylight')
  await page.goto('/settings')
  await page.getByRole('radio', { name: 'Booth' }).click()
  await page.waitForTimeout(400)
  await page.setViewportSize({ width: 390, height: 844 })
  await page.goto('/today')
  await expect(page.getByRole('heading', { level: 1 })).toBeVisible()
  await shot('today-phone')
})
