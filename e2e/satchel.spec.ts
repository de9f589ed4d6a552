import { expect, test } from '@playwright/test'
import { BARE, accessible, choose, readDownload, saved, startNew, write } from './support.js'

test('a bag with its front turned and its back raw, riveted tabs and a second compartment: to paper', async ({
  page,
}) => {
  await page.goto(BARE)
  await startNew(page, 'Flap bag')
  await choose(page, 'how the body is sewn', /^inside out/)
  await choose(page, 'outer compartment', /^a compartment that runs out/)
  await write(page, 'depth of the outer compartment', '30')
  await choose(page, 'lining', /^lined/)
  await choose(page, 'lining', /^unlined/)

  // The back its own way; each panel has its own allowance.
  await page.getByRole('link', { name: /^Draft ,/ }).click()
  await expect(page.getByRole('heading', { level: 1, name: 'Front', exact: true })).toBeVisible()
  await choose(page, 'how the back is sewn', /^with raw edges out/)
  await page.locator('[data-piece=outer-gusset]').click()
  await expect(page.getByRole('heading', { level: 1, name: /Gusset of the outer/ })).toBeVisible()

  // A tab on either side of the back, with a rivet and a washer through each.
  await page.locator('[data-piece=back]').click({ position: { x: 60, y: 200 } })
  await expect(page.getByRole('heading', { level: 1, name: /^Back/ })).toBeVisible()
  await page.getByRole('button', { name: 'Put on it' }).click()
  const add = async (what: RegExp): Promise<void> => {
    await page.getByRole('button', { name: 'Add to this piece' }).click()
    await page.locator('.v-overlay--active .v-list-item').filter({ hasText: what }).first().click()
  }
  await add(/^tab/)
  const tab = page.getByRole('region', { name: 'Tab', exact: true })
  await expect(tab).toBeVisible()
  await tab.getByRole('button', { name: /^how its ends are held: / }).click()
  await page.locator('.v-overlay--active .v-list-item').filter({ hasText: 'riveted' }).click()
  await tab.getByRole('button', { name: /^which edge: / }).click()
  await page
    .locator('.v-overlay--active .v-list-item')
    .filter({ hasText: /^right side/ })
    .click()
  await expect(page.locator('[data-piece=added-1]')).toBeVisible()
  await accessible(page)
  await add(/^rivet/)
  const rivet = page.getByRole('region', { name: 'Rivet' })
  await rivet.getByRole('button', { name: /^leather washer: / }).click()
  await page.locator('.v-overlay--active .v-list-item').filter({ hasText: 'a leather washer' }).click()
  await expect(page.locator('[data-piece=added-2-washer]')).toBeVisible()
  await rivet.getByRole('button', { name: /^Take the rivet away/ }).click()
  await expect(page.locator('[data-piece=added-2-washer]')).toHaveCount(0)
  await page.getByRole('button', { name: /^Undo/ }).click()
  await expect(page.locator('[data-piece=added-2-washer]')).toBeVisible()

  // Dragged on the sheet it says where it lies, and goes on by the arrows; a drag is undone at once.
  const hold = page.getByRole('slider', { name: /^Rivet: drag it/ })
  const was = (await hold.getAttribute('aria-valuetext'))!
  expect(was).toMatch(/ mm from the .+, in its middle$/)
  const { x, y, width, height } = (await hold.boundingBox())!
  await page.mouse.move(x + width / 2, y + height / 2)
  await page.mouse.down()
  await page.mouse.move(x + width / 2 + 30, y + height / 2 + 30, { steps: 5 })
  await page.mouse.up()
  await expect(hold).toHaveAttribute(
    'aria-valuetext',
    /, \d+\.[05] mm (to the (right|left) of|above|below) its middle$/,
  )
  await page.getByRole('button', { name: /^Undo “lay the rivet elsewhere”/ }).click()
  await expect(hold).toHaveAttribute('aria-valuetext', was)
  await hold.press('ArrowDown')
  await expect(hold).not.toHaveAttribute('aria-valuetext', was)
  await page.getByRole('button', { name: /^Undo “lay the rivet elsewhere”/ }).click()

  // The front is sewn and turned before the back is sewn on.
  const [pdf] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'Print at 1:1 on A4, as a PDF' }).click(),
  ])
  expect((await readDownload(pdf)).length).toBeGreaterThan(20_000)
  await page.getByRole('link', { name: /^Fittings/ }).click()
  await expect(page.getByRole('row', { name: /^2 rivet|\d rivet/ }).first()).toBeVisible()
  await page.getByRole('link', { name: /^Round/ }).click()
  await expect(page.getByText(/^All \d+ seams meet\.$/)).toBeVisible()
  await page.getByRole('link', { name: /^Make/ }).click()
  const steps = page.getByRole('main')
  await expect(steps).toContainText('Turn out the bag')
  const text = await steps.innerText()
  expect(text.indexOf('Sew the seam of the front and the gusset')).toBeLessThan(
    text.indexOf('Turn out the bag'),
  )
  expect(text.indexOf('Turn out the bag')).toBeLessThan(
    text.indexOf('Sew the seam of the back and the gusset'),
  )
  await saved(page)
})
