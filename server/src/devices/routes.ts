import type { FastifyInstance, FastifyReply } from 'fastify'
import { handSchema } from '@drumlin/core/devices'
import { camera } from './camera.js'
import { cutter } from './cutter.js'
import { printer } from './printer.js'
import type { Bench, StandIn } from './standIn.js'
import { tellers } from './teller.js'

/** A pattern of hundreds of pages is still smaller, bytes. */
const LARGEST_PDF = 40_000_000
/** Sent at once over a line, bytes. */
export const LARGEST_LINE = 4_000_000

/** Pages elsewhere may not press buttons here. */
const OWN = /^https?:\/\/(localhost|127(\.\d{1,3}){3}|\[::1\])(:\d{1,5})?$/i

const refused = (reply: FastifyReply, status: number, message: string) =>
  reply.code(status).send({ code: 'DEVICE', message })

/** The stand-ins of the bench's devices: their lines, their buttons, and what lies in their trays. */
export async function devices(app: FastifyInstance): Promise<void> {
  const watchers = new Set<(text: string) => void>()
  const changed = (): void => {
    const text = JSON.stringify(all.map((d) => d.state()))
    for (const tell of watchers) tell(text)
  }
  const [cuts, prints, shoots] = [cutter(changed), printer(changed), camera(changed)]
  const all: readonly (StandIn & { readonly bench: Bench })[] = [...tellers(changed), cuts, prints, shoots]

  app.addContentTypeParser(
    'application/pdf',
    { parseAs: 'buffer', bodyLimit: LARGEST_PDF },
    (_request, body, done) => done(null, body),
  )
  app.addHook('onRequest', async (request, reply) => {
    const { origin } = request.headers
    if (origin === undefined || OWN.test(origin)) return
    await refused(reply, 403, 'Only Drumlin itself may use its devices.')
  })

  app.get('/device/watch', { websocket: true }, (socket) => {
    const tell = (text: string): void => socket.send(text)
    watchers.add(tell)
    socket.on('close', () => watchers.delete(tell))
    tell(JSON.stringify(all.map((d) => d.state())))
  })
  app.get<{ Params: { id: string } }>('/device/:id/line', { websocket: true }, (socket, request) => {
    const device = all.find((d) => d.id === request.params.id)
    if (!device) return socket.close(4404, 'no such device')
    socket.on(
      'close',
      device.bench.listen((text) => socket.send(text)),
    )
    socket.on('message', (data: Buffer) => device.told?.(data.toString()))
  })
  app.post<{ Params: { id: string } }>('/device/:id/hand', async (request, reply) => {
    const device = all.find((d) => d.id === request.params.id)
    if (!device) return refused(reply, 404, 'There is no such device.')
    const act = handSchema.safeParse(request.body)
    if (!act.success) return refused(reply, 400, 'That is nothing a hand can do to it.')
    const why = device.hand(act.data)
    return why === undefined ? reply.send({ done: true }) : refused(reply, 422, why)
  })
  app.post('/device/printer/print', async (request, reply) => {
    if (!Buffer.isBuffer(request.body)) return refused(reply, 415, 'A printer takes a PDF.')
    const why = await prints.print(request.body)
    return why === undefined ? reply.send({ done: true }) : refused(reply, 422, why)
  })
  app.get<{ Params: { page: string } }>('/device/printer/page/:page', async (request, reply) => {
    const page = prints.page(Number(request.params.page))
    return page ? reply.send(page) : refused(reply, 404, 'There is no such page in its tray.')
  })
  app.get('/device/cutter/drawing', async (_, reply) => reply.send(cuts.drawing()))
  app.get('/device/camera/picture', async (_, reply) =>
    reply.type('image/png').header('cache-control', 'no-store').send(Buffer.from(shoots.shoot())),
  )
}
