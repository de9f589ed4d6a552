import { type Page, expect, test } from '@playwright/test'
import { readFileSync } from 'node:fs'
import {
  BARE,
  accessible,
  choose,
  chooseFile,
  openDemo,
  readDownload,
  saved,
  shownSize,
  startNew,
  write,
} from './support.js'

/** An empty drawing by hand, started from the shelf. */
async function startDrawing(page: Page): Promise<void> {
  await page.goto(BARE)
  await startNew(page, 'Drawing by hand')
  await expect(page.getByRole('heading', { name: 'Nothing is drawn yet' })).toBeVisible()
}
const putOnSheet = (page: Page): Promise<void> =>
  page.getByRole('button', { name: 'Put it on the sheet' }).click()

/** Half of a flap with five points, put on the sheet. */
async function drawFlap(page: Page): Promise<void> {
  await startDrawing(page)
  await page.getByRole('button', { name: 'Draw a panel' }).click()
  await page.getByRole('radio', { name: 'from points' }).check()
  for (const at of ['0, 0', '110, 0', '110, 70', '60, 120', '0, 130']) {
    await write(page, 'Point, across and down', at)
  }
}

test('a flap from nothing: drawn by half, moved by mouse, keys and writing', async ({ page }) => {
  await drawFlap(page)
  await write(page, 'Point, across and down', 'over there')
  await expect(page.getByRole('alert')).toContainText('was not understood')
  await accessible(page)
  await putOnSheet(page)
  await expect(page.locator('[data-point]')).toHaveCount(5)
  expect(await shownText(page, 'flap.width')).toBe('220.0 mm')

  // By mouse: the drawn half moves, the other follows; what it snaps to is said.
  const node = page.locator('[data-point="2"]')
  const box = (await node.boundingBox())!
  await page.mouse.move(box.x + box.width / 2, box.y + box.height / 2)
  await page.mouse.down()
  await page.mouse.move(box.x + 40, box.y + 14, { steps: 4 })
  await page.mouse.move(box.x + box.width / 2 + 2, box.y + 24, { steps: 4 })
  await expect(page.locator('.said')).toContainText('plumb with point 2')
  await page.mouse.up()
  // By keys: 1, a tenth and ten millimetres; by writing.
  await node.focus()
  for (const key of ['ArrowDown', 'Shift+ArrowUp', 'Alt+ArrowDown']) await page.keyboard.press(key)
  const bar = page.getByRole('group', { name: 'Point 3' })
  await write(page, 'down', '80')
  await expect(bar).toContainText('80.0 back')
  await write(page, 'corner radius', '25')
  await choose(page, /^how it goes on/, 'along a curve')
  await expect(page.locator('[data-grip]')).toHaveCount(2)
  await page.locator('[data-grip="c1-2"]').focus()
  await page.keyboard.press('ArrowRight')
  await bar.getByRole('button', { name: 'Put a point after it' }).click()
  await expect(page.locator('[data-point]')).toHaveCount(6)
  await page.getByRole('button', { name: 'Take it out' }).first().click()
  await expect(page.locator('[data-point]')).toHaveCount(5)
  await saved(page)
})

