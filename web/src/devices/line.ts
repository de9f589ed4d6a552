/** A line to a device: text goes both ways, as over a cable. */
export interface Line {
  readonly say: (text: string) => Promise<void>
  readonly close: () => Promise<void>
}
/** Who listens: to what comes, to what is wrong with it while the line goes on, and to the line’s end with why. */
export interface Listener {
  readonly hear: (text: string) => void
  readonly faulty: (why: string) => void
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
        close: async () => {
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
