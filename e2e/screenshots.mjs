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
  '--use-gl=angle',
  '--use-angle=swiftshader',
  '--enable-unsafe-swiftshader',
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
await page.getByRole('button', { name: 'More of Vegetable calf' }).click()
for (const used of ['11.9', '11.6', '11.8']) {
  await page.getByRole('textbox', { name: 'fold strip: used up' }).fill(used)
  await page.getByRole('textbox', { name: 'fold strip: used up' }).press('Enter')
  await page.getByRole('button', { name: 'Write it down' }).click()
}
await page.getByRole('button', { name: 'Add a spot' }).click()
await shot('test-pieces')
await page.getByRole('link', { name: 'Shelf', exact: true }).click()
await page.getByRole('link', { name: 'Chart pouch' }).click()
await page.locator('[data-pick="foot"]').click()
await page.locator('[data-point="2"]').focus()
await shot('drawing')
await page.getByRole('combobox', { name: 'work' }).selectOption('closed')
await page.locator('[data-part="folds"] summary').click()
await page.getByRole('checkbox', { name: 'with its contents' }).check()
await shot('drawing-closed')
await page.getByRole('button', { name: 'Draw a panel' }).click()
await page.getByRole('radio', { name: 'from points' }).check()
const board = await page.locator('[data-board]').boundingBox()
for (const [x, y] of [
  [100, 30],
  [220, 30],
  [220, 110],
  [170, 170],
  [100, 190],
])
  await page.mouse.click(board.x + (x * board.width) / 300, board.y + (y * board.height) / 220)
await shot('new-panel')
await page.getByRole('button', { name: 'Leave it' }).click()
await page.getByRole('link', { name: 'Shelf', exact: true }).click()
await page.getByRole('link', { name: 'Deckhand’s fold' }).click()
await page.getByRole('link', { name: /^Relief/ }).click()
await page.locator('[data-reached]').waitFor()
await page.waitForTimeout(2500)
await shot('relief')
await page.getByRole('button', { name: 'Show on the map' }).click()
await page.waitForTimeout(1200)
await shot('relief-skives')
await page.getByRole('button', { name: 'As it was' }).click()
await page.getByRole('link', { name: 'What if' }).click()
await page.getByRole('button', { name: 'Put another beside it' }).click()
await page.getByRole('button', { name: /^change in C/ }).click()
await page.getByText('card pockets a side', { exact: true }).last().click()
const pockets = page.getByRole('textbox', { name: 'card pockets a side' })
await pockets.fill('2')
await pockets.press('Enter')
await page.getByText('4 cards, 8 notes').waitFor()
await page.waitForTimeout(1500)
await shot('what-if')
await page.getByRole('link', { name: 'Seams' }).click()
await page.locator('[data-zip]').waitFor()
await shot('seams')
await page.getByRole('link', { name: 'Shelf', exact: true }).click()
await page.locator('input[type=file]').setInputFiles('e2e/files/rounder-fold.drumlin.json')
await page
  .getByRole('link', { name: /Rounder fold/ })
  .first()
  .click()
await page.getByRole('link', { name: 'Seams' }).click()
await page.locator('[data-finding=unequal-holes]').getByText('show where').click()
await page.getByText('Give both as many holes').first().waitFor()
await shot('seams-clash')
await page.getByRole('link', { name: 'Shelf', exact: true }).click()
await page.getByRole('link', { name: 'Mate’s spectacles case' }).click()
await page.waitForTimeout(500)
await shot('case')
await page.getByRole('link', { name: 'Shelf', exact: true }).click()
await page.getByRole('link', { name: 'Deckhand’s fold' }).click()
await page.getByRole('button', { name: 'Lamp', exact: true }).click()
await shot('draft-lamp')

await browser.close()
server.kill()