test('a drawn flap: its edge turned, lined, two drafts compared', async ({ page }) => {
  await drawFlap(page)
  await putOnSheet(page)
  await page.locator('[data-pick="edge-3"]').click()
  await choose(page, /^what becomes of the edge/, 'turned over')
  await page.getByRole('button', { name: 'All edges like this one' }).click()
  await expect.poll(() => shownSize(page, 'flap.edge-1.allowance')).toMatch(/^[78]\.\d mm$/)
  await write(page, 'width of the turn', '9')
  await page.locator('[data-part="layers"] .v-expansion-panel-title').click()
  await page.getByRole('button', { name: 'Put a lining behind it' }).click()
  await expect(page.locator('[data-piece="flap-lining"]')).toBeVisible()
  await page.getByRole('checkbox', { name: 'with contents' }).check()
  await expect(page.locator('[data-bend]').first()).toBeAttached()
  await accessible(page)

  await page.getByRole('link', { name: 'Drafts' }).click()
  await page.getByRole('button', { name: 'Keep “first draft” as it is now' }).click()
  await page.getByRole('link', { name: 'To the draft on the bench' }).click()
  await page.locator('[data-point="1"]').focus()
  await page.keyboard.press('Alt+ArrowRight')
  await page.getByRole('textbox', { name: 'Which draft this is' }).fill('second draft')
  await page.keyboard.press('Enter')
  await page.getByRole('link', { name: 'Drafts' }).click()
  await expect(page.locator('[data-compared="flap"]')).toContainText(/\d\.\d mm/)
  await expect(page.locator('[data-decision]').filter({ hasText: 'outline' })).toContainText(
    '1 of them changed',
  )
})

const shownText = async (page: Page, key: string): Promise<string> =>
  (await page.locator(`[data-size="${key}"] .value`).first().innerText()).trim()

test('a panel from an SVG file: its units asked for, a broken file refused in words', async ({ page }) => {
  await startDrawing(page)
  await accessible(page)
  await page.getByRole('button', { name: 'Draw a panel' }).click()
  await page.getByRole('radio', { name: 'from an SVG or DXF file' }).check()
  const put = (name: string, text: string): Promise<void> =>
    chooseFile(page, /^Choose an outline file/, {
      name,
      mimeType: 'image/svg+xml',
      buffer: Buffer.from(text),
    })
  await put('open.svg', '<svg xmlns="http://www.w3.org/2000/svg"><line x2="5" y2="5"/></svg>')
  await expect(page.getByRole('alert')).toContainText('open.svg: No closed outline was found')
  await put('broken.dxf', 'not a drawing')
  await expect(page.getByRole('alert')).toContainText('not a DXF text file')
  await put(
    'pouch.svg',
    '<svg xmlns="http://www.w3.org/2000/svg"><rect width="300" height="200" rx="20"/><line y1="240" x2="100" y2="240"/></svg>',
  )
  await expect(page.getByText('does not say what its units are')).toBeVisible()
  await choose(page, 'Its units are', 'set by a bar')
  await write(page, 'true length of the bar', '50')
  await expect(page.getByText('150.0 mm × 100.0 mm')).toBeVisible()
  await accessible(page)
  await putOnSheet(page)
  expect(await shownText(page, 'flap.width')).toBe('150.0 mm')
})

test('a kind’s panel taken over, redrawn and given back; the pattern goes out as DXF', async ({ page }) => {
  await openDemo(page)
  const before = await shownSize(page, 'outside.width')
  await page.getByRole('button', { name: 'Take it over by hand' }).click()
  await expect(page.locator('[data-drawn]')).toBeVisible()
  await page.locator('[data-pick="top"]').click()
  await choose(page, /^what becomes of the edge/, 'turned over')
  await expect(page.locator('[data-size="outside.top.allowance"]').first()).toBeVisible()
  const download = page.waitForEvent('download')
  await page.getByRole('button', { name: 'Save the pieces as DXF, 1:1' }).click()
  const text = (await readDownload(await download)).toString()
  expect(text).toContain('LWPOLYLINE')
  expect(text).toMatch(/\$INSUNITS\s+70\s+4/)
  await page.getByRole('button', { name: 'Give it back to the kind' }).click()
  await expect.poll(() => shownSize(page, 'outside.width')).toBe(before)
})

