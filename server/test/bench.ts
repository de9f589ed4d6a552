import { mkdirSync, mkdtempSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import type { FastifyInstance } from 'fastify'
import { afterEach, beforeEach } from 'vitest'
import { type DeviceOf, type Hand, devicesSchema, heard } from '@drumlin/core/devices'
import { DEFAULT_PLACES, buildApp } from '../src/app.js'

const web = mkdtempSync(join(tmpdir(), 'drumlin-web-'))
writeFileSync(join(web, 'index.html'), '<!doctype html><title>Drumlin</title>')
mkdirSync(join(web, 'assets'))

export let app: FastifyInstance
/** A server with its devices for each test of a file, as new. */
export function eachWithBench(): void {
  beforeEach(async () => {
    app = await buildApp({ ...DEFAULT_PLACES, web, examples: false })
    await app.ready()
  })
  afterEach(() => app.close())
}

/** The server answers only under names of this machine. */
const HERE = { headers: { host: 'localhost' } }

export const hand = async (id: string, act: Hand) =>
  app.inject({ method: 'POST', url: `/device/${id}/hand`, payload: act })
export const press = (id: string, button: string) => hand(id, { act: 'press', button })
export const mischief = (id: string, what: string, on = true) => hand(id, { act: 'mischief', id: what, on })
export const settled = () => new Promise((done) => setTimeout(done, 20))

/** What a device says over its line, whole lines only, and what it was left at. */
export async function listening(id: string) {
  const socket = await app.injectWS(`/device/${id}/line`, HERE)
  const lines: string[] = []
  let rest = ''
  socket.on('message', (data) => {
    const now = heard(rest, String(data))
    rest = now.rest
    lines.push(...now.lines)
  })
  return { socket, lines, rest: () => rest }
}
export async function state<S extends 'teller' | 'cutter' | 'printer' | 'camera'>(
  id: string,
): Promise<DeviceOf<S>> {
  let first = ''
  const socket = await app.injectWS('/device/watch', HERE, {
    onInit: (ws) => ws.on('message', (d) => (first ||= String(d))),
  })
  await settled()
  socket.terminate()
  return devicesSchema.parse(JSON.parse(first)).find((d) => d.id === id) as DeviceOf<S>
}

/** What whoever watches was shown last. */
export async function watching<S extends 'teller' | 'cutter' | 'printer' | 'camera'>(id: string) {
  let last = '[]'
  const socket = await app.injectWS('/device/watch', HERE, {
    onInit: (ws) => ws.on('message', (d) => (last = String(d))),
  })
  return {
    socket,
    last: () => devicesSchema.parse(JSON.parse(last)).find((d) => d.id === id) as DeviceOf<S>,
  }
}
