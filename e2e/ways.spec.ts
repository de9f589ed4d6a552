import { expect, test } from '@playwright/test'
import { BARE, accessible, choose, openDemo, readDownload, saved, startNew, write } from './support.js'

test('a second compartment takes what is put into it, says when that doesn’t fit, and is made larger; all of it as data', async ({
  page,
}) => {
  await page.goto(BARE)
  await startNew(page, 'Flap bag')
  await choose(page, /^outer compartment/, /^a compartment with a gusset/)
  await choose(page, 'what to put in', /^notebook, A5/)
  const contents = page.getByRole('region', { name: 'Put things in' })
  await expect(contents.getByText('It all fits in the main compartment.')).toBeVisible()
  await choose(page, /^where the notebook/, /^in the outer one/)
  await expect(contents.getByText('It does not fit in the outer compartment.')).toBeVisible()
  await expect(
    page.getByText(/What goes into the outer compartment needs .* of height; there are/),
  ).toBeVisible()
  await accessible(page)
  await saved(page)

  await page.getByRole('link', { name: /^Draft ,/ }).click()
  await expect(page.locator('[data-piece=outer-front]')).toBeVisible()
  const download = page.waitForEvent('download')
  await page.getByRole('button', { name: /as JSON for other programs$/ }).click()
  const data = JSON.parse((await readDownload(await download)).toString()) as {
    pieces: { id: string }[]
    findings: { what: string }[]
  }
  expect(data.pieces.map((p) => p.id)).toContain('outer-front')
  expect(data.findings.some((f) => f.what.includes('the outer compartment'))).toBe(true)
})

test('a strap-bound wallet with a second pocket and its strap sewn on: in order, and in the Seams', async ({
  page,
}) => {
  await page.goto(BARE)
  await startNew(page, 'Strap-bound long wallet')
  await choose(page, /^between notes and cards/, /^a second pocket laid on the back/)
  await choose(page, /^the strap/, /^is sewn to the tab/)
  await page.getByRole('link', { name: /^Draft ,/ }).click()
  await expect(page.locator('[data-piece=back-tab]')).toBeVisible()
  await page.getByRole('link', { name: /^Seams/ }).click()
  await expect(page.getByText('strap to the tab of the back').first()).toBeVisible()
  await expect(page.getByText('second pocket on the back').first()).toBeVisible()
  await accessible(page)
  await saved(page)
})

test('a case on a flat foot, with a facing behind its flap, from an empty job to order of work and paper', async ({
  page,
}) => {
  await page.goto(BARE)
  await startNew(page, 'Gusseted case')
  await choose(page, /^foot/, /^flat, front and back in one piece/)
  await choose(page, /^behind the flap/, /^a facing/)
  await write(page, 'holes in the corners of the gusset', '5')
  await page.getByRole('link', { name: /^Draft ,/ }).click()
  await expect(page.locator('[data-piece=front]')).toHaveCount(0)
  await expect(page.locator('[data-piece=facing]')).toBeVisible()
  await expect(
    page.getByText(/has room for holes of 2\.2 mm in its corners, not of 5\.0 mm/).first(),
  ).toBeVisible()
  await accessible(page)
  await page.getByRole('link', { name: /^Seams/ }).click()
  await expect(page.getByText('facing of the flap').first()).toBeVisible()
  await expect(page.getByText('right gusset').first()).toBeVisible()
  await page.getByRole('link', { name: /^Round/ }).click()
  await expect(page.getByText('All 2 seams meet.')).toBeVisible()
  await page.getByRole('link', { name: /^Make/ }).click()
  await expect(page.getByText(/facing of the flap/).first()).toBeVisible()
  await saved(page)
})

test('the transect is taken out as SVG with its own colours, and as a picture on the clipboard', async ({
  page,
  context,
}) => {
  await context.grantPermissions(['clipboard-read', 'clipboard-write'])
  await openDemo(page)
  const open = (): Promise<void> =>
    page.getByRole('button', { name: 'Take out: transect of Deckhand’s fold' }).click()
  await open()
  const download = page.waitForEvent('download')
  await page.getByText('Save as SVG').click()
  const file = await download
  expect(file.suggestedFilename()).toBe('transect-of-deckhands-fold.svg')
  const svg = (await readDownload(file)).toString()
  expect(svg).not.toMatch(/var\(|class=|data-v-/)
  expect(svg).toContain('reach of the iron')
  expect(svg).toMatch(/fill="rgb\(/)
  await open()
  await page.getByText('Copy as a picture').click()
  await expect(page.getByText('Copied.')).toBeVisible()
  const types = await page.evaluate(async () =>
    (await navigator.clipboard.read()).flatMap((one) => one.types),
  )
  expect(types).toEqual(['image/png'])
})
