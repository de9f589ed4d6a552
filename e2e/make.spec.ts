import { expect, test } from '@playwright/test'
import { accessible, choose, openDemo, readDownload, write } from './support.js'

test('two are made: planned, done at the bench with a forgotten step, a wait that rings, a photograph and a mistake', async ({
  page,
}) => {
  await page.clock.install({ time: new Date('2027-03-22T19:30:00') })
  await openDemo(page)
  await page.getByRole('link', { name: /^Make/ }).click()
  await expect(page.getByText(/^27 steps, /)).toBeVisible()
  await accessible(page)

  // A step is moved where its reasons let it; elsewhere the reason is said, and it stays.
  const steps = page
    .getByRole('list')
    .filter({ has: page.getByRole('button', { name: 'Press the folds of 2 pieces' }) })
  const folds = steps.getByRole('button', { name: 'Press the folds of 2 pieces' })
  await folds.press('Alt+ArrowUp')
  await expect(
    page.getByRole('button', { name: 'Undo “move the step Press the folds of 2 pieces”' }),
  ).toBeVisible()
  await steps.getByRole('button', { name: 'Measure the test bar of the print' }).press('Alt+ArrowDown')
  await expect(page.getByRole('alert')).toContainText('a pattern printed at 97 % ruins a hide')
  await page.getByRole('button', { name: 'Leave it where it was' }).click()

  await page.getByRole('button', { name: /^Make it: how many/ }).click()
  await write(page, 'how many are made', '2')
  await page.getByRole('combobox', { name: 'For whom' }).fill('the mate')
  await page.getByRole('textbox', { name: 'By when' }).fill('2027-04-03')
  await page.getByRole('button', { name: 'Make it', exact: true }).click()
  await expect(page.getByText(/2 × first draft for the mate/)).toBeVisible()
  await page.getByRole('button', { name: 'Evenings', exact: true }).click()
  await expect(page.getByText(/2 × Deckhand’s fold is done on .*, \d days before it is due/)).toBeVisible()
  await accessible(page)
  const download = page.waitForEvent('download')
  await page.getByRole('button', { name: 'The evenings as a calendar file' }).click()
  expect((await readDownload(await download)).toString()).toMatch(/DTSTART:20270322T200000/)
  // Dragged to a later evening it comes then; dragged before what it needs, that is said and it stays.
  const evening = (n: number) => page.getByRole('region', { name: /^(Mon|Tue|Wed|Thu|Fri|Sat),? / }).nth(n)
  const lastOf = (n: number) => evening(n).getByRole('listitem').last()
  const called = (await lastOf(0).locator('.what').textContent())!
    .replace(/ \(.*\)$/, '')
    .replace(/, goes on$/, '')
  await lastOf(0).locator('.grip').dragTo(evening(1).getByRole('listitem').first())
  await expect(evening(0).getByText(called)).toHaveCount(0)
  await expect(page.getByRole('button', { name: `Sooner: ${called}` })).toBeVisible()
  await evening(1)
    .getByRole('listitem')
    .last()
    .locator('.grip')
    .dragTo(evening(0).getByRole('listitem').first())
  await expect(page.getByText(/can’t come on .*: it comes after “/)).toBeVisible()
  await write(page, 'hours at the bench', 'Mon 22:00-21:00')
  await expect(page.getByText('it ends before it begins')).toBeVisible()

  await page.getByRole('button', { name: /^To the bench/ }).click()
  const bench = page.getByRole('region', { name: 'The bench' })
  await expect(bench.getByRole('heading', { level: 1 })).toHaveText('Measure the test bar of the print')
  await accessible(page)
  await bench.getByRole('button', { name: 'Start the clock' }).click()
  // In beats, so that what is kept at each has its real time.
  for (let beat = 0; beat < 16; beat += 1) {
    await page.clock.runFor(15_000)
    await new Promise((resolve) => setTimeout(resolve, 80))
  }
  await expect(bench.getByRole('timer')).toHaveText(/^[34]:/)
  // Space goes on until the skiving, which is left out.
  const title = bench.getByRole('heading', { level: 1 })
  while (!/^Skive/.test((await title.textContent()) ?? '')) {
    const before = await title.textContent()
    await page.keyboard.press('Space')
    await expect(title).not.toHaveText(before!)
  }
  await bench.getByRole('button', { name: 'Not so …' }).click()
  await bench.getByRole('textbox').fill('the knife was blunt: one foot torn, cut anew')
  await bench.getByRole('button', { name: 'Write it down' }).click()
  await expect(bench.getByText('Not so: the knife was blunt')).toBeVisible()
  const chosen = page.waitForEvent('filechooser')
  await bench.getByRole('button', { name: 'Photograph' }).click()
  await (await chosen).setFiles('docs/screenshots/draft.png')
  await expect(bench.getByText('1 kept with this step')).toBeVisible()

  // A tab closed in the middle loses nothing: one is where one was.
  await page.reload()
  await expect(title).toHaveText(/^Skive/)
  await expect(bench.getByText('Not so: the knife was blunt')).toBeVisible()
  await expect(bench.getByText('1 kept with this step')).toBeVisible()
  while (!/^Glue/.test((await title.textContent()) ?? '')) {
    const before = await title.textContent()
    await page.keyboard.press('Space')
    await expect(title).not.toHaveText(before!)
  }
  await page.keyboard.press('Space')
  await expect(bench.getByRole('list', { name: 'Waits' })).toContainText('Glue')
  for (let beat = 0; beat < 36; beat += 1) {
    await page.clock.runFor(15_000)
    await new Promise((resolve) => setTimeout(resolve, 40))
  }
  await expect(bench.getByRole('alert')).toContainText('The wait is over: Glue')
  await expect(page).toHaveTitle(/^● Glue/)
  await bench.getByRole('button', { name: 'Heard' }).click()
  while ((await bench.getByRole('button', { name: 'All is done' }).count()) === 0) {
    const before = await title.textContent()
    await page.keyboard.press('Space')
    await expect(title.or(bench.getByRole('button', { name: 'All is done' })).first()).toBeVisible()
    await expect(async () =>
      expect(
        (await title.textContent()) !== before ||
          (await bench.getByRole('button', { name: 'All is done' }).count()) > 0,
      ).toBe(true),
    ).toPass()
  }
  await bench.getByRole('button', { name: 'Leave the bench' }).click()
  await page.getByRole('button', { name: /^Make it: how many/ }).click()
  // What is finished stands in the ledger, and where the design is priced.
  await page.getByRole('link', { name: /^Price/ }).click()
  await expect(page.getByRole('list', { name: 'Makings of it' })).toContainText(
    '2 × Mon 22 March, for the mate',
  )
})

