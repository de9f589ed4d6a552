// Pictures of the main views at 1280 × 800, made from the demo data, for docs/screenshots/. Builds first.
import { spawn, spawnSync } from 'node:child_process'
import { chromium } from '@playwright/test'

const PORT = '4393'
spawnSync('npm', ['run', '-s', 'build'], { stdio: ['ignore', 'ignore', 'inherit'] })
const server = spawn(process.execPath, ['--import', 'tsx', 'server/src/main.ts'], {
  env: { ...process.env, PORT },
})
await new Promise((resolve) => server.stdout.once('data', resolve))

const args = [
  '--no-sandbox',
  '--disable-gpu',
  '--disable-quic',
  '--no-first-run',
  '--disable-background-networking',
  '--disable-component-update',
  '--disable-sync',
]
const browser = await chromium.launch({ executablePath: '/usr/bin/chromium', args })
const page = await browser.newPage({ viewport: { width: 1280, height: 800 }, reducedMotion: 'reduce' })
const shot = async (name) => {
  await page.mouse.move(0, 0)
  await page.waitForTimeout(500)
  await page.screenshot({ path: `docs/screenshots/${name}.png` })
}

await page.goto(`http://localhost:${PORT}/`)
await page.getByRole('link', { name: 'Deckhand’s fold' }).waitFor()
await shot('shelf')
await page.getByRole('link', { name: 'Deckhand’s fold' }).click()
await page.locator('[data-piece=inside]').click()
await shot('draft')
const thickness = page.getByRole('textbox', { name: 'thickness of the Heron goat, inside' })
await thickness.fill('1.3')
await thickness.press('Enter')
await page.getByRole('button', { name: 'Try it' }).first().click()
await shot('draft-trying-a-fix')
await page.getByRole('button', { name: 'Leave it' }).first().click()
await page.getByRole('button', { name: /^Undo/ }).click()
await page.getByRole('link', { name: /^Brief/ }).click()
await shot('brief')
await page.getByRole('link', { name: 'Drafts' }).click()
await page.getByRole('button', { name: /^Keep/ }).click()
await page.getByRole('link', { name: 'To the draft on the bench' }).click()
const corner = page.getByRole('textbox', { name: 'corner radius' }).first()
await corner.fill('12')
await corner.press('Enter')
await page.getByRole('link', { name: 'Drafts' }).click()
await page.getByText('Decisions that changed').waitFor()
await shot('drafts')
await page.getByRole('button', { name: 'Go back to first draft' }).click()
await page.getByRole('link', { name: 'Pocket book' }).click()
await page.getByRole('link', { name: /^Outside longer than inside/ }).click()
await shot('pocket-book')
await page.getByRole('link', { name: 'Stores', exact: true }).click()
await shot('stores')
await page.getByRole('link', { name: 'Back to the job' }).click()
await page.getByRole('button', { name: 'Lamp' }).click()
await shot('draft-lamp')

await browser.close()
server.kill()
