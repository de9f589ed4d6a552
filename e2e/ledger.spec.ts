import { type Page, expect, test } from '@playwright/test'
import { accessible, choose, chooseFile, openDemo, readDownload, saved, write } from './support.js'

const priceOfOne = async (page: Page): Promise<number> => {
  await expect(page.getByText(/to ask €/)).toBeVisible()
  return Number(
    /to ask €([\d.,]+)/.exec((await page.getByText(/to ask €/).textContent())!)![1]!.replace(',', ''),
  )
}

test('commission, brief, quote, making, what it took, what is learnt: the next quote is truer', async ({
  page,
}) => {
  await page.clock.install({ time: new Date('2026-11-28T19:30:00') })
  await openDemo(page)
  await page.getByRole('link', { name: /^Price/ }).click()
  const before = await priceOfOne(page)
  await accessible(page)
  // A line opens to its working; what an hour earns stands beside a price the maker thinks of.
  await page.getByRole('button', { name: 'hours at the bench' }).click()
  await expect(page.getByText(/hours at the bench .* = 366.0 min \/ 60 \/ 1 × 26.00/)).toBeVisible()
  await write(page, 'price of one', '150,00')
  await expect(page.getByRole('region', { name: 'What an hour earns' })).toContainText('it would have to be')
  await write(page, 'price of one', '1.250')
  await expect(page.getByRole('alert')).toContainText('can be 1250 or 1.250')
  await write(page, 'price of one', '250')

  await page.getByRole('button', { name: 'Quote', exact: true }).click()
  const quote = page.getByRole('region', { name: 'Quote' })
  await quote.getByRole('combobox', { name: 'For whom' }).fill('the harbour office')
  await quote.getByRole('textbox', { name: 'Words to it' }).fill('With a place for the tide table.')
  const sheet = page.waitForEvent('download')
  await quote.getByRole('button', { name: 'Write the quote' }).click()
  expect((await readDownload(await sheet)).subarray(0, 5).toString()).toBe('%PDF-')
  await quote.getByRole('button', { name: '2026-001 was taken' }).click()
  await expect(quote.getByText(/2026-001, .* for the harbour office: 1 × €250.00, taken/)).toBeVisible()

  // What was noted before comes up where it is made again.
  await page.getByRole('link', { name: /^Make/ }).click()
  await expect(page.getByText(/^27 steps, /)).toBeVisible()
  await page.getByRole('button', { name: /^Make it: how many/ }).click()
  await expect(page.getByRole('list', { name: 'Noted before' })).toContainText('burnish all pocket tops')
  await page.getByRole('combobox', { name: 'For whom' }).fill('the harbour office')
  await page.getByRole('button', { name: 'Make it', exact: true }).click()
  await expect(page.getByText(/1 × first draft for the harbour office/)).toBeVisible()

  await page.getByRole('link', { name: 'Ledger', exact: true }).click()
  await expect(page.getByRole('table')).toContainText('Landing rucksack')
  await accessible(page)
  await page
    .getByRole('row', { name: /Sat 28 November/ })
    .getByRole('link', { name: 'Deckhand’s fold' })
    .click()
  await expect(page.getByRole('table', { name: 'Steps, planned and taken' })).toContainText('Skive 8 skives')
  await write(page, 'minutes it took: Skive 8 skives', '41')
  const agreed = page.getByRole('textbox', { name: 'Agreed today, or changed' })
  await agreed.fill('Tide table folded once.')
  await agreed.press('Enter')
  await expect(page.getByText('Tide table folded once.')).toBeVisible()
  const wrong = page.locator('form', { has: page.getByRole('textbox', { name: 'What went wrong' }) })
  await wrong.getByRole('textbox', { name: 'What went wrong' }).fill('a foot torn while skiving')
  await wrong.getByRole('textbox', { name: 'How it was mended' }).fill('cut anew')
  await wrong.getByRole('button', { name: 'Add' }).click()
  await expect(page.getByRole('list', { name: 'Mistakes' })).toContainText('a foot torn')
  const next = page.locator('form', { has: page.getByRole('textbox', { name: 'Next time', exact: true }) })
  await next.getByRole('textbox', { name: 'Next time', exact: true }).fill('four pockets a side do')
  await next.getByRole('combobox', { name: /It is about the setting/ }).fill('card pockets')
  await page.getByRole('option', { name: 'card pockets a side' }).click()
  await next.getByRole('textbox', { name: 'should be' }).fill('99')
  await expect(next.getByText(/A number from/)).toBeVisible()
  await next.getByRole('textbox', { name: 'should be' }).fill('2')
  await next.getByRole('button', { name: 'Add' }).click()
  await expect(page.getByRole('list', { name: 'For next time' })).toContainText('card pockets a side 2')
  await chooseFile(page, 'Add photographs', {
    name: 'none.png',
    mimeType: 'image/png',
    buffer: Buffer.from('no picture'),
  })
  await expect(page.getByText('none.png is no picture that can be read.')).toBeVisible()
  await chooseFile(page, 'Add photographs', 'docs/screenshots/draft.png')
  await expect(page.getByRole('img', { name: 'Photograph 1' })).toBeVisible()
  const brief = page.waitForEvent('download')
  await page.getByRole('button', { name: 'The brief as agreed, as PDF' }).click()
  expect((await readDownload(await brief)).subarray(0, 5).toString()).toBe('%PDF-')
  await page.getByRole('button', { name: 'it is finished' }).click()
  await expect(page.getByText(/finished on/)).toBeVisible()
  await accessible(page)

  // What a year taught, taken: this job says where it reckons otherwise, and its next quote is another.
  await page.getByRole('link', { name: 'Ledger', exact: true }).click()
  await page.getByRole('tab', { name: 'Learnt' }).click()
  await expect(page.getByText(/Taken all together, .* comes to .* instead of/)).toBeVisible()
  await accessible(page)
  await page.getByRole('button', { name: 'Reckon with it: finishing edges' }).click()
  await expect(page.getByRole('region', { name: 'Taken from makings' })).toContainText(
    'mm of edge a minute 3',
  )
  await page.getByRole('link', { name: 'Shelf', exact: true }).click()
  await page.getByRole('link', { name: 'Deckhand’s fold' }).click()
  await page.getByRole('link', { name: /^Make/ }).click()
  await page.getByRole('button', { name: 'Reckon with yours' }).click()
  await saved(page)
  await page.getByRole('link', { name: /^Price/ }).click()
  await expect.poll(() => priceOfOne(page)).toBeGreaterThan(before)
  // A note that names a setting is done in one click, and is a step that can be undone.
  await page.getByRole('button', { name: 'Do it now' }).click()
  await expect(page.getByRole('button', { name: /^Undo “as noted: card pockets a side 2”/ })).toBeVisible()
  await expect(page.getByText('four pockets a side do')).toHaveCount(0)
})

