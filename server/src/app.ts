import { fileURLToPath } from 'node:url'
import helmet from '@fastify/helmet'
import serveFiles from '@fastify/static'
import fastify, { type FastifyInstance } from 'fastify'

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
    'upgrade-insecure-requests': null,
  },
}

/** The server: the built interface, the demo files, and whether to open with them. Keeps nothing. */
export async function buildApp({ web, demo, examples }: AppOptions): Promise<FastifyInstance> {
  const app = fastify({ logger: false })
  await app.register(helmet, { contentSecurityPolicy: POLICY, hsts: false })
  app.get('/start.json', async () => ({ examples }))
  await app.register(serveFiles, { root: demo, prefix: '/demo/', decorateReply: false })
  await app.register(serveFiles, { root: web, prefix: '/', maxAge: '1h', immutable: false })
  app.setNotFoundHandler(async (request, reply) => {
    const wantsPage = request.method === 'GET' && (request.headers.accept ?? '').includes('text/html')
    return wantsPage
      ? reply.sendFile('index.html')
      : reply.code(404).send({ code: 'NOT_FOUND', path: request.url })
  })
  return app
}
