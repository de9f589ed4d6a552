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
const context = await browser.newContext({
  locale: 'en-GB',
  viewport: { width: 1280, height: 800 },
  reducedMotion: 'reduce',
})
const page = await context.newPage()
const shot = async (name) => {
  await page.mouse.move(0, 0)
  await page.waitForTimeout(500)
  await page.screenshot({ path: `docs/screenshots/${name}.png` })
}

await page.goto(`http://localhost:${PORT}/`)
await page.getByRole('link', { name: 'Deckhand’s fold' }).waitFor()
// The cards in sight have been drawn.
const drawn = (cards) =>
  cards
    .filter((card) => card.getBoundingClientRect().top < 800)
    .every((card) => card.querySelector('.picture canvas, .picture svg'))
while (!(await page.locator('.card').evaluateAll(drawn))) await page.waitForTimeout(200)
await shot('shelf')
await page.getByRole('link', { name: 'Deckhand’s fold' }).click()
await page.getByRole('button', { name: 'Leave the notes' }).click()
await page.locator('[data-piece=inside]').click()
await shot('draft')
const thickness = page.getByRole('textbox', { name: 'thickness of the Heron goat, inside' })
await thickness.fill('1.3')
await thickness.press('Enter')
await page.getByRole('button', { name: 'Try it' }).first().click()
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
await page.getByRole('link', { name: 'Shelf', exact: true }).click()
await page.getByRole('link', { name: 'Chart pouch' }).click()
await page.locator('[data-pick="foot"]').click()
await page.locator('[data-point="2"]').focus()
await shot('drawing')
await page.getByRole('link', { name: 'Shelf', exact: true }).click()
await page.getByRole('link', { name: 'Deckhand’s fold' }).click()
await page.getByRole('link', { name: /^Relief/ }).click()
await page.locator('[data-reached]').waitFor()
await page.waitForTimeout(2500)
await shot('relief')
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
await page.getByRole('link', { name: 'Pilot’s flap bag' }).click()
await page.waitForTimeout(800)
await page.getByRole('link', { name: /^Round/ }).click()
await page.waitForTimeout(1500)
await shot('bag-round')
await page.getByRole('link', { name: 'Shelf', exact: true }).click()
await page.getByRole('link', { name: 'Galley tote' }).click()
await page.getByRole('link', { name: /^Hide/ }).click()
await page.getByText('It all comes out.').waitFor()
await page.waitForTimeout(500)
await shot('hide')
await page.getByRole('link', { name: 'Shelf', exact: true }).click()
await page.getByRole('link', { name: 'Harbour office case' }).click()
await page.getByRole('link', { name: /^Fittings/ }).click()
await shot('fittings')
await page.getByRole('link', { name: 'Shelf', exact: true }).click()
await page.getByRole('link', { name: 'Deckhand’s fold' }).click()
await page.getByRole('link', { name: /^Make/ }).click()
await page.getByRole('button', { name: 'Glue the foot of pocket 1, left and right' }).click()
await shot('make')
await page.getByRole('link', { name: /^Price/ }).click()
await page.getByRole('rowheader', { name: 'To ask' }).waitFor()
await page.getByRole('button', { name: 'hours at the bench' }).click()
await shot('price')
await page.getByRole('link', { name: 'Ledger', exact: true }).click()
await page.getByRole('link', { name: 'Pilot’s flap bag' }).click()
await page.getByText('turning lock plate upside down').waitFor()
await shot('record')
await page.getByRole('link', { name: 'Ledger', exact: true }).click()
await page.getByRole('tab', { name: 'Looking back' }).click()
await page.locator('.chart svg').nth(3).waitFor()
await shot('looking-back')
await page.getByRole('link', { name: 'Shelf', exact: true }).click()
await page.getByRole('link', { name: 'Deckhand’s fold' }).click()
await page.getByRole('link', { name: /^Make/ }).click()
await page.getByRole('button', { name: /^Make it: how many/ }).click()
await page.getByRole('button', { name: 'Make it', exact: true }).click()
await page.getByRole('button', { name: /^To the bench/ }).click()
const bench = page.getByRole('region', { name: 'The bench' })
for (let step = 1; step < 10; step += 1) {
  await bench.getByText(`${step} of 27`, { exact: true }).waitFor()
  await page.keyboard.press('Space')
}
await bench.getByText('10 of 27').waitFor()
await shot('bench')
await bench.getByRole('button', { name: 'Leave the bench' }).click()
await page.goto(`http://localhost:${PORT}/devices`)
await page.getByRole('heading', { name: 'Digital caliper' }).waitFor()
await page.getByRole('checkbox', { name: 'Drumlin listens to it' }).first().check()
// A field waits in another tab.
const other = await context.newPage()
await other.goto(`http://localhost:${PORT}/job/deckhands-fold/draft`)
await other.getByRole('textbox', { name: 'corner radius' }).first().focus()
await page.bringToFront()
const jaws = page.getByRole('textbox', { name: 'between the jaws of the digital caliper' })
await jaws.fill('6.5')
await jaws.press('Enter')
await page.getByRole('button', { name: 'Send' }).first().click()
await page.getByText(/into “corner radius”/).waitFor()
await shot('devices')

await browser.close()
server.kill()
