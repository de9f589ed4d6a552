import { mkdirSync, mkdtempSync, writeFileSync } from 'node:fs'
import { connect } from 'node:net'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { afterAll, expect, test } from 'vitest'
import { DEFAULT_PLACES, buildApp } from '../src/app.js'

const web = mkdtempSync(join(tmpdir(), 'drumlin-web-'))
writeFileSync(join(web, 'index.html'), `<!doctype html><title>Drumlin</title>${'<p>leather</p>'.repeat(200)}`)
mkdirSync(join(web, 'assets'))
writeFileSync(join(web, 'assets', 'main-1a2b.js'), 'export const leather = 1\n'.repeat(200))
const app = await buildApp({ ...DEFAULT_PLACES, web, examples: true })
afterAll(() => app.close())
const page = { accept: 'text/html' }

test.each([
  ['localhost', 200],
  ['localhost:4317', 200],
  ['127.0.0.1:4317', 200],
  ['[::1]:4317', 200],
  ['drumlin.example', 421],
  ['localhost.example', 421],
  ['192.168.0.7:4317', 421],
  ['127.0.0.1.example', 421],
])('asked under %j it answers %i', async (host, code) => {
  expect((await app.inject({ url: '/start.json', headers: { host } })).statusCode).toBe(code)
})

test('the page is asked for anew each time; files named by what they hold are kept for ever', async () => {
  const ageOf = async (url: string) =>
    String((await app.inject({ url, headers: page })).headers['cache-control'])
  for (const url of ['/', '/index.html', '/job/x/draft', '/start.json', '/demo/index.json'])
    expect(await ageOf(url)).toBe('no-cache')
  expect(await ageOf('/assets/main-1a2b.js')).toBe('public, max-age=31536000, immutable')
})

test('a part of an older build is told as one, not answered with the page', async () => {
  const missing = await app.inject({ url: '/assets/main-0000.js', headers: page })
  expect([missing.statusCode, missing.json()]).toEqual([
    404,
    { code: 'OLDER_BUILD', path: '/assets/main-0000.js' },
  ])
  expect(missing.headers['cache-control']).toBe('no-store')
})

test.each(['br', 'gzip'])('large files travel as %s where that is understood', async (encoding) => {
  const sent = await app.inject({ url: '/assets/main-1a2b.js', headers: { 'accept-encoding': encoding } })
  expect(sent.headers['content-encoding']).toBe(encoding)
  expect(sent.rawPayload.length).toBeLessThan(1000)
})

test('a request that never ends and a connection that says nothing are both given limits', async () => {
  const { server } = app
  expect([server.requestTimeout, server.headersTimeout, server.keepAliveTimeout, server.timeout]).toEqual([
    10_000, 10_000, 5000, 30_000,
  ])
  const short = await buildApp({ ...DEFAULT_PLACES, web, examples: true }, { connectionTimeout: 200 })
  await short.listen({ port: 0, host: '127.0.0.1' })
  const { port } = short.server.address() as { port: number }
  const idle = connect(port, '127.0.0.1')
  await new Promise((resolve) => idle.on('close', resolve))
  expect((await fetch(`http://127.0.0.1:${port}/start.json`)).status).toBe(200)
  await short.close()
})
