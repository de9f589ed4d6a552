import { expect, test } from '@playwright/test'
import { BARE, accessible, choose, saved, startNew } from './support.js'

test('a bag like one that is there: its settings from what was measured, straps and a zipped pocket put on it', async ({
  page,
}) => {
  await page.goto(BARE)
  await startNew(page, 'Flap bag')
  await page.getByRole('button', { name: 'Measured from a thing' }).click()
  const measured = async (what: string, value: string): Promise<void> => {
    const box = page.getByRole('combobox', { name: 'What was measured' })
    await box.click()
    await box.fill(what)
    await page.locator('.v-overlay--active .v-list-item').first().click()
    const field = page.getByRole('textbox', { name: `${what}, as measured` })
    await field.fill(value)
    await field.press('Enter')
  }
  await measured('width outside', '300')
  await measured('height outside', '900')
  await accessible(page)
  await page.getByRole('button', { name: 'Find the settings' }).click()
  const found = page.locator('[data-measured]')
  await expect(found.getByText(/^width inside: .* → 289\.2 mm$/)).toBeVisible()
  await expect(found.getByText(/The setting “height inside” goes no further/)).toBeVisible()
  // Leaving the one out that can’t be had, the other stands by itself.
  await page.getByRole('button', { name: 'Leave out height outside' }).click()
  await expect(found.getByText(/goes no further/)).toHaveCount(0)
  await page.getByRole('button', { name: 'Find the settings' }).click()
  await page.getByRole('button', { name: 'Take these settings' }).click()
  await expect(page.getByRole('button', { name: /^Undo “settings as measured”/ })).toBeVisible()

  // A shoulder strap on hooks, with a pad that slides.
  await choose(page, /^strap/, /^a shoulder strap/)
  await page.getByRole('link', { name: /^Draft ,/ }).click()
  await page.locator('[data-piece=strap-long]').click()
  await choose(page, 'how the strap’s ends are held', /^on swivel hooks/)
  await choose(page, 'pad of the strap', /^with a pad/)
  await expect(page.locator('[data-piece=pad-under]')).toBeVisible()
  await page.locator('[data-piece=front]').click({ position: { x: 30, y: 60 } })
  await page.getByRole('button', { name: 'Put on it' }).click()
  await page.getByRole('button', { name: 'Add to this piece' }).click()
  await page
    .locator('.v-overlay--active .v-list-item')
    .filter({ hasText: /^zipped pocket/ })
    .click()
  await expect(page.locator('[data-piece=added-1]')).toBeVisible()
  await accessible(page)
  await page.getByRole('link', { name: /^Fittings/ }).click()
  await expect(page.getByText('swivel hook, 35 mm').first()).toBeVisible()
  await expect(page.getByText('metal zip, teeth 5 mm').first()).toBeVisible()
  await page.getByRole('link', { name: /^Round/ }).click()
  await expect(page.getByText(/^All \d+ seams meet\.$/)).toBeVisible()
  await saved(page)
})
