import { expect, test } from '@playwright/test'
import { BARE, accessible, choose, readDownload, saved, startNew } from './support.js'

test('from what goes in to the printed pattern of a flap bag', async ({ page }) => {
  await page.goto(BARE)
  await startNew(page, 'Flap bag')
  await expect(page.getByRole('heading', { name: 'Put things in' })).toBeVisible()

  // What goes in, one by one; the bag as it first comes is too small for all of it.
  for (const thing of ['portable computer, 13 in', 'notebook, A5', 'bottle, 0.5 l, full'])
    await choose(page, 'what to put in', thing)
  const inside = page.getByRole('region', { name: 'Put things in' })
  await expect(inside).toContainText('It does not fit')
  await expect(page.getByRole('alert').first()).toContainText(/What goes in needs/)

  await page.getByRole('button', { name: 'The smallest that takes them' }).click()
  await expect(inside).toContainText('It all fits')
  await expect(page.getByRole('alert')).toHaveCount(0)
  await expect(inside.getByRole('img')).toBeVisible()
  // The computer stands on its side, 215 and 6 mm of room, with the notebook; beyond the divider the bottle.
  await expect(page.getByRole('textbox', { name: 'width inside' }).first()).toHaveValue('221.0 mm')
  await page.getByRole('button', { name: 'One notebook, A5 more' }).click()
  await expect(inside).toContainText('2')
  await page.getByRole('button', { name: 'One notebook, A5 fewer' }).click()
  await accessible(page)

  // Its pieces, its seams, its hardware.
  await page.getByRole('link', { name: /^Draft ,/ }).click()
  await expect(page.locator('[data-piece=gusset]')).toBeVisible()
  await page.getByRole('link', { name: /^Seams/ }).click()
  await page.locator('tr[data-run=front-seam] button').click()
  await expect(page.locator('[data-zip]')).toHaveAttribute('aria-label', /all meet/)
  await page.getByRole('link', { name: /^Fittings/ }).click()
  await expect(page.getByRole('row', { name: /ring at the right side/ })).toContainText('held in its loop')
  await expect(page.getByRole('heading', { name: 'To have ready' })).toBeVisible()
  await accessible(page)

  await page.getByRole('link', { name: /^Draft ,/ }).click()
  const [pdf] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'Print at 1:1 on A4, as a PDF' }).click(),
  ])
  const printed = await readDownload(pdf)
  expect(printed.subarray(0, 5).toString()).toBe('%PDF-')
  expect(printed.length).toBeGreaterThan(20_000)
  await saved(page)
  await page.reload()
  await page.getByRole('link', { name: /^Brief/ }).click()
  await expect(inside).toContainText('It all fits')
})

test('turned in the round by keys, opened and shut, taken out as a picture', async ({ page }) => {
  const errors: string[] = []
  page.on('pageerror', (e) => errors.push(e.message))
  await page.goto('/job/pilots-bag/draft')
  await page.getByRole('link', { name: /^Round/ }).click()
  const picture = page.getByRole('img', { name: /in the round, put together from its pieces/ })
  await expect(picture).toBeVisible()
  await expect(page.getByText(/All \d+ seams meet/)).toBeVisible()
  await expect(page.getByText('depth inside')).toBeVisible()
  const [first] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'PNG' }).click(),
  ])
  const before = await readDownload(first)
  expect(before.subarray(1, 4).toString()).toBe('PNG')

  await picture.focus()
  for (const key of ['ArrowLeft', 'ArrowLeft', 'ArrowUp', '+', 'Shift+ArrowRight'])
    await page.keyboard.press(key)
  await page.keyboard.press('Space')
  await expect(page.getByRole('slider', { name: 'how far it is open' })).toHaveAttribute('aria-valuenow', '1')
  const [second] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'PNG' }).click(),
  ])
  expect((await readDownload(second)).equals(before)).toBe(false)
  // Without its straps it is another picture again.
  await page.getByRole('checkbox', { name: 'straps and handles' }).uncheck()
  await page.getByRole('button', { name: 'All of it' }).click()
  expect(errors).toEqual([])
  await accessible(page)
})

test('a wallet can be looked at in the round too', async ({ page }) => {
  await page.goto('/job/deckhands-fold/draft')
  await page.getByRole('link', { name: /^Round/ }).click()
  await expect(page.getByRole('img', { name: /Deckhand’s fold in the round/ })).toBeVisible()
  await page.getByRole('slider', { name: 'how far it is open' }).press('End')
  const inside = page.getByRole('checkbox', { name: 'what is inside' })
  await inside.check()
  await expect(page.getByText(/Seen through the leather: .*6 × card\./)).toBeVisible()
  await inside.uncheck()
  await expect(page.getByText(/Seen through/)).toHaveCount(0)
  await expect(page.getByRole('alert')).toHaveCount(0)
})

test('hardware on the shelf: a post length written, another refused in words', async ({ page }) => {
  await page.goto('/stores')
  const posts = page.getByRole('textbox', { name: 'posts to be had of double-cap rivet, 9 mm' })
  await posts.fill('7, 9')
  await posts.press('Enter')
  await expect(posts).toHaveValue('7, 9')
  await page.waitForTimeout(300)
  await page.reload()
  await expect(posts).toHaveValue('7, 9')
  await posts.fill('long ones')
  await posts.press('Enter')
  await expect(page.getByRole('alert')).toContainText('Write lengths in mm such as 6, 8, 10')
  await page.getByRole('checkbox', { name: 'stands upright of notebook, A5' }).check()
  await page.waitForTimeout(300)
  await page.reload()
  await expect(page.getByRole('checkbox', { name: 'stands upright of notebook, A5' })).toBeChecked()
})

test('another way of making each bag is weighed beside it', async ({ page }) => {
  for (const name of ['Harbour office case', 'Pilot’s flap bag', 'Landing rucksack']) {
    await page.goto('/')
    await page.getByRole('link', { name }).click()
    await page.getByRole('link', { name: 'What if' }).click()
    await expect(page.getByRole('button', { name: 'Take B' })).toBeVisible()
    await expect(page.getByRole('row', { name: /^Holes/ })).toContainText(/\d/)
  }
  await accessible(page)
})
