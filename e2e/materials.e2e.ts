import { readFile } from 'node:fs/promises'
import { demo, expect, stored, test } from './fixtures'

test('what is needed holds filming back until it is here; it comes from a table and is late on Today', async ({
  desk: page,
}) => {
  await demo(page, '/schedule')
  await page.locator('tbody a', { hasText: 'Cutting a spar' }).first().click()
  await page.getByRole('link', { name: /^Film/ }).click()
  const list = page.getByRole('region', { name: 'Materials' })
  await expect(list.getByText('81.20 €')).toBeVisible()

  await test.step('a line is typed with its price; filming waits for it', async () => {
    await list.getByLabel('Something that is needed').fill('A longer rope 22')
    await page.keyboard.press('Enter')
    await expect(list.getByText('103.20 €')).toBeVisible()
    await list.getByRole('button', { name: /^A longer rope/ }).click()
    await list.getByLabel('Filming waits for it').check()
    await list.getByLabel('Expected').fill('+4w')
    await list.getByLabel('Expected').press('Enter')
    await expect(list.getByText(/d too late for/).first()).toBeVisible()
    await stored(page)
  })

  await test.step('Today says so, with what it does to the release; the steps of Film can’t be begun', async () => {
    await page.getByRole('link', { name: 'Today', exact: true }).click()
    const lacking = page.getByRole('region', { name: 'Still missing for filming' }).getByRole('listitem')
    await expect(lacking.filter({ hasText: 'A longer rope' })).toContainText('filming waits')
    await lacking.filter({ hasText: 'A longer rope' }).getByRole('link').click()
    await page.getByRole('link', { name: /^Release:/ }).click()
    const missing = page.getByRole('listitem').filter({ hasText: 'A longer rope' })
    await expect(missing).toContainText('wanted, expected')
  })

  await test.step('it is here: nothing holds filming any more', async () => {
    await page.getByRole('link', { name: /^Film/ }).click()
    await list.getByLabel('State of A longer rope').selectOption('here')
    await page.getByRole('link', { name: /^Release:/ }).click()
    await expect(page.getByRole('listitem').filter({ hasText: 'A longer rope' })).toHaveCount(0)
  })

  await test.step('a table comes in with its wrong rows said, and all of it goes out', async () => {
    await page.getByRole('link', { name: /^Film/ }).click()
    await list.getByRole('button', { name: 'More' }).click()
    await list.getByLabel('Read materials from a table').setInputFiles({
      name: 'shop.csv',
      mimeType: 'text/csv',
      buffer: Buffer.from('Item;Cost;ETA;URL\nTar;12,50;3 dec;javascript:alert(1)\nOakum;cheap;;\n'),
    })
    await expect(list.getByRole('alert')).toContainText('Line 3')
    await expect(list.getByRole('button', { name: /^Tar/ })).toBeVisible()
    // What is no address of the web is text, and opens nothing.
    await expect(list.getByRole('link', { name: /Tar/ })).toHaveCount(0)
    const saving = page.waitForEvent('download')
    await list.getByRole('button', { name: 'Save as a table (CSV)' }).click()
    const text = await readFile(await (await saving).path(), 'utf8')
    expect(text).toContain('Tar,12.5')
    expect(text.trim().split('\r\n')).toHaveLength(7)
  })
})

test('shots stand by set-up with what that saves; one is put elsewhere by hand and stays; the light runs out', async ({
  desk: page,
}) => {
  await demo(page, '/schedule')
  await page.locator('tbody a', { hasText: 'Cutting a spar' }).first().click()
  await page.getByRole('link', { name: /^Film/ }).click()
  const list = page.getByRole('region', { name: 'To film' })
  await expect(
    list.getByText(/4 changes of set-up, 6 in the order of the script; saves 1 h 18/),
  ).toBeVisible()
  const texts = () =>
    list
      .getByRole('button', { name: /^How .* is filmed$/ })
      .evaluateAll((all) => all.map((x) => x.getAttribute('aria-label')))
  const before = await texts()

  // What is filmed elsewhere joins the others there.
  await list.getByRole('button', { name: /^How Fallen pines/ }).click()
  await list.getByRole('combobox', { name: 'Place' }).fill('Yard')
  await page.keyboard.press('Tab')
  await expect(list.getByText(/3 changes of set-up/)).toBeVisible()

  await list.getByRole('button', { name: 'Later' }).click()
  await expect(list.getByRole('button', { name: /^Put by hand/ })).toBeVisible()
  await expect.poll(texts).not.toEqual(before)
  await list.getByLabel('Light ends').fill('10:20')
  await page.keyboard.press('Tab')
  await expect(list.getByText(/after the light/).first()).toBeVisible()
  await stored(page)
  const now = await texts()
  await page.reload()
  await expect.poll(texts).toEqual(now)
})

test('folders are made at once in the folder that was given, and a start is laid into the notebook', async ({
  page,
}) => {
  // A folder of the browser's own stands for the one on the disk, which nobody can choose here.
  await page.addInitScript(() => {
    window.showDirectoryPicker = () => navigator.storage.getDirectory()
  })
  await demo(page, '/schedule')
  await page.locator('tbody a', { hasText: 'Cutting a spar' }).first().click()
  await page.getByRole('link', { name: /^Film/ }).click()
  const readying = page.getByRole('region', { name: 'When it goes to film' })
  await readying.getByText('Where that folder lies').click()
  await readying.getByLabel(/^Its path on this machine/).fill('/media/footage/')
  await readying.getByRole('button', { name: 'Make them in a folder' }).click()
  await expect(page.getByText('Made “#44 Cutting a spar from a storm pine”.')).toBeVisible()
  await expect(readying).toContainText('/media/footage/#44 Cutting a spar from a storm pine')
  const inside = () =>
    page.evaluate(async () => {
      const root = await navigator.storage.getDirectory()
      const outer = await root.getDirectoryHandle('#44 Cutting a spar from a storm pine')
      const media = await outer.getDirectoryHandle('Media')
      const script = await (await outer.getFileHandle('Script.md')).getFile()
      const folders: string[] = []
      for await (const name of media.keys()) folders.push(name)
      return { folders: folders.sort(), script: await script.text() }
    })
  expect((await inside()).folders).toEqual(['Camera', 'Sound'])
  expect((await inside()).script).toContain('eleven pines')
  // Once more: what is there stays as it is.
  await readying.getByRole('button', { name: /^Make them in/ }).click()
  await expect(page.getByText(/Brief.md, Script.md stays as it was/)).toBeVisible()

  await readying.getByRole('button', { name: 'Lay it in' }).click()
  await expect(readying.getByText('it is there')).toBeVisible()
  await page.keyboard.press('n')
  const notebook = page.getByRole('complementary', { name: /Notebook/ })
  await expect(notebook.getByRole('heading', { name: 'Titles to start from' })).toBeVisible()
})
