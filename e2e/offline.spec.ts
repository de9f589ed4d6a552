import { spawn } from 'node:child_process'
import { fileURLToPath } from 'node:url'
import { expect, test } from '@playwright/test'
import { accessible, choose, readDownload, write } from './support.js'

/** A server of this journey’s own, that it can stop. */
const PORT = 4395
const HOME = `http://localhost:${PORT}`
function serve() {
  const server = spawn('node', ['--import', 'tsx', 'server/src/main.ts'], {
    cwd: fileURLToPath(new URL('..', import.meta.url)),
    env: { ...process.env, PORT: String(PORT) },
    stdio: ['ignore', 'pipe', 'inherit'],
  })
  const ready = new Promise<void>((resolve) => server.stdout.once('data', () => resolve()))
  return {
    ready,
    stop: () => new Promise<void>((done) => void (server.once('exit', () => done()), server.kill())),
  }
}

test('with the server stopped everything opens and works: from the shelf to the PDF', async ({ browser }) => {
  const server = serve()
  await server.ready
  const context = await browser.newContext({
    locale: 'en-GB',
    serviceWorkers: 'allow',
    reducedMotion: 'reduce',
  })
  const page = await context.newPage()
  try {
    await page.goto(HOME)
    await expect(page.getByRole('link', { name: 'Deckhand’s fold' })).toBeVisible()
    await page.evaluate(() => navigator.serviceWorker.ready.then(() => undefined))
    await page.getByRole('button', { name: 'Everything in one file' }).click()
    await expect(page.getByText('Drumlin opens and works without its server')).toBeVisible()
  } finally {
    await server.stop()
  }
  const broken: string[] = []
  page.on('pageerror', (error) => broken.push(error.message))
  await page.goto(HOME)
  await page.getByRole('link', { name: 'Deckhand’s fold' }).click()
  await expect(page.getByRole('heading', { level: 1, name: 'Outside' })).toBeVisible()
  const job = new URL(page.url()).pathname.replace(/\/[^/]+$/, '')
  for (const at of [
    'brief',
    'seams',
    'relief',
    'fittings',
    'round',
    'hide',
    'make',
    'price',
    'what-if',
    'drafts',
  ].map((s) => `${job}/${s}`)) {
    await page.goto(HOME + at)
    await expect(page.getByRole('heading').first()).toBeVisible()
    await expect(page.locator('.v-skeleton-loader')).toHaveCount(0)
  }
  for (const at of ['/stores', '/ledger', '/pocket-book', '/help/formulas']) {
    await page.goto(HOME + at)
    await expect(page.getByRole('heading').first()).toBeVisible()
  }
  // A change is made and kept, and the pattern printed, fonts and all.
  await page.goto(`${HOME}${job}/draft`)
  await page.locator('[data-piece="inside"]').press('Enter')
  await write(page, 'reveal', '13')
  await choose(page, 'school of the pockets', /^T, butted/)
  await expect(page.locator('header [role=status]')).toContainText('saved')
  const saved = page.waitForEvent('download')
  await page.getByRole('button', { name: 'Print at 1:1 on A4, as a PDF' }).click()
  const pdf = await readDownload(await saved)
  expect(pdf.subarray(0, 5).toString()).toBe('%PDF-')
  await accessible(page, ['color-contrast'])
  expect(broken).toEqual([])
  await context.close()
})
