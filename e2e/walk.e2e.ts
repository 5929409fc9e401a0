import { readFile } from 'node:fs/promises'
import { unzipSync } from 'fflate'
import { begin, expect, jot, moment, png, test, visit } from './fixtures'

/** The whole job of one episode, start to finish, as a creator does it. */
test('from a jotted idea to a release kit, out, backed up and restored', async ({ page }, info) => {
  test.slow()
  await test.step('a newcomer sets up on one screen, seeing the next dates, and lands on Today', async () => {
    await page.goto('/')
    await expect(page).toHaveURL(/welcome/)
    await page.getByLabel('Name of the show').fill('Tern & Tiller')
    const dates = page.getByRole('list', { name: 'The next dates' })
    await expect(dates.getByRole('listitem').first()).toHaveText(/Thu 26 Nov.*2 d/)
    await page.getByLabel('How often').selectOption({ label: 'every second week' })
    await expect(dates.getByRole('listitem').nth(1)).toHaveText(/Thu 10 Dec/)
    await page.getByLabel('How often').selectOption({ label: 'every week' })
    await page.getByLabel('Time zone').selectOption('Europe/Lisbon')
    await page.getByLabel('About how many hours a week').fill('14')
    await page.getByLabel('About how many hours a week').blur()
    await page.getByLabel('Hours on Sunday').fill('2')
    await page.getByRole('button', { name: 'Begin' }).click()
    await expect(page.getByRole('heading', { level: 1 })).toHaveText('Tuesday 24 November')
    await expect(page.getByRole('button', { name: /^#1 open, Thu 26 Nov/ })).toBeVisible()
    await expect(page.getByRole('button', { name: /^#2 open, Thu 3 Dec/ })).toBeVisible()
  })

  await test.step('I, a line, Enter, a line, Enter: two ideas; Esc goes back', async () => {
    await page.getByRole('link', { name: 'Shows' }).focus()
    await jot(page, 'Steaming oak ribs', 'A folding thwart')
    await expect(page.getByRole('link', { name: 'Shows' })).toBeFocused()
    await page.keyboard.press('2')
    await expect(page.getByRole('heading', { level: 1, name: 'Ideas' })).toBeVisible()
    await expect(page.getByRole('list', { name: 'Ideas' }).getByRole('listitem')).toHaveCount(2)
  })

  await test.step('one is dragged onto an open frame and gets number, steps and due dates', async () => {
    await page
      .getByRole('list', { name: 'Ideas' })
      .getByRole('button', { name: /Steaming oak ribs/ })
      .dragTo(page.getByRole('button', { name: /^#2 open, Thu 3 Dec/ }))
    await expect(
      page.getByRole('button', { name: /^#2 Steaming oak ribs, goes out Thu 3 Dec/ }),
    ).toBeVisible()
    await page.keyboard.press('1')
    const next = page.getByRole('region', { name: 'Next step' })
    await expect(next).toContainText('Write')
    await expect(next).toContainText('due Thu 26 Nov, 2 d')
    await expect(next).toContainText('#2 Steaming oak ribs')
  })

  await test.step('another is just started, undated, and takes a slot later', async () => {
    await page.keyboard.press('2')
    await page
      .getByRole('list', { name: 'Ideas' })
      .getByRole('button', { name: /A folding thwart/ })
      .click()
    await page.getByRole('button', { name: 'Start S' }).click()
    await expect(page.getByRole('heading', { level: 1, name: 'A folding thwart' })).toBeVisible()
    await expect(page.getByText('no slot yet')).toBeVisible()
    await page.keyboard.press('1')
    await expect(page.getByRole('region', { name: 'Started, no slot yet' })).toContainText('A folding thwart')
    await page
      .getByRole('region', { name: 'Started, no slot yet' })
      .getByRole('button', { name: 'Place' })
      .click()
    const slots = page.getByRole('list', { name: 'Open slots of Tern & Tiller' })
    await expect(slots.getByRole('button').first()).toContainText('the next open one')
    await slots.getByRole('button', { name: /Thu 10 Dec/ }).click()
    await expect(page.getByRole('button', { name: /A folding thwart, goes out Thu 10 Dec/ })).toBeVisible()
  })

  await test.step('the brief is settled', async () => {
    await page.getByRole('button', { name: /^#2 Steaming oak ribs/ }).click()
    await page
      .getByRole('navigation', { name: 'Stages of the episode' })
      .getByRole('link', { name: /^Brief/ })
      .click()
    await page.getByLabel('What the viewer should take away').fill('You can bend oak without a steam box.')
    for (const [i, point] of ['Wet it', 'Wait', 'Bend it once'].entries())
      await page.getByLabel(`Point ${i + 1}`).fill(point)
    const title = page.getByLabel('A title candidate')
    await title.fill('Bent cold')
    await title.press('Enter')
    await title.fill('Steaming oak ribs without a steam box')
    await title.press('Enter')
    await page.getByRole('radio', { name: 'Choose “Steaming oak ribs without a steam box”' }).check()
    await page
      .getByLabel('Description, the words of your own')
      .fill('Green oak, a plastic sleeve and a kettle.')
    await page.getByLabel('Add tags').fill('oak, steam bending, wooden boats')
    await page.getByLabel('Add tags').press('Enter')
    await page.getByPlaceholder('Where should the eye land?').fill('The bend')
    await page.getByPlaceholder(/Two or three words/).fill('BENT COLD')
    await expect(page.getByRole('link', { name: 'Brief: lit' })).toBeVisible()
  })

  await test.step('the script is written in the recipe’s sections, its time live; text is pasted, shots noted', async () => {
    await page.keyboard.press('Escape')
    await page.getByRole('link', { name: /^Script/ }).click()
    const time = page.getByTestId('running-time')
    await expect(time).toHaveText('0:00')
    const script = page.getByRole('textbox', { name: 'Script', exact: true })
    const beat = (n: number) => script.locator('.beat .words').nth(n)
    await beat(0).click()
    await page.keyboard.type('This rib was straight an hour ago. ')
    await expect(time).not.toHaveText('0:00')
    await page.keyboard.press('Enter')
    await page.keyboard.type('Now look at it.')
    await expect(beat(1)).toHaveText('Now look at it.')
    await page.keyboard.press('Alt+v')
    await expect(page.getByRole('button', { name: 'Voice-over; change to camera' })).toHaveCount(1)
    for (const shot of ['The rib, from the side', 'The kettle']) {
      await page.keyboard.press('Alt+c')
      await expect(page.getByRole('textbox', { name: /^Cue \d, to film/ }).last()).toBeFocused()
      await page.keyboard.type(shot)
      await page.keyboard.press('Enter')
    }
    const before = await time.textContent()
    await beat(2).click()
    await page.evaluate(async () => {
      await navigator.clipboard.writeText(
        'You need green oak and a sleeve.\n\nYou need patience, and a kettle that never stops.',
      )
    })
    await page.keyboard.press('Control+v')
    await expect(beat(3)).toHaveText('You need patience, and a kettle that never stops.')
    await expect(time).not.toHaveText(before ?? '')
    await expect(page.getByRole('link', { name: /^Script: working|^Script: open/ })).toBeVisible()
    const rest = [
      Array.from(
        { length: 38 },
        () => 'Slide the sleeve over the rib and let the steam do the work for a quarter of an hour.',
      ).join(' '),
      'I hurried the second one, and it broke where the grain ran out.',
      'Tell me how you would have done it. Next Thursday there is a worse one.',
    ]
    for (const [i, text] of rest.entries()) {
      await beat(4 + i).click()
      await page.keyboard.insertText(text)
    }
    await expect(page.getByRole('link', { name: 'Script: lit' })).toBeVisible()
    await expect(page.getByText('aim 8 to 12 min')).toBeVisible()
    await expect(page.getByText(/\d short$/)).toBeVisible()
  })

  await test.step('shots are ticked at Film, the length and section times typed at Edit', async () => {
    await page.getByRole('link', { name: /^Film/ }).click()
    await page.getByRole('checkbox', { name: /The rib, from the side/ }).check()
    await page.getByRole('checkbox', { name: /The kettle/ }).check()
    await expect(
      page.getByRole('region', { name: 'To film' }).getByText('2 of 3', { exact: true }),
    ).toBeVisible()
    await page.getByRole('checkbox', { name: 'Film is done' }).check()
    await expect(page.getByRole('link', { name: 'Film: lit' })).toBeVisible()
    await page.keyboard.press(']')
    await expect(page).toHaveURL(/\/edit$/)
    await page.getByLabel('Length of the edit').fill('soon')
    await page.getByLabel('Length of the edit').press('Tab')
    await expect(page.getByRole('alert')).toContainText('“soon” is not a time')
    await page.getByLabel('Length of the edit').fill('2:05')
    await page.getByLabel('Length of the edit').press('Tab')
    for (const [section, at] of [
      ['Opening', '0:00'],
      ['First part', '0:12'],
      ['Second part', '0:25'],
      ['Third part', '1:35'],
      ['Close', '1:50'],
    ]) {
      await page.getByLabel(`Start of ${section}`).fill(at ?? '')
      await page.getByLabel(`Start of ${section}`).press('Tab')
    }
    await expect(page.getByText('5 chapters, timed at the edit.')).toBeVisible()
    await expect(page.getByRole('link', { name: 'Edit: lit' })).toBeVisible()
  })

  await test.step('pictures are added by file and by paste; one is chosen', async () => {
    await page.getByRole('link', { name: /^Thumbnail/ }).click()
    await page.getByLabel('Picture files').setInputFiles([
      { name: 'bend.png', mimeType: 'image/png', buffer: png(1280, 720, [20, 110, 120]) },
      { name: 'notes.txt', mimeType: 'text/plain', buffer: Buffer.from('no picture') },
    ])
    await expect(page.getByRole('alert')).toContainText('“notes.txt” is not a picture')
    await page.evaluate(
      (bytes) => {
        const data = new DataTransfer()
        data.items.add(new File([new Uint8Array(bytes)], 'pasted.png', { type: 'image/png' }))
        window.dispatchEvent(
          new ClipboardEvent('paste', { clipboardData: data, bubbles: true, cancelable: true }),
        )
      },
      [...png(640, 360, [200, 90, 40])],
    )
    await expect(page.getByRole('heading', { name: '2 candidates' })).toBeVisible()
    const carried = await page.evaluateHandle(
      (bytes) => {
        const data = new DataTransfer()
        data.items.add(new File([new Uint8Array(bytes)], 'dropped.png', { type: 'image/png' }))
        return data
      },
      [...png(320, 180, [40, 40, 90])],
    )
    await page.getByRole('figure').dispatchEvent('drop', { dataTransfer: carried })
    await expect(page.getByRole('heading', { name: '3 candidates' })).toBeVisible()
    await page.getByRole('button', { name: 'More', exact: true }).click()
    await page.getByRole('button', { name: 'Take it away' }).click()
    await expect(page.getByRole('heading', { name: '2 candidates' })).toBeVisible()
    await page.getByRole('button', { name: 'Look at picture B' }).click()
    await expect(page.getByText('640 × 360 is small')).toBeVisible()
    await page.getByRole('button', { name: 'Look at picture A' }).click()
    await page.getByRole('button', { name: 'Choose A' }).click()
    await expect(page.getByText('A is chosen.')).toBeVisible()
    await expect(page.getByRole('img', { name: 'Picture A, phone list' })).toHaveJSProperty(
      'clientWidth',
      160,
    )
    await expect(page.getByRole('link', { name: 'Thumbnail: lit' })).toBeVisible()
  })

  await test.step('Release gathers and checks the parts; all screens agree that it is ready', async () => {
    await page.getByRole('link', { name: /^Release:/ }).click()
    await expect(page.getByRole('region', { name: 'Chapters' })).toContainText('1:35 Third part')
    await expect(page.getByRole('region', { name: 'Description', exact: true })).toContainText(
      'Green oak, a plastic sleeve and a kettle.',
    )
    await expect(page.getByRole('region', { name: 'Tags' })).toContainText(/\d+\/500/)
    await page.getByLabel('What the new link is').fill('Drawings')
    await page.getByLabel('Address of the new link').fill('https://tern.example/ribs')
    await page.getByRole('button', { name: 'Add', exact: true }).click()
    await expect(page.getByRole('region', { name: 'Description', exact: true })).toContainText(
      'Drawings: https://tern.example/ribs',
    )
    await page.getByRole('region', { name: 'Title' }).getByRole('button', { name: 'Copy' }).click()
    expect(await page.evaluate(() => navigator.clipboard.readText())).toBe(
      'Steaming oak ribs without a steam box',
    )
    await expect(page.getByText('Ready', { exact: true })).toBeVisible()
    await page.keyboard.press('3')
    const row = page.getByRole('row', { name: /Steaming oak ribs/ })
    await expect(row).toContainText('ready')
    await expect(row.getByRole('button', { name: /: lit$/ })).toHaveCount(6)
    await page.keyboard.press('1')
    await expect(page.getByRole('complementary', { name: 'Next out' })).toContainText('Nothing is missing')
  })

  await test.step('the kit is downloaded whole', async () => {
    await page.getByRole('link', { name: 'Get the release kit' }).click()
    const [download] = await Promise.all([
      page.waitForEvent('download'),
      page.getByRole('button', { name: 'Download the release kit' }).click(),
    ])
    expect(download.suggestedFilename()).toBe('2-steaming-oak-ribs-without-a-steam-box.zip')
    const kit = unzipSync(new Uint8Array(await readFile(await download.path())))
    expect(Object.keys(kit).sort()).toEqual([
      'chapters.ffmeta',
      'chapters.json',
      'chapters.txt',
      'description.txt',
      'kit.json',
      'script.md',
      'tags.txt',
      'thumbnail.jpg',
      'thumbnail.png',
      'video-site/1-title.txt',
      'video-site/2-description.txt',
      'video-site/3-tags.txt',
      'video-site/4-chapters.txt',
      'video-site/5-links.txt',
    ])
    const text = (name: string) => new TextDecoder().decode(kit[name])
    expect(text('chapters.txt')).toBe(
      '0:00 Opening\n0:12 First part\n0:25 Second part\n1:35 Third part\n1:50 Close\n',
    )
    expect(text('tags.txt')).toBe('oak, steam bending, wooden boats\n')
    expect(text('description.txt')).toContain('Drawings: https://tern.example/ribs')
    expect(text('script.md')).toContain('- [x] The rib, from the side')
    expect(JSON.parse(text('kit.json'))).toMatchObject({ number: '#2', goesOut: '2026-12-03T17:00:00.000Z' })
    const picture = Buffer.from(kit['thumbnail.png'] ?? [])
    expect([picture.readUInt32BE(16), picture.readUInt32BE(20)]).toEqual([1280, 720])
    expect([...(kit['thumbnail.jpg'] ?? []).slice(0, 3)]).toEqual([0xff, 0xd8, 0xff])
  })

  await test.step('after the release moment Today asks, one key answers, and the strip moves on', async () => {
    await page.clock.setSystemTime(new Date('2026-12-03T18:00:00Z'))
    await page.goto('/today')
    await expect(page.getByRole('region', { name: 'Is it out?' })).toContainText('Steaming oak ribs')
    await page.keyboard.press('y')
    await expect(page.getByRole('region', { name: 'Is it out?' })).toHaveCount(0)
    await expect(
      page.getByRole('button', { name: /^#2 Steaming oak ribs.*released Thu 3 Dec/ }),
    ).toBeVisible()
    await page.keyboard.press('7')
    await expect(page.getByRole('table', { name: 'Released episodes' })).toContainText(
      'Steaming oak ribs without a steam box',
    )
    await page.clock.setSystemTime(moment)
  })

  await test.step('closed and opened again everything is there; back-up, erasure, restoring: the same', async () => {
    await page.reload()
    await page.getByRole('link', { name: 'Settings' }).click()
    const [download] = await Promise.all([
      page.waitForEvent('download'),
      page.getByRole('button', { name: 'Download a back-up' }).click(),
    ])
    const saved = info.outputPath('back-up.zip')
    await download.saveAs(saved)
    await page.getByRole('button', { name: 'Erase everything' }).click()
    await page.getByRole('dialog').getByRole('button', { name: 'Erase everything' }).click()
    await expect(page).toHaveURL(/welcome/)
    await page
      .getByLabel('Back-up file')
      .setInputFiles({ name: 'x.zip', mimeType: 'application/zip', buffer: Buffer.from('not a zip') })
    await expect(page.getByRole('alert')).toContainText('not a zip')
    await expect(page).toHaveURL(/welcome/)
    await page.getByLabel('Back-up file').setInputFiles(saved)
    await expect(page).toHaveURL(/today/)
    await page.keyboard.press('7')
    await page.getByRole('link', { name: /Steaming oak ribs without a steam box/ }).click()
    await page.getByRole('link', { name: /^Thumbnail/ }).click()
    await expect(page.getByText('A is chosen.')).toBeVisible()
    await expect(page.getByRole('img', { name: 'Picture A, bend.png' })).toHaveJSProperty(
      'naturalWidth',
      1280,
    )
    await page.keyboard.press('h')
    const history = page.getByRole('list', { name: 'What was done, newest first' })
    await expect(history).toContainText('Released #2')
    await expect(history).toContainText('Kept the idea “Steaming oak ribs”')
  })
})

test('a newcomer can look round in the demo and leave it, with nothing mixed', async ({ page }) => {
  await page.goto('/')
  await page.getByRole('button', { name: 'Look round in the demo first' }).click()
  await expect(page.getByText('Demo', { exact: true })).toBeVisible({ timeout: 90_000 })
  await page.getByRole('button', { name: 'Leave it' }).click()
  await expect(page.getByLabel('Name of the show')).toBeVisible()
  await begin(page, 'My own show')
  await page.keyboard.press('2')
  await expect(page.getByText('No ideas are kept yet')).toBeVisible()
  await visit(page, '/settings')
  await page.getByRole('button', { name: 'Look round in the demo' }).click()
  await expect(page.getByText('Demo', { exact: true })).toBeVisible({ timeout: 60_000 })
  await page.keyboard.press('9')
  await expect(page.getByRole('button', { name: 'Harbour Hours' })).toBeVisible()
  await expect(page.getByRole('button', { name: 'My own show' })).toHaveCount(0)
  // Whoever lays it anew by a key goes on from where they were.
  await visit(page, '/settings')
  const anew = page.getByRole('button', { name: 'Lay it anew now' })
  await anew.press('Enter')
  await expect(page.getByText('The demo is laid out anew.').first()).toBeVisible({ timeout: 60_000 })
  await expect(anew).toBeFocused()
  // What was done here is not taken back there: both count what they did from one.
  await visit(page, '/today')
  await page.keyboard.press('=')
  // What is pointed at does not go by itself.
  await page.getByRole('button', { name: 'Undo' }).hover()
  await page.getByRole('button', { name: 'Leave it' }).press('Enter')
  await expect(page.getByText('Demo', { exact: true })).toHaveCount(0)
  await expect(page.getByRole('link', { name: 'Week' })).toHaveCount(0)
  await expect(page.getByRole('button', { name: 'Undo' })).toHaveCount(0)
})
