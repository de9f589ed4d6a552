import type { Line, Listener } from './line.js'

/** Whether a port holds back what it is sent while the device is busy. */
export type Flow = 'hardware' | 'none'

/** As much of a browser’s serial port as is used here. Its streams are nothing while it is shut, and after it was pulled out. */
export interface SerialPort {
  readonly readable: ReadableStream<Uint8Array> | null
  readonly writable: WritableStream<Uint8Array> | null
  open(options: { baudRate: number; flowControl: Flow }): Promise<void>
  close(): Promise<void>
}
interface SerialPorts {
  requestPort(): Promise<SerialPort>
}
const portsHere = (): SerialPorts | undefined =>
  (navigator as Navigator & { readonly serial?: SerialPorts }).serial

/** Whether this browser can speak over a serial port at all. */
export const hasSerial = (): boolean => portsHere() !== undefined

const nameOf = (error: unknown): string => (error instanceof Error ? error.name : '')

/** The port that the maker picks; nothing where none was picked after all. */
export async function pickedPort(): Promise<SerialPort | undefined> {
  const ports = portsHere()
  if (!ports) throw new Error('this browser has no serial ports')
  try {
    return await ports.requestPort()
  } catch (error) {
    if (nameOf(error) === 'NotFoundError') return undefined
    throw error
  }
}

/** What is wrong with what comes, by the browser’s name for it: the line goes on after each of them. */
const FAULTS: Readonly<Record<string, string>> = {
  FramingError: 'what it says can’t be made out: is its speed right?',
  ParityError: 'what it says can’t be made out: is its speed right?',
  BreakError: 'it broke off for a moment; measure again',
  BufferOverrunError: 'it says more at once than could be taken in; part of it is lost',
}

/** Listens until the port is let go or pulled out, past faults on the way. */
async function listened(
  port: SerialPort,
  { hear, faulty }: Pick<Listener, 'hear' | 'faulty'>,
  holds: (reader: ReadableStreamDefaultReader<Uint8Array> | undefined) => void,
): Promise<void> {
  // After a fault the port has another stream; once it is pulled out it has none.
  while (port.readable) {
    const reader = port.readable.getReader()
    holds(reader)
    const decoder = new TextDecoder()
    try {
      for (;;) {
        const { value, done } = await reader.read()
        if (done) return
        hear(decoder.decode(value, { stream: true }))
      }
    } catch (error) {
      const why = FAULTS[nameOf(error)]
      if (why === undefined) return
      faulty(why)
    } finally {
      holds(undefined)
      // A port whose stream somebody holds can’t be shut, and not be opened again.
      reader.releaseLock()
    }
  }
}

/** Opens a port; what is the matter where it can’t be is said in words. */
async function opened(port: SerialPort, baudRate: number, flowControl: Flow): Promise<void> {
  try {
    await port.open({ baudRate, flowControl })
  } catch (error) {
    if (nameOf(error) === 'InvalidStateError')
      throw new Error('that port is connected already', { cause: error })
    throw new Error('the port could not be opened: another program may hold it, or it was pulled out', {
      cause: error,
    })
  }
}

/** A device that takes nothing for so long takes nothing any more, ms: longer than one stroke of a slow cutter. */
const TAKES = 120_000

/** Sends, and gives up where the device takes nothing: the rest is thrown away, so that the next can be sent. */
async function taken(writer: WritableStreamDefaultWriter<Uint8Array>, bytes: Uint8Array): Promise<void> {
  let waits: ReturnType<typeof setTimeout> | undefined
  const stuck = new Promise<never>((_, reject) => {
    waits = setTimeout(() => {
      void writer.abort().catch(() => undefined)
      reject(
        new Error(
          'it takes nothing more. Is it switched on, and has its cable the wires that say when it is busy? What it was sent before it may still do',
        ),
      )
    }, TAKES)
  })
  try {
    await Promise.race([writer.write(bytes), stuck])
  } finally {
    clearTimeout(waits)
  }
}

/** A line over a serial port; the same text as a stand-in’s. Throws where the port can’t be opened. */
export async function serialLine(
  port: SerialPort,
  { baudRate, flow }: { readonly baudRate: number; readonly flow: Flow },
  { hear, faulty, ended }: Listener,
): Promise<Line> {
  await opened(port, baudRate, flow)
  let letGo = false
  let reading: ReadableStreamDefaultReader<Uint8Array> | undefined
  const listening = listened(port, { hear, faulty }, (reader) => (reading = reader)).then(async () => {
    await port.close().catch(() => undefined)
    if (!letGo) ended('its cable was pulled out')
  })
  return {
    say: async (text) => {
      const writer = port.writable?.getWriter()
      if (!writer) throw new Error('its cable was pulled out')
      try {
        await taken(writer, new TextEncoder().encode(text))
      } finally {
        writer.releaseLock()
      }
    },
    close: async () => {
      letGo = true
      await reading?.cancel().catch(() => undefined)
      await listening
    },
  }
}
