/** A line to a device: text goes both ways, as over a cable. */
export interface Line {
  readonly say: (text: string) => Promise<void>
  readonly close: () => void
}
/** Who listens: to what comes, and to the line’s end with why. */
export interface Listener {
  readonly hear: (text: string) => void
  readonly ended: (why: string) => void
}

/** Where a stand-in’s address lies behind the server that served this page. */
const address = (path: string): string => {
  const url = new URL(path, location.href)
  url.protocol = url.protocol === 'https:' ? 'wss:' : 'ws:'
  return url.href
}

/** The state of every stand-in, whenever one changes; what is given back ends that. */
export function watchStandIns(tell: (text: string) => void, ended: () => void): () => void {
  const socket = new WebSocket(address('/device/watch'))
  socket.onmessage = (event) => tell(String(event.data))
  socket.onclose = ended
  return () => {
    socket.onclose = null
    socket.close()
  }
}

/** A line to one of the stand-ins behind the server. */
export function standInLine(id: string, { hear, ended }: Listener): Promise<Line> {
  return new Promise((resolve, reject) => {
    const socket = new WebSocket(address(`/device/${id}/line`))
    let open = false
    socket.onmessage = (event) => hear(String(event.data))
    socket.onopen = () => {
      open = true
      resolve({
        say: async (text) => socket.send(text),
        close: () => {
          socket.onclose = null
          socket.close()
        },
      })
    }
    socket.onclose = () => {
      if (open) ended('its line was cut')
      else reject(new Error('the server that it stands behind does not answer'))
    }
  })
}

/** As much of a browser’s serial port as is used here. */
interface SerialPort {
  readonly readable: ReadableStream<Uint8Array>
  readonly writable: WritableStream<Uint8Array>
  open(options: { baudRate: number }): Promise<void>
  close(): Promise<void>
}
interface SerialPorts {
  requestPort(): Promise<SerialPort>
}
const ports = (navigator as Navigator & { readonly serial?: SerialPorts }).serial

/** Whether this browser can speak over a serial port at all. */
export const hasSerial = ports !== undefined

/** A line over a serial port that the maker picks; the same text as a stand-in’s. */
export async function serialLine(baudRate: number, { hear, ended }: Listener): Promise<Line> {
  if (!ports) throw new Error('this browser has no serial ports')
  const port = await ports.requestPort()
  await port.open({ baudRate })
  const reader = port.readable.getReader()
  const decoder = new TextDecoder()
  void (async () => {
    try {
      for (;;) {
        const { value, done } = await reader.read()
        if (done) break
        hear(decoder.decode(value, { stream: true }))
      }
    } catch {
      ended('its cable was pulled out')
    }
  })()
  return {
    say: async (text) => {
      const writer = port.writable.getWriter()
      try {
        await writer.write(new TextEncoder().encode(text))
      } finally {
        writer.releaseLock()
      }
    },
    close: () => void reader.cancel().then(() => port.close()),
  }
}
