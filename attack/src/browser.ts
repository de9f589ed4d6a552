import { spawn, spawnSync } from 'node:child_process'
import { existsSync, mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { fileURLToPath } from 'node:url'
import { type BrowserContext, type Page, chromium } from '@playwright/test'
import type { Chance } from './random.js'

const ROOT = fileURLToPath(new URL('../../', import.meta.url))
const PORT = 4397
const ADDRESS = `http://localhost:${PORT}`
const FIELD = 'corner radius'
const TABS = 3
const EDITS_OF_A_TAB = 100

/** Kills the browser in the middle of edits, and lets three tabs edit one job: what was called saved has to be there. */
export async function attackBrowser(c: Chance, kills: number): Promise<string[]> {
  if (!existsSync(join(ROOT, 'web/dist/index.html'))) spawnSync('npm', ['run', '-s', 'build'], { cwd: ROOT })
  const server = spawn(process.execPath, ['--import', 'tsx', 'server/src/main.ts'], {
    cwd: ROOT,
    env: { ...process.env, PORT: String(PORT) },
  })
  const profile = mkdtempSync(join(tmpdir(), 'drumlin-attack-'))
  try {
    await served()
    return [...(await killed(c, profile, kills)), ...(await tabbed(profile))]
  } finally {
    server.kill()
    rmSync(profile, { recursive: true, force: true })
  }
}

async function served(): Promise<void> {
  for (let i = 0; i < 100; i += 1) {
    const there = await fetch(`${ADDRESS}/start.json`).catch(() => undefined)
    if (there?.ok) return
    await new Promise((resolve) => setTimeout(resolve, 100))
  }
  throw new Error('the server did not start')
}

const launched = (profile: string): Promise<BrowserContext> =>
  chromium.launchPersistentContext(profile, {
    executablePath: '/usr/bin/chromium',
    args: ['--no-sandbox', '--disable-gpu', '--no-first-run', '--disable-background-networking'],
    viewport: { width: 1280, height: 800 },
  })

async function opened(context: BrowserContext): Promise<Page> {
  const page = await context.newPage()
  await page.goto(ADDRESS)
  await page.getByRole('link', { name: 'Deckhand’s fold' }).click()
  await page.getByRole('textbox', { name: FIELD }).first().waitFor()
  return page
}

const valueOf = async (page: Page, field = FIELD): Promise<number> =>
  Number.parseFloat(await page.getByRole('textbox', { name: field }).first().inputValue())

async function written(page: Page, value: number, field = FIELD): Promise<void> {
  const box = page.getByRole('textbox', { name: field }).first()
  await box.fill(String(value))
  await box.press('Enter')
}
const isSaved = (page: Page): Promise<void> =>
  page.locator('header [role=status]', { hasText: /(^|· )saved/ }).waitFor({ timeout: 20_000 })

/** The browser is killed after an edit was called saved, and while the next one is being written. */
async function killed(c: Chance, profile: string, times: number): Promise<string[]> {
  const failures: string[] = []
  for (let i = 0; i < times; i += 1) {
    const context = await launched(profile)
    const page = await opened(context)
    const acknowledged = 4 + c.below(60) / 10
    await written(page, acknowledged)
    await isSaved(page)
    const next = 4 + c.below(60) / 10
    await written(page, next)
    await new Promise((resolve) => setTimeout(resolve, c.below(40)))
    spawnSync('pkill', ['-9', '-f', profile])
    await context.close().catch(() => undefined)
    const again = await launched(profile)
    const there = await valueOf(await opened(again))
    if (there !== acknowledged && there !== next)
      failures.push(`kill ${i}: ${acknowledged} was called saved and ${there} is there`)
    await again.close()
  }
  return failures
}

/** Each tab writes a size of its own, all at once; in the end every tab shows what each wrote last. */
async function tabbed(profile: string): Promise<string[]> {
  const fields = [FIELD, 'reveal', 'lap']
  const context = await launched(profile)
  const pages = await Promise.all(Array.from({ length: TABS }, () => opened(context)))
  const last = fields.map((_, i) => 8 + i)
  const usable: string[] = []
  for (const field of fields)
    if ((await pages[0]!.getByRole('textbox', { name: field }).count()) > 0) usable.push(field)
  await Promise.all(
    usable.map(async (field, tab) => {
      const page = pages[tab]!
      for (let i = 0; i < EDITS_OF_A_TAB; i += 1) await written(page, last[tab]! + (i % 10) / 10, field)
      await written(page, last[tab]!, field)
      await isSaved(page)
    }),
  )
  await new Promise((resolve) => setTimeout(resolve, 1000))
  const failures: string[] = []
  for (const [i, page] of pages.entries()) {
    await page.reload()
    await page.getByRole('textbox', { name: FIELD }).first().waitFor()
    for (const [tab, field] of usable.entries()) {
      const there = await valueOf(page, field)
      if (there !== last[tab]) failures.push(`tab ${i} shows ${field} ${there}, ${last[tab]} was saved`)
    }
  }
  await context.close()
  return failures
}
