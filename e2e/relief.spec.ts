import { readdirSync } from 'node:fs'
import { expect, test } from '@playwright/test'
import { BARE, accessible, openDemo, saved, some, startNew, walk, write } from './support.js'

test('a card sleeve: from what goes in to the relief, a skive proposal looked at, taken and undone', async ({
  page,
}) => {
  await page.goto(BARE)
  await startNew(page, 'Card sleeve')
  await expect(page.getByRole('heading', { name: 'What goes in it' })).toBeVisible()
  await write(page, 'card pockets a side', '3')
  await page.getByRole('button', { name: /^to get a card out/ }).click()
  await page.getByText('by a thumb notch in the top').click()
  await expect(page.getByText('It takes 6 cards, folded notes.')).toBeVisible()
  await accessible(page)

  await page.getByRole('link', { name: /^Relief/ }).click()
  // Two backs of 0.9, and on either face a pocket of 0.9 and half a lap: 1.8 + 2 × 1.35.
  await expect(page.getByText('it is 4.5 mm now')).toBeVisible()
  await expect(page.locator('[data-thickest]')).toContainText('at the thickest, where')
  await expect(page.locator('[data-whole]')).toContainText('with 6 cards, folded notes')
  await write(page, 'thickness wanted along the seam', '3.6')
  await expect(page.locator('[data-reached]')).toContainText('reach it')
  await accessible(page)

  const map = page.getByRole('group', { name: /^Thickness map/ })
  await map.focus()
  await page.keyboard.press('Alt+ArrowDown')
  await expect(page.locator('[data-reading]')).toContainText('from the top')

  await page.getByRole('button', { name: 'Show on the map' }).click()
  await expect(page.locator('path.area').first()).toBeVisible()
  // The map and the seam are those with the skives, and nothing is taken yet.
  await expect(
    page.getByRole('img', { name: /^Thickness along the outer seam.*at most 3\.[0-6]\d? mm/ }),
  ).toBeVisible()
  await expect(page.getByText('it is 4.5 mm now')).toBeVisible()
  await expect(page.getByRole('button', { name: /^Undo “skive/ })).toHaveCount(0)
  await write(page, 'thickness wanted along the seam', '3.7')
  await expect(page.locator('path.area')).toHaveCount(0)
  await expect(
    page.getByRole('img', { name: /^Thickness along the outer seam.*at most 4\.5 mm/ }),
  ).toBeVisible()
  await write(page, 'thickness wanted along the seam', '3.6')
  await page
    .getByRole('button', { name: /^Take(?! out)/ })
    .first()
    .click()
  await expect(page.getByText(/it is 3\.[0-6]\d? mm now/)).toBeVisible()
  await expect(page.locator('[data-reached]')).toContainText('nothing has to be skived')
  await saved(page)
  await page.getByRole('button', { name: /^Undo “skive for 3.6 mm/ }).click()
  await expect(page.getByText('it is 4.5 mm now')).toBeVisible()

  await write(page, 'thickness wanted along the seam', '1.5')
  await expect(page.locator('[data-reached]')).toContainText('Skiving alone comes to')
  await expect(page.getByText('pockets on: one face only')).toBeVisible()
})

test('what if: two variants beside the work, one of them taken', async ({ page }) => {
  await page.goto('/job/deckhands-fold/draft')
  await page.getByRole('link', { name: 'What if' }).click()
  const cell = (row: string, column: number) => page.locator(`[data-figure="${row} ${column}"]`)
  await expect(cell('Thickest seam', 1)).toContainText('3.65 mm')
  await expect(cell('Thickest seam', 2)).toContainText('3.2 mm')
  await page.getByRole('button', { name: 'Put another beside it' }).click()
  await page.getByRole('button', { name: /^change in C/ }).click()
  await page.getByText('card pockets a side', { exact: true }).last().click()
  await write(page, 'card pockets a side', '2')
  await expect(cell('Pieces', 3)).toContainText('−2')
  await expect(page.getByText('4 cards, 8 notes')).toBeVisible()
  await page.getByText('minute by minute').first().click()
  await expect(page.getByText(/punching and sewing, minutes \d+ = \(\d+ blows × 25 s/).first()).toBeVisible()
  await accessible(page)
  await page.getByRole('button', { name: 'Take C', exact: true }).click()
  await expect(page.getByRole('button', { name: /^Undo “take C: card pockets a side”/ })).toBeVisible()
  await page.getByRole('link', { name: /^Brief/ }).click()
  await expect(page.getByRole('textbox', { name: 'card pockets a side' })).toHaveValue('2')
})

test('every example opens on its pieces and on its relief', async ({ page }) => {
  test.slow()
  const ids = readdirSync(new URL('../demo/designs/', import.meta.url)).map((f) => f.replace(/\..*/, ''))
  expect(ids.length).toBeGreaterThan(10)
  const broken: string[] = []
  page.on('pageerror', (error) => broken.push(error.message))
  await page.goto('/')
  for (const id of some(ids, 4)) {
    await walk(page, `/job/${id}/draft`)
    await expect(page.locator('[data-piece]').first()).toBeVisible()
    await page.getByRole('link', { name: /^Relief/ }).click()
    await expect(page.locator('[data-thickest]')).toContainText('mm at the thickest')
  }
  await walk(page, '/job/ticket-satchel/relief')
  await page.getByRole('button', { name: /^state of the work/ }).click()
  await page.locator('.v-overlay--active').getByText('closed, seen from the front').click()
  // A flap of 1.8 on a front of 1.8.
  await expect(page.locator('[data-thickest]')).toContainText(
    '3.6 mm at the thickest, where front, back and flap',
  )
  await expect(page.locator('[data-whole]')).toContainText('mm deep, empty')
  expect(broken).toEqual([])
})

test('a worker that can’t be started is told, and tried again', async ({ page }) => {
  let blocked = true
  await page.context().route(/relief\.worker/, (route) => (blocked ? route.abort() : route.continue()))
  await openDemo(page)
  await page.getByRole('link', { name: /^Relief/ }).click()
  const said = page.getByRole('alert').filter({ hasText: 'The map could not be drawn' })
  await expect(said).toContainText('its program could not be started')
  blocked = false
  await said.getByRole('button', { name: 'Try again' }).click()
  await expect(said).toHaveCount(0)
  await expect(page.getByText('Measuring …')).toHaveCount(0)
})
