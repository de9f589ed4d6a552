import { createServer } from 'node:http'
import type { FastifyInstance } from 'fastify'
import { DEFAULT_PLACES, PATIENCE, buildApp } from './app.js'

const DEFAULT_PORT = 4317
const written = process.env.PORT ?? String(DEFAULT_PORT)
const port = /^\d{1,5}$/.test(written) ? Number(written) : NaN
if (!(port >= 0 && port <= 65535)) {
  console.error(`PORT must be a whole number from 0 to 65535, got ${written.slice(0, 40)}`)
  process.exit(2)
}

/** Serves the other loopback address too: some browsers ask for localhost there. A machine without it goes without. */
function alsoSix(app: FastifyInstance, on: number): void {
  const six = createServer({ ...PATIENCE, headersTimeout: PATIENCE.requestTimeout }, (request, reply) =>
    app.routing(request, reply),
  )
  six.on('upgrade', (request, socket, head) => app.server.emit('upgrade', request, socket, head))
  six.setTimeout(PATIENCE.connectionTimeout)
  six.on('error', () => undefined)
  six.listen(on, '::1')
}

const app = await buildApp({ ...DEFAULT_PLACES, examples: !process.argv.includes('--empty') })
try {
  const address = await app.listen({ port, host: '127.0.0.1' })
  alsoSix(app, Number(new URL(address).port))
  console.log(`Drumlin is open at ${address.replace('127.0.0.1', 'localhost')}`)
} catch (error) {
  console.error(
    error instanceof Error && 'code' in error && error.code === 'EADDRINUSE'
      ? `Port ${port} is taken: set PORT to another, as in PORT=4318 npm start.`
      : error,
  )
  process.exit(1)
}
