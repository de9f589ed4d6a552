import { expect, test } from '@playwright/test'
import { accessible, openDemo, saved, shownSize, write } from './support.js'

test('a draft is kept, laid under the work, and gone back to', async ({ page }) => {
  await openDemo(page)
  await page.getByRole('link', { name: 'Drafts' }).click()
  await page.getByRole('button', { name: 'Keep “first draft” as it is now' }).click()
  await expect(page.getByText('“first draft” is kept.')).toBeVisible()
  await expect(page.getByText('None.')).toBeVisible()
  await page.getByRole('link', { name: 'To the draft on the bench' }).click()

  await write(page, 'corner radius', '12')
  await write(page, 'thickness of the Tarn calf, outside', '1.8')
  await page.getByRole('textbox', { name: 'Which draft this is' }).fill('second draft')
  await page.getByRole('textbox', { name: 'Which draft this is' }).press('Enter')
  await page.getByRole('link', { name: 'Drafts' }).click()
  // The corner of a radius 6 mm larger lies 6 × (√2 − 1) = 2.5 mm farther in.
  await expect(page.locator('[data-compared="inside"]')).toContainText('2.5 mm')
  await expect(page.locator('[data-decision]')).toHaveCount(3)
  await expect(page.locator('[data-decision]').filter({ hasText: 'corner radius' })).toContainText('12.0 mm')
  await accessible(page)

  await page.getByRole('button', { name: 'Go back to first draft' }).click()
  await expect.poll(() => shownSize(page, 'outside.width')).toBe('208.2 mm')
  await expect(page.getByRole('button', { name: 'Undo “go back to first draft”' })).toBeVisible()
  await saved(page)
  await page.getByRole('button', { name: /^Undo/ }).click()
  await expect.poll(() => shownSize(page, 'outside.width')).toBe('208.6 mm')
})
