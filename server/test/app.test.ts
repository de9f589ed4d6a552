import { mkdtempSync, mkdirSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { expect, test } from 'vitest'
import { DEFAULT_PLACES, buildApp } from '../src/app.js'

/** A stand-in for the built interface, so that the test needs no build. */
const web = mkdtempSync(join(tmpdir(), 'drumlin-web-'))
writeFileSync(join(web, 'index.html'), '<!doctype html><title>Drumlin</title>')
mkdirSync(join(web, 'assets'))
const app = (examples = true) => buildApp({ ...DEFAULT_PLACES, web, examples })

test('says whether a first visit opens with the examples', async () => {
  expect((await (await app()).inject('/start.json')).json()).toEqual({ examples: true })
  expect((await (await app(false)).inject('/start.json')).json()).toEqual({ examples: false })
})
test('serves the demo as plain files', async () => {
  const server = await app()
  const index = (await server.inject('/demo/index.json')).json() as { designs: string[] }
  for (const design of index.designs)
    expect((await server.inject(`/demo/designs/${design}`)).statusCode).toBe(200)
})
test('a screen’s address gives the page, anything else unknown a plain 404', async () => {
  const server = await app()
  expect((await server.inject({ url: '/job/x/draft', headers: { accept: 'text/html' } })).body).toContain(
    '<title>Drumlin</title>',
  )
  const missing = await server.inject('/demo/none.json')
  expect([missing.statusCode, missing.json()]).toEqual([404, { code: 'NOT_FOUND', path: '/demo/none.json' }])
})
test('does not climb out of its folders', async () => {
  const server = await app()
  for (const url of ['/demo/..%2fpackage.json', '/..%2f..%2fetc%2fpasswd', '/demo/%2e%2e/package.json'])
    expect((await server.inject(url)).statusCode).toBeGreaterThanOrEqual(400)
})
test('lets the page load from nowhere else', async () => {
  const policy = String(
    (await (await app()).inject({ url: '/', headers: { accept: 'text/html' } })).headers[
      'content-security-policy'
    ],
  )
  expect(policy).toContain("default-src 'self'")
  expect(policy).not.toContain('upgrade-insecure-requests')
  // But for the PDF that the page itself hands to the print dialogue.
  for (const source of ['frame-src', 'object-src']) expect(policy).toContain(`${source} 'self' blob:`)
})
