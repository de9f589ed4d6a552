import AxeBuilder from '@axe-core/playwright'
import { type Download, type Page, expect } from '@playwright/test'

export const BARE = 'http://localhost:4392'

/** A first visit straight to the demo's draft: the shelf would draw seventeen cards first. */
export async function openDemo(page: Page): Promise<void> {
  await page.goto('/job/deckhands-fold/draft')
  await expect(page.getByRole('heading', { level: 1, name: 'Outside' })).toBeVisible()
}

/** Every one of a list with DRUMLIN_LONG=1, else each so manieth: a hurried run has minutes. */
export const some = <T>(all: readonly T[], each: number): readonly T[] =>
  process.env.DRUMLIN_LONG === undefined ? all.filter((_, i) => i % each === 0) : all

/** An address without a screen. */
export const NOWHERE = '/nowhere/at/all'

/** To another screen as by a link: loading everything anew at each takes three times as long. */
export async function walk(page: Page, to: string): Promise<void> {
  const nothing = page.getByRole('heading', { name: 'There is nothing at this address' })
  const go = (at: string): Promise<void> =>
    page.evaluate((url) => {
      history.pushState(null, '', url)
      dispatchEvent(new PopStateEvent('popstate'))
    }, at)
  // By way of nowhere: once that is gone what was asked for is there.
  await go(NOWHERE)
  await expect(nothing).toBeVisible()
  if (to === NOWHERE) return
  await go(to)
  await expect(nothing).toHaveCount(0)
}

/** Asks for a new job of a kind on the shelf, whether it can be kept or not. */
export async function askForNew(page: Page, kind: string): Promise<void> {
  await page.getByRole('button', { name: 'Start a new job' }).click()
  await page
    .getByRole('dialog')
    .getByRole('button', { name: new RegExp(`^${kind}: `) })
    .click()
}

/** A new job of a kind, from the shelf, open. */
export async function startNew(page: Page, kind: string): Promise<void> {
  await askForNew(page, kind)
  await page.waitForURL(/\/job\//)
}

/** Writes into a field as a maker does. */
export async function write(page: Page, label: string | RegExp, text: string): Promise<void> {
  const field = page.getByRole('textbox', { name: label }).first()
  await field.fill(text)
  await field.press('Enter')
}

/** What a computed size of the chosen piece shows. */
export const shownSize = (page: Page, key: string): Promise<string> =>
  page.locator(`[data-size="${key}"] input`).first().inputValue()

export const saved = (page: Page): Promise<void> =>
  expect(page.locator('header [role=status]')).toContainText(/(^|· )saved/)

export async function readDownload(download: Download): Promise<Buffer> {
  const chunks: Buffer[] = []
  for await (const chunk of await download.createReadStream()) chunks.push(chunk as Buffer)
  return Buffer.concat(chunks)
}

/** No finding of axe on the page, contrast included; or by those of its rules. */
export async function accessible(page: Page, rules?: string[]): Promise<void> {
  // There are no frames: nothing has to be put together in a page of its own, which took three times as long.
  const axe = new AxeBuilder({ page }).setLegacyMode().options({ resultTypes: ['violations'] })
  const { violations } = await (rules ? axe.withRules(rules) : axe).analyze()
  expect(violations.map((v) => `${v.id}: ${v.nodes.map((n) => n.target.join(' ')).join(' | ')}`)).toEqual([])
}

/** Takes one of several in a sentence: opens the choice and picks what begins with those words. */
export async function choose(page: Page, label: string | RegExp, option: string | RegExp): Promise<void> {
  const name = typeof label === 'string' ? new RegExp(`^${label}: `) : label
  await page.getByRole('button', { name }).first().click()
  await page.locator('.v-overlay--active .v-list-item').filter({ hasText: option }).first().click()
}

/** Chooses a file where a button asks for one. */
export async function chooseFile(
  page: Page,
  button: string | RegExp,
  file: string | { name: string; mimeType: string; buffer: Buffer },
): Promise<void> {
  const asked = page.waitForEvent('filechooser')
  await page.getByRole('button', { name: button }).click()
  await (await asked).setFiles(file)
}