test('what was forgotten stands as a gate; a school changes the order; the steps go on paper', async ({
  page,
}) => {
  await openDemo(page)
  await page.getByRole('link', { name: /^Make/ }).click()
  await expect(page.getByText(/^27 steps, /)).toBeVisible()
  await page.getByRole('button', { name: 'Schools, waits and times' }).click()
  await choose(page, 'the two halves of a fold are closed', 'both at once')
  await expect(page.getByText(/^24 steps, /)).toBeVisible()
  const download = page.waitForEvent('download')
  await page.getByRole('button', { name: 'Print the steps on A4' }).click()
  expect((await readDownload(await download)).subarray(0, 5).toString()).toBe('%PDF-')
  await page.getByRole('button', { name: /^Make it: how many/ }).click()
  await page.getByRole('button', { name: 'Make it', exact: true }).click()
  await page.getByRole('button', { name: /^To the bench/ }).click()
  const bench = page.getByRole('region', { name: 'The bench' })
  const title = bench.getByRole('heading', { level: 1 })
  const goOn = async (until: RegExp): Promise<void> => {
    while (!until.test((await title.textContent()) ?? '')) {
      const before = (await title.textContent())!
      await page.keyboard.press('Space')
      await expect(title).not.toHaveText(before)
    }
  }
  await goOn(/^Finish/)
  await bench.getByRole('button', { name: 'Not now' }).click()
  await goOn(/^Glue the foot of pocket 1/)
  const gate = bench.getByRole('alert', { name: 'For the last time' })
  await expect(gate).toContainText('edges that will be covered is not done')
  await expect(bench.getByRole('button', { name: 'Done', exact: true })).toBeDisabled()
  await page.keyboard.press('Space')
  await expect(title).toHaveText(/^Glue the foot of pocket 1/)
  await accessible(page)
  await gate.getByRole('button', { name: /^Do it now/ }).click()
  await expect(title).toHaveText(/^Finish/)
  await page.keyboard.press('Space')
  await goOn(/^Glue the foot of pocket 1/)
  await expect(gate).toHaveCount(0)
})
