import { execFileSync } from 'node:child_process'
import { mkdtemp, readFile, writeFile } from 'node:fs/promises'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { fileURLToPath } from 'node:url'
import { expect, test } from '@playwright/test'
import { accessible, openDemo, readDownload, saved, shownSize, write } from './support.js'

const root = fileURLToPath(new URL('..', import.meta.url))

/** What the command line makes of a design file. */
async function exported(design: Buffer, to: 'pdf' | 'svg'): Promise<Buffer> {
  const folder = await mkdtemp(join(tmpdir(), 'drumlin-'))
  const [file, out] = [join(folder, 'mine.drumlin.json'), join(folder, `out.${to}`)]
  await writeFile(file, design)
  execFileSync(
    process.execPath,
    ['--import', 'tsx', 'cli/src/main.ts', 'export', file, '--to', to, '--out', out],
    { cwd: root },
  )
  return readFile(out)
}

test('a thicker leather: the outside grows by its working, a finding appears, its fix is tried, taken, undone, kept and exported', async ({
  page,
}) => {
  await openDemo(page)
  expect(await shownSize(page, 'outside.width')).toBe('208.2 mm')
  await expect(page.getByText('Nothing found that needs a look.')).toBeVisible()

  await write(page, 'thickness of the Tarn calf, outside', '1.8')
  // 0.6 × π × 0.5 × 0.4 = 0.38 mm more.
  await expect.poll(() => shownSize(page, 'outside.width')).toBe('208.6 mm')
  await expect(page.getByLabel('Working of outside width')).toContainText(
    'longer round the fold 7.0 = π × 2.23',
  )
  const finding = page.locator('[data-finding="stack-too-thick"]')
  await expect(finding).toContainText('4.05 mm under the outer seam, left; the No. 9 iron reaches 4.0 mm.')
  await expect(page.locator('[data-ring="tip"]')).toHaveCount(1)
  await expect(page.locator('[data-said]')).toContainText('New finding: ')
  await accessible(page)

  await finding.getByRole('button', { name: 'Try it' }).first().click()
  await expect(page.getByText('nothing is changed until you take it')).toBeVisible()
  await expect(page.getByRole('button', { name: /Undo “Tarn calf 1\.8 mm”/ })).toBeVisible()
  await finding.getByRole('button', { name: 'Take it' }).click()
  await expect(finding).toHaveCount(0)
  await expect(page.getByRole('button', { name: /Undo “skive the stacked edges”/ })).toBeVisible()

  await page.keyboard.press('Control+z')
  await expect(finding).toHaveCount(1)
  await saved(page)
  await page.reload()
  await expect(finding).toContainText('4.05 mm')
  await expect.poll(() => shownSize(page, 'outside.width')).toBe('208.6 mm')
  await expect(page.getByRole('button', { name: /Redo “skive the stacked edges”/ })).toBeVisible()

  const [file] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'Save the design as a file' }).click(),
  ])
  expect(file.suggestedFilename()).toBe('deckhands-fold.drumlin.json')
  const design = await readDownload(file)
  expect(JSON.parse(design.toString())).toMatchObject({
    version: 15,
    leathers: { outside: { thickness: 1.8 } },
  })
  const [pdf] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'Print at 1:1 on A4, as a PDF' }).click(),
  ])
  const printed = await readDownload(pdf)
  expect(printed.subarray(0, 5).toString()).toBe('%PDF-')
  const [svg] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'Save the pieces as SVG, 1:1' }).click(),
  ])
  const drawn = await readDownload(svg)
  expect(drawn.toString()).toContain('class="holes"')

  // The command line writes the same, byte for byte, from the file that was saved.
  expect(printed.equals(await exported(design, 'pdf'))).toBe(true)
  expect(drawn.equals(await exported(design, 'svg'))).toBe(true)
})
