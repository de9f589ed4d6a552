import { readFileSync, readdirSync } from 'node:fs'
import { fileURLToPath } from 'node:url'
import { type Page, expect, test } from '@playwright/test'
import { NOWHERE, accessible, openDemo, some, walk } from './support.js'

/** What stands for the job and the making in the addresses of screens; a page of its own is left out. */
const STANDS: Readonly<Record<string, string>> = { id: 'deckhands-fold', making: 'example-making-15' }
/** Every address there is, read where they are declared, and pages of those that have several. */
const ADDRESSES: readonly string[] = [
  ...[
    ...readFileSync(new URL('../web/src/app/screens.ts', import.meta.url), 'utf8').matchAll(
      /path: '([^']+)'/g,
    ),
  ].map(([, path = '']) =>
    path.replace(/\/:\w+\?/, '').replace(/:(\w+)/g, (_, name: string) => STANDS[name] ?? name),
  ),
  '/ledger/looking-back',
  '/ledger/stock',
  '/help/formulas',
  '/help/words',
  NOWHERE,
]

const settled = async (page: Page): Promise<void> => {
  await expect(page.getByRole('heading').first()).toBeVisible()
  await expect(page.locator('.v-skeleton-loader')).toHaveCount(0)
}

/** What reaches beyond the right of the window, of what is used or read first. */
function cutOff(): string[] {
  const room = document.documentElement.clientWidth
  const main = document.querySelector('#main')
  return [...(main?.querySelectorAll('button, a, input, h1, h2') ?? [])]
    .filter(
      (e) => e.getClientRects().length > 0 && !e.closest('.wide, .v-table__wrapper, svg, .visually-hidden'),
    )
    .filter((e) => e.getBoundingClientRect().right > room + 1)
    .map((e) => (e.getAttribute('aria-label') ?? e.textContent ?? '').trim().slice(0, 40))
}

for (const light of ['light', 'dark'] as const)
  test(`nothing for axe to find on any screen, ${light}`, async ({ browser }) => {
    // Every screen there is, each looked through: minutes on a loaded machine.
    test.slow()
    const context = await browser.newContext({ colorScheme: light, locale: 'en-GB', reducedMotion: 'reduce' })
    const page = await context.newPage()
    await openDemo(page)
    // A list that is read from a file must not grow short in silence.
    expect(ADDRESSES.length).toBeGreaterThan(20)
    // The dark only has other colours, of the same parts.
    for (const at of some(ADDRESSES, light === 'dark' ? 2 : 1)) {
      await walk(page, at)
      await settled(page)
      await accessible(page, light === 'dark' ? ['color-contrast'] : undefined)
    }
    await context.close()
  })

test('dialogs and menus: axe finds nothing, Escape leaves, the focus comes back', async ({ page }) => {
  await page.goto('/')
  const start = page.getByRole('button', { name: 'Start a new job' })
  await start.click()
  await expect(page.getByRole('dialog').getByRole('button', { name: /^Rucksack: / })).toBeVisible()
  await accessible(page)
  await page.keyboard.press('Escape')
  await expect(page.getByRole('dialog')).toHaveCount(0)
  await expect(start).toBeFocused()
  await openDemo(page)
  await page.keyboard.press('?')
  await expect(page.getByRole('heading', { name: 'Keys' })).toBeVisible()
  await accessible(page)
  await page.keyboard.press('Escape')
  const choice = page.getByRole('button', { name: /^flesh side/ }).first()
  await choice.click()
  await expect(page.locator('.v-overlay--active .v-list-item').first()).toBeVisible()
  await accessible(page)
  await page.keyboard.press('Escape')
  await page.getByRole('button', { name: 'Shown' }).click()
  await page.getByRole('checkbox', { name: 'words' }).uncheck()
  await expect(page.locator('[data-piece="inside"] text')).toHaveCount(0)
  await page.getByRole('checkbox', { name: 'words' }).check()
  await page.keyboard.press('Escape')
  await expect(page.locator('.v-overlay--active')).toHaveCount(0)
  // Choices between shapes come with a picture each.
  await page.locator('[data-piece="inside"]').press('Enter')
  await expect(page.getByRole('heading', { level: 1, name: 'Inside' })).toBeVisible()
  await page
    .getByRole('button', { name: /^school of the pockets/ })
    .first()
    .click()
  await expect(page.locator('.v-overlay--active').locator('canvas, svg path').first()).toBeVisible()
  await accessible(page)
  await page.keyboard.press('Escape')
  await page.locator('[data-piece="outside"]').press('Enter')
  await expect(page.getByRole('heading', { level: 1, name: 'Outside' })).toBeVisible()
  // The rule lies across the chosen piece and says its width; its ends go by the arrows.
  await page.getByRole('button', { name: 'Measure' }).click()
  await expect(page.locator('[data-tape]')).toContainText('208.2 mm ·')
  await page.getByRole('slider', { name: 'End 2 of the rule' }).press('Alt+ArrowLeft')
  await expect(page.locator('[data-tape]')).toContainText('198.2 mm ·')
})

test('on a phone, a tablet and at 400 % nothing is cut off sideways, and the trail is at hand', async ({
  page,
}) => {
  await openDemo(page)
  for (const at of ADDRESSES) {
    await walk(page, at)
    await expect(page.getByRole('heading').first()).toBeAttached()
    for (const [width, height] of [
      [390, 844],
      [820, 1180],
      [320, 256],
    ] as const) {
      await page.setViewportSize({ width, height })
      expect([at, width, await page.evaluate(cutOff)]).toEqual([at, width, []])
    }
  }
  await page.setViewportSize({ width: 390, height: 844 })
  await page.goto('/job/deckhands-fold/draft')
  await page.getByRole('button', { name: 'The trail' }).click()
  await page.getByRole('link', { name: /^Seams/ }).click()
  await page.getByRole('button', { name: 'The chosen run' }).click()
  await expect(page.getByRole('heading', { level: 1 })).toBeVisible()
  await expect(page).toHaveTitle(/^Deckhand’s fold · Seams · Drumlin$/)
})

test('an unknown address says so; the page of a job is named', async ({ page }) => {
  await page.goto('/elsewhere')
  await expect(page.getByRole('heading', { name: 'There is nothing at this address' })).toBeVisible()
  await page.getByRole('link', { name: 'To the shelf', exact: true }).click()
  await expect(page).toHaveTitle('Shelf · Drumlin')
  await openDemo(page)
  await expect(page).toHaveTitle('Deckhand’s fold · Draft · Drumlin')
  await page.getByRole('button', { name: 'Next' }).click()
  await expect(page.getByText('2 of 4')).toBeVisible()
  await page.getByRole('button', { name: 'Leave the notes' }).click()
  await page.reload()
  await expect(page.getByRole('heading', { level: 1, name: 'Outside' })).toBeVisible()
  await expect(page.getByText('2 of 4')).toHaveCount(0)
})

test('no word of a drawing in the docs is cut off, whatever face the browser has', async ({ page }) => {
  const folder = fileURLToPath(new URL('../docs/drawings/', import.meta.url))
  for (const name of readdirSync(folder)) {
    await page.setContent(readFileSync(folder + name, 'utf8'))
    const cut = await page.evaluate(() => {
      const svg = document.querySelector('svg')!
      const { x, y, width, height } = svg.viewBox.baseVal
      return [...svg.querySelectorAll('text')]
        .filter((t) => {
          const box = t.getBBox()
          return box.x < x || box.y < y || box.x + box.width > x + width || box.y + box.height > y + height
        })
        .map((t) => t.textContent)
    })
    expect([name, cut]).toEqual([name, []])
  }
})
