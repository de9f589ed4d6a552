import { expect, test } from '@playwright/test'
import { accessible, openDemo, write } from './support.js'

test('a maker’s own leather and iron: written as makers write, refused in words, offered in a job', async ({
  page,
}) => {
  await page.goto('/')
  await page.getByRole('link', { name: 'Stores', exact: true }).click()
  await page.getByRole('button', { name: 'Add another leather' }).click()
  await write(page, 'name of new leather', 'Pier calf')
  await write(page, 'as sold of Pier calf', '3/4 oz')
  await expect(page.getByRole('textbox', { name: 'as sold of Pier calf' })).toHaveValue('1.19–1.59 mm')
  await page.getByRole('button', { name: 'Usual weights for Pier calf' }).click()
  await page.getByText('4/5 oz', { exact: true }).click()
  await expect(page.getByRole('textbox', { name: 'as sold of Pier calf' })).toHaveValue('1.6–2.0 mm')
  await page.getByRole('button', { name: 'What the columns of leather mean' }).click()
  await expect(page.getByText('The thinnest it may be skived where it is sewn.')).toBeVisible()
  await write(page, 'as sold of Pier calf', '3/4 oz')
  await write(page, 'as sold of Pier calf', 'thick')
  await expect(page.getByRole('alert')).toContainText('“thick” was not understood')
  await write(page, 'thickness of Pier calf', '3.4 oz')
  await expect(page.getByRole('button', { name: 'reckoned with of Pier calf: own' })).toBeVisible()
  await write(page, 'pitch of No. 9 iron', 'No. 8')
  await expect(page.getByRole('textbox', { name: 'pitch of No. 9 iron' })).toHaveValue('3.38 mm')
  await write(page, 'reaches of No. 9 iron', '90')
  await expect(page.getByRole('alert').last()).toContainText(
    'Reaches of No. 9 iron goes from 0.5 mm to 15.0 mm',
  )
  await page.keyboard.press('Escape')
  await accessible(page)

  await page.reload()
  await expect(page.getByRole('textbox', { name: 'name of Pier calf' })).toHaveValue('Pier calf')
  await page.getByRole('button', { name: 'Remove Fine awl, 25 mm blade' }).click()
  await page.getByRole('button', { name: 'Remove Diamond awl, 40 mm blade' }).click()
  await expect(page.getByText('The last awl stays')).toBeVisible()
  await page.getByRole('button', { name: 'Put it back' }).click()
  await expect(page.locator('[data-shelf="awls"] [data-good]')).toHaveCount(2)

  await openDemo(page)
  await page.getByRole('button', { name: 'leather of the outside: Tarn calf' }).click()
  await page.getByText('Pier calf').click()
  await expect(page.getByRole('textbox', { name: 'thickness of the Pier calf, outside' })).toHaveValue(
    '1.35 mm',
  )
})

test('every size says what it comes to at either end of the hides’ weight', async ({ page }) => {
  await openDemo(page)
  // Thin: outside 1.3, the goats 0.8. Thick: 1.5 and 1.0. The pockets' rise moves it most.
  await expect(page.locator('[data-size="outside.width"] [data-range]')).toHaveText(
    /206\.7 mm to 209\.8 mm as the leathers come/,
  )
})
