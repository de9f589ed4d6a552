import { isAbsolute, relative, sep } from 'node:path'
import { fileURLToPath } from 'node:url'
import compress from '@fastify/compress'
import helmet from '@fastify/helmet'
import serveFiles from '@fastify/static'
import websocket from '@fastify/websocket'
import fastify, { type FastifyInstance } from 'fastify'
import { LARGEST_LINE, devices } from './devices/routes.js'

export interface AppOptions {
  /** The built interface. */
  readonly web: string
  /** The demo stores and designs, plain files. */
  readonly demo: string
  /** Whether a first visit lays the examples out. */
  readonly examples: boolean
}

const root = (path: string): string => fileURLToPath(new URL(`../../${path}`, import.meta.url))
export const DEFAULT_PLACES = { web: root('web/dist'), demo: root('demo') }

/** Only what the app itself needs: no other host, no inline script; styles inline because the toolkit sets them so. */
const POLICY = {
  useDefaults: true,
  directives: {
    'default-src': ["'self'"],
    'script-src': ["'self'"],
    'style-src': ["'self'", "'unsafe-inline'"],
    'img-src': ["'self'", 'data:', 'blob:'],
    'font-src': ["'self'"],
    'worker-src': ["'self'", 'blob:'],
    'connect-src': ["'self'"],
    // The pattern is handed to the browser’s own print dialogue as a PDF that the page made.
    'frame-src': ["'self'", 'blob:'],
    'object-src': ["'self'", 'blob:'],
    'upgrade-insecure-requests': null,
  },
}

/** How long a request may take to arrive, and how long an idle connection is kept, ms. */
export const PATIENCE = {
  requestTimeout: 10_000,
  connectionTimeout: 30_000,
  keepAliveTimeout: 5_000,
} as const

/** Names of this machine for itself. A page elsewhere that has its own name point here asks under that one. */
const LOOPBACK = /^(localhost|127(\.\d{1,3}){3}|\[::1\])(:\d{1,5})?$/i

const AGE = { always: 'no-cache', hashed: 'public, max-age=31536000, immutable' } as const

/** Files that are named by what they hold never change; everything else is asked for anew each time. */
const ageOf = (web: string, file: string): string => {
  const inside = relative(web, file)
  return !isAbsolute(inside) && inside.startsWith(`assets${sep}`) ? AGE.hashed : AGE.always
}

/** The server: the built interface, the demo files, whether to open with them, and the stand-ins of the bench's devices. Keeps nothing. */
export async function buildApp(
  { web, demo, examples }: AppOptions,
  patience: Partial<Record<keyof typeof PATIENCE, number>> = {},
): Promise<FastifyInstance> {
  const app = fastify({ logger: false, ...PATIENCE, ...patience })
  app.server.headersTimeout = PATIENCE.requestTimeout
  app.addHook('onRequest', async (request, reply) => {
    if (LOOPBACK.test(request.headers.host ?? '')) return
    await reply.code(421).send({
      code: 'WRONG_HOST',
      message: 'Drumlin answers only under localhost, 127.0.0.1 or [::1].',
    })
  })
  await app.register(helmet, { contentSecurityPolicy: POLICY, hsts: false })
  await app.register(compress, { threshold: 1024, encodings: ['br', 'gzip'] })
  app.get('/start.json', async (_, reply) => reply.header('cache-control', AGE.always).send({ examples }))
  await app.register(websocket, { options: { maxPayload: LARGEST_LINE } })
  await app.register(devices)
  await app.register(serveFiles, {
    root: demo,
    prefix: '/demo/',
    decorateReply: false,
    cacheControl: false,
    setHeaders: (reply) => void reply.header('cache-control', AGE.always),
  })
  await app.register(serveFiles, {
    root: web,
    prefix: '/',
    preCompressed: true,
    cacheControl: false,
    setHeaders: (reply, file) => void reply.header('cache-control', ageOf(web, file)),
  })
  app.setNotFoundHandler(async (request, reply) => {
    const asset = request.url.startsWith('/assets/')
    const wantsPage = request.method === 'GET' && (request.headers.accept ?? '').includes('text/html')
    if (wantsPage && !asset) return reply.sendFile('index.html')
    // A part of an older build: the page that asks for it is old and loads itself again (web/src/app/older.ts).
    const code = asset ? 'OLDER_BUILD' : 'NOT_FOUND'
    return reply
      .code(404)
      .header('cache-control', 'no-store')
      .send({ code, path: request.url.slice(0, 200) })
  })
  return app
}