test('the shelf is counted, what is missing is bought, the year looked back on; a client is deleted wholly', async ({
  page,
}) => {
  await page.clock.install({ time: new Date('2026-11-28T10:00:00') })
  await page.goto('/')
  await page.getByRole('link', { name: 'Deckhand’s fold' }).waitFor()
  await page.goto('/ledger/stock')
  const stock = page.getByRole('table', { name: 'Stock' })
  await expect(stock).toContainText('D-ring, 25 mm')
  await accessible(page)
  const buy = page.locator('form', { has: page.getByRole('textbox', { name: 'From where' }) })
  await buy.getByRole('combobox', { name: 'What' }).fill('D-ring, 25 mm')
  await buy.getByRole('textbox', { name: 'How much' }).fill('-3')
  await expect(buy.getByText('A number above nothing')).toBeVisible()
  await buy.getByRole('textbox', { name: 'How much' }).fill('10')
  await buy.getByRole('textbox', { name: 'Paid, EUR' }).fill('1.234')
  await expect(buy.getByText(/can be 1234 or 1.234/)).toBeVisible()
  await buy.getByRole('textbox', { name: 'Paid, EUR' }).fill('7,80')
  await buy.getByRole('button', { name: 'Bought' }).click()
  await expect(stock.getByRole('row', { name: /D-ring, 25 mm/ })).toContainText('16')

  await page.getByRole('button', { name: 'Take stock' }).click()
  const take = page.getByRole('region', { name: 'Stocktake' })
  await expect(take.getByRole('heading')).toHaveText(/bag foot with screw/)
  await take.getByRole('button', { name: 'One less' }).click()
  await take.getByRole('button', { name: 'That is what there is' }).click()
  await expect(take.getByRole('heading')).toHaveText('contact glue')
  await accessible(page)
  await take.getByRole('button', { name: 'Stop' }).click()
  await expect(stock.getByRole('row', { name: /bag foot with screw/ }).first()).toContainText('3')
  await write(page, 'D-ring, 25 mm is low below', '20')
  await expect(page.getByRole('region', { name: 'To buy' })).toContainText('D-ring, 25 mm: 4 (1 × 10)')
  const list = page.waitForEvent('download')
  await page.getByRole('button', { name: 'As text' }).click()
  expect((await readDownload(await list)).toString()).toContain('[ ] D-ring, 25 mm: 4')

  await page.getByRole('tab', { name: 'Looking back' }).click()
  await expect(page.getByText(/of your hours are sewing by hand/)).toBeVisible()
  await accessible(page)
  await choose(page, 'kind', 'Tote')
  await expect(page.getByText(/^2 makings/)).toBeVisible()
  await page
    .getByRole('region', { name: 'Where the time goes' })
    .getByRole('button', { name: 'As a table' })
    .click()
  await expect(page.getByRole('table', { name: 'Where the time goes, as a table' })).toContainText(
    'sewing by hand',
  )
  await choose(page, 'kind', 'of any kind')

  await page.getByRole('tab', { name: 'Makings' }).click()
  const wear = page.getByRole('textbox', { name: /How does Galley tote .* wear by now/ })
  await wear.fill('The handles have darkened.')
  await wear.press('Enter')
  await expect(wear).toHaveCount(0)
  const year = page.waitForEvent('download')
  await page.getByRole('button', { name: 'The year as CSV, for the books' }).click()
  expect((await readDownload(await year)).toString()).toContain('Pilot’s flap bag')

  await page.getByRole('tab', { name: 'Clients' }).click()
  await page.getByRole('list', { name: 'Clients' }).getByText('the harbour office').click()
  await expect(page.getByRole('list', { name: 'Past works' })).toContainText('Chart case')
  await accessible(page)
  await page.getByRole('button', { name: 'Delete the harbour office' }).click()
  await page.getByRole('button', { name: 'Delete it all' }).click()
  await expect(page.getByRole('list', { name: 'Clients' })).not.toContainText('the harbour office')
  await page.getByRole('tab', { name: 'Makings' }).click()
  await expect(page.getByRole('table')).not.toContainText('the harbour office')
  await expect(page.getByRole('table')).toContainText('Chart case')
})
