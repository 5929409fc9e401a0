import { readFileSync } from 'node:fs'
import { findings } from './axe'
import { demo, expect, stored, test } from './fixtures'

test('the catalogue answers, links both ways, says what to paste, and goes on from what is out', async ({
  page,
  context,
}) => {
  await context.grantPermissions(['clipboard-read', 'clipboard-write'])
  await demo(page, '/catalogue')
  const list = page.getByRole('region', { name: 'Released' })
  const rows = list.getByRole('row')
  await test.step('a question, with the words marked and counted', async () => {
    await page.keyboard.press('s')
    await page.keyboard.type('larch')
    await expect(list.getByRole('status')).toContainText(/^Larch: made once, #40; spoken of in \d+ more/)
    await expect(list.getByRole('columnheader', { name: 'Said' })).toBeVisible()
    await expect(rows.filter({ hasText: 'Choosing larch' }).locator('mark').first()).toHaveText(/larch/i)
    expect(await findings(page)).toEqual([])
  })
  await test.step('its sums are those of its file', async () => {
    const coming = page.waitForEvent('download')
    await list.getByRole('button', { name: 'Save the list as CSV' }).click()
    const lines = readFileSync(await (await coming).path(), 'utf8')
      .trim()
      .split('\r\n')
    const said = (lines[0] ?? '').split(',').indexOf('Said')
    const sum = lines.slice(1).reduce((all, line) => all + Number(line.split(',').at(said - 10)), 0)
    const last = rows.filter({ hasText: /^All / })
    await expect(last.getByRole('cell').nth(2)).toHaveText(String(sum))
  })
  await test.step('two likely links are added, and stand to be pasted in both descriptions', async () => {
    await page.getByRole('button', { name: 'Look at #40' }).click()
    await page.getByRole('button', { name: /^Add 2 links/ }).click()
    await expect(page.getByRole('heading', { name: 'Linked with 2' })).toBeVisible()
    const paste = page.getByRole('region', { name: 'To paste' })
    await expect(paste.getByRole('listitem')).toHaveCount(3)
    await paste.getByRole('button', { name: 'Copy what goes into #40' }).click()
    const copied = await page.evaluate(() => navigator.clipboard.readText())
    expect(copied.split('\n')).toHaveLength(2)
    expect(copied).toMatch(/^#\d+ .+: https:\/\/video\.example\//)
    await paste.getByRole('button', { name: 'It stands in #40' }).click()
    await expect(paste.getByRole('listitem')).toHaveCount(2)
    await stored(page)
  })
  await test.step('what may be out of date comes back on its day; what goes on becomes an idea', async () => {
    const again = page.getByRole('region', { name: 'Say again?' })
    await again.getByRole('textbox', { name: 'What may be out of date' }).fill('eleven a metre')
    await again.getByRole('textbox', { name: 'Look again on' }).fill('today')
    await again.getByRole('textbox', { name: 'Look again on' }).press('Tab')
    await again.getByRole('button', { name: 'Note' }).click()
    await expect(page.getByRole('button', { name: '1 to say again' })).toBeVisible()
    await page.getByRole('button', { name: /^Follow up/ }).click()
    await expect(page.getByText('After Choosing larch at the mill').first()).toBeVisible()
    await stored(page)
    await page.getByRole('searchbox', { name: 'Ask the catalogue' }).fill('')
    await page.getByRole('button', { name: '1 to say again' }).click()
    await expect(list.getByRole('status')).toHaveText('1 of 59')
  })
})
