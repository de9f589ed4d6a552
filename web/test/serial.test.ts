import { afterEach, describe, expect, test, vi } from 'vitest'
import { type Flow, type SerialPort, pickedPort, serialLine } from '../src/devices/serial.js'

const named = (name: string): Error => Object.assign(new Error(name), { name })

/** A port as a browser's behaves: it can't be opened twice, nor shut while somebody holds a stream of it; after a fault it has another. */
class Port implements SerialPort {
  readable: ReadableStream<Uint8Array> | null = null
  writable: WritableStream<Uint8Array> | null = null
  asked: { baudRate: number; flowControl: Flow } | undefined
  readonly got: string[] = []
  /** It takes nothing: what it was sent waits. */
  busy = false
  #says: ReadableStreamDefaultController<Uint8Array> | undefined

  async open(asked: { baudRate: number; flowControl: Flow }): Promise<void> {
    if (this.readable) throw named('InvalidStateError')
    this.asked = asked
    this.#listen()
    this.#take()
  }
  async close(): Promise<void> {
    if (this.readable?.locked || this.writable?.locked) throw new TypeError('a stream of it is held')
    this.readable = this.writable = null
  }
  #listen(): void {
    this.readable = new ReadableStream({ start: (says) => void (this.#says = says) })
  }
  #take(): void {
    this.writable = new WritableStream({
      write: (bytes, { signal }) =>
        this.busy ? this.#waits(signal) : void this.got.push(new TextDecoder().decode(bytes)),
    })
  }
  /** Until what was sent is thrown away. */
  #waits(signal: AbortSignal): Promise<void> {
    return new Promise((_, reject) =>
      signal.addEventListener('abort', () => {
        this.#take()
        reject(named('AbortError'))
      }),
    )
  }
  say(...bytes: readonly number[]): void {
    this.#says?.enqueue(Uint8Array.from(bytes))
  }
  fault(name: string): void {
    const broken = this.#says
    this.#listen()
    broken?.error(named(name))
  }
  pull(): void {
    const broken = this.#says
    this.readable = this.writable = null
    broken?.error(named('NetworkError'))
  }
}

/** A line to a port with all that came over it. */
async function lineTo(port: Port, flow: Flow = 'none') {
  const told: string[] = []
  const listener = {
    hear: (text: string) => void told.push(text),
    faulty: (why: string) => void told.push(`fault: ${why}`),
    ended: (why: string) => void told.push(`ended: ${why}`),
  }
  const line = await serialLine(port, { baudRate: 9600, flow }, listener)
  return { line, told }
}
const settled = (): Promise<void> => new Promise((resolve) => setTimeout(resolve, 5))

describe('a line over a serial port', () => {
  afterEach(() => {
    vi.useRealTimers()
    vi.unstubAllGlobals()
  })

  test('text comes whole, even where a letter was cut in two', async () => {
    const port = new Port()
    const { told } = await lineTo(port, 'hardware')
    expect(port.asked).toEqual({ baudRate: 9600, flowControl: 'hardware' })
    // “µ” is two bytes.
    port.say(49, 194)
    await settled()
    port.say(181, 10)
    await settled()
    expect(told.join('')).toBe('1µ\n')
  })
  test('faults on the way are told as what they are, and it goes on after each', async () => {
    const port = new Port()
    const { told } = await lineTo(port)
    port.fault('FramingError')
    await settled()
    port.say(50)
    await settled()
    port.fault('BufferOverrunError')
    await settled()
    port.say(51)
    await settled()
    expect(told).toEqual([
      'fault: what it says can’t be made out: is its speed right?',
      '2',
      'fault: it says more at once than could be taken in; part of it is lost',
      '3',
    ])
  })
  test('let go it is free: shut, and can be opened again', async () => {
    const port = new Port()
    const first = await lineTo(port)
    await first.line.close()
    expect(port.readable).toBeNull()
    const second = await lineTo(port)
    port.say(52)
    await settled()
    expect([first.told, second.told]).toEqual([[], ['4']])
    await expect(lineTo(port)).rejects.toThrow('that port is connected already')
  })
  test('pulled out it says so once, and nothing can be sent', async () => {
    const port = new Port()
    const { line, told } = await lineTo(port)
    port.pull()
    await settled()
    expect(told).toEqual(['ended: its cable was pulled out'])
    await expect(line.say('IN;')).rejects.toThrow('its cable was pulled out')
    await line.close()
    expect(told).toHaveLength(1)
  })
  test('what is sent arrives in order; a device that takes nothing is given up, and can be sent to again', async () => {
    const port = new Port()
    const { line } = await lineTo(port, 'hardware')
    await line.say('IN;')
    await line.say('SP1;')
    expect(port.got).toEqual(['IN;', 'SP1;'])
    vi.useFakeTimers()
    port.busy = true
    const sent = expect(line.say('PD;')).rejects.toThrow(/takes nothing more\. Is it switched on/)
    await vi.advanceTimersByTimeAsync(130_000)
    await sent
    vi.useRealTimers()
    port.busy = false
    await settled()
    await line.say('PU;')
    expect(port.got).toEqual(['IN;', 'SP1;', 'PU;'])
    await line.close()
    expect(port.writable).toBeNull()
  })
  test('a port that can’t be opened, none picked, none here: each in words, or nothing', async () => {
    const port = new Port()
    port.open = () => Promise.reject(named('NetworkError'))
    await expect(lineTo(port)).rejects.toThrow('another program may hold it')
    vi.stubGlobal('navigator', { serial: { requestPort: () => Promise.reject(named('NotFoundError')) } })
    expect(await pickedPort()).toBeUndefined()
    vi.stubGlobal('navigator', { serial: { requestPort: () => Promise.reject(named('SecurityError')) } })
    await expect(pickedPort()).rejects.toThrow('SecurityError')
    vi.stubGlobal('navigator', {})
    await expect(pickedPort()).rejects.toThrow('this browser has no serial ports')
  })
})