test('the example drawn by hand: folds, marks, a turn tried in the transect, ties', async ({ page }) => {
  await page.goto('/job/chart-pouch/draft')
  await expect(page.locator('[data-drawn]')).toBeVisible()
  await page.locator('[data-part="folds"] .v-expansion-panel-title').click()
  await write(page, 'fold of the flap, what lies in it', '10')
  await choose(page, 'work', 'closed')
  await expect(page.locator('[data-bend]')).toHaveCount(2)
  await choose(page, 'work', 'open')

  // Turned in the work it stays where it was, about its middle.
  await page.getByRole('button', { name: 'Where it lies' }).click()
  await write(page, 'lies turned, degrees', '15')
  await expect(page.getByRole('textbox', { name: 'lies turned, degrees' })).toHaveValue('15.0')
  await page.getByRole('button', { name: 'Undo “how it lies”' }).click()
  await expect(page.getByRole('textbox', { name: 'lies turned, degrees' })).toHaveValue('0.0')

  await choose(page, 'What to try', 'turn of the foot, back and flap')
  await write(page, 'try: turn of the foot, back and flap', '12')
  await expect(
    page.getByRole('status').filter({ hasText: 'nothing is changed until you take it' }),
  ).toBeVisible()
  await page.getByRole('button', { name: 'Take it', exact: true }).click()
  await expect(
    page.getByRole('button', { name: 'Undo “set the turn of the foot, back and flap”' }),
  ).toBeVisible()

  await page.locator('[data-part="marks"] .v-expansion-panel-title').click()
  await page.getByRole('button', { name: 'Add a hole', exact: true }).click()
  await expect(page.locator('[data-mark="hole"]')).toBeVisible()
  await page.locator('[data-part="skives"] .v-expansion-panel-title').click()
  await expect(page.getByText('bell-knife machine').first()).toBeVisible()
  await page.getByRole('button', { name: 'Tie them' }).click()
  await expect(page.locator('[data-tie]')).toContainText('follows it')
  await accessible(page)
})

test('test pieces of a leather: the sheet, what was measured, what it says, and how surely', async ({
  page,
}) => {
  // A job begun before keeps its own copy of the leather, until the maker takes the newer one.
  await startDrawing(page)
  await page.getByRole('link', { name: 'Stores', exact: true }).click()
  await page.getByRole('button', { name: 'More of Vegetable calf' }).click()
  const download = page.waitForEvent('download')
  await page.getByRole('button', { name: 'Print the test pieces' }).click()
  const file = await download
  expect(file.suggestedFilename()).toBe('test-pieces-vegetable-calf.pdf')
  expect(
    readFileSync(await file.path())
      .subarray(0, 5)
      .toString(),
  ).toBe('%PDF-')
  for (const used of ['11.9', '11.7']) {
    await write(page, 'fold strip: used up', used)
    await page.getByRole('button', { name: 'Write it down' }).click()
  }
  // (11.8 / π − 3) / 1.4
  await expect(page.locator('[data-lesson="neutral"]')).toContainText('0.540')
  await expect(page.locator('[data-lesson="neutral"]')).toContainText('from 2 pieces')
  await write(page, 'fold strip: used up', '25')
  await page.getByRole('button', { name: 'Write it down' }).click()
  await expect(page.getByRole('alert')).toContainText('Measure again')
  await page.getByRole('button', { name: 'Reckon with what was learnt' }).click()
  await expect(page.getByRole('textbox', { name: 'neutral-axis factor of Vegetable calf' })).toHaveValue(
    '0.54',
  )
  await page.getByRole('button', { name: 'Add a spot' }).click()
  await write(page, 'spot 1 of Vegetable calf', '1.5')
  await expect(page.getByRole('button', { name: 'reckoned with of Vegetable calf: measured' })).toBeVisible()
  await accessible(page)
  await page.getByRole('link', { name: 'Back to the job' }).click()
  await page.getByRole('link', { name: /^Brief/ }).click()
  await page.getByRole('button', { name: 'take it as it is on the shelf' }).first().click()
  await expect(page.getByRole('textbox', { name: 'thickness of the Vegetable calf, outside' })).toHaveValue(
    '1.5 mm',
  )
  await expect(page.getByRole('button', { name: 'take it as it is on the shelf' })).toHaveCount(0)
  await expect(page.getByRole('button', { name: 'Undo “Vegetable calf as on the shelf”' })).toBeVisible()
})
