import { defineStore } from 'pinia'
import { computed, shallowRef } from 'vue'
import { z } from 'zod'
import { ASK_ERROR, NOTHING_HEARD, cutterAnswer, heard, readLine } from '@drumlin/core/devices'
import { reasonOf } from '../app/reason.js'
import { useSettings } from '../app/settings.js'
import { useTrouble } from '../app/trouble.js'
import { readSetting, writeSetting } from '../storage/settings.js'
import { ownPhotograph } from './ownCamera.js'
import { type Line, type Listener, standInLine } from './line.js'
import { useReadings } from './readings.js'
import { type Flow, pickedPort, serialLine } from './serial.js'
import { printOnStandIn, standInPhotograph } from './standIns.js'

/** A device that Drumlin listens to or speaks with. */
export interface Connection {
  readonly id: string
  readonly name: string
  /** What a number without a unit is taken as, of one that measures. */
  readonly bare: 'mm' | 'in' | 'g'
  readonly does: 'measures' | 'cuts' | 'prints' | 'photographs'
}

/** How a device of one’s own speaks over a serial port. */
export interface SerialAsked extends Pick<Connection, 'bare'> {
  readonly does: 'measures' | 'cuts'
  readonly baud: number
  readonly flow: Flow
}

/** A line that has begun and does not end for so long was broken off, ms. */
const PATIENCE = 2000
/** A cutter is given so long to answer what went wrong, ms. */
const ANSWERS = 20_000
/** Sent to a cutter at once, characters: some seconds at the speeds they have. */
const AT_ONCE = 4000

/** The stand-ins that can be connected, by what they do. */
const STAND_INS: readonly Connection[] = [
  { id: 'caliper', name: 'Digital caliper', bare: 'mm', does: 'measures' },
  { id: 'gauge', name: 'Thickness gauge', bare: 'mm', does: 'measures' },
  { id: 'scale', name: 'Scale', bare: 'g', does: 'measures' },
  { id: 'cutter', name: 'Cutter', bare: 'mm', does: 'cuts' },
  { id: 'printer', name: 'Printer', bare: 'mm', does: 'prints' },
  { id: 'camera', name: 'Camera', bare: 'mm', does: 'photographs' },
]
/** The camera of this machine, as the browser gives it. */
export const OWN_CAMERA = 'own-camera'
const KEPT: readonly Connection[] = [
  ...STAND_INS,
  { id: OWN_CAMERA, name: 'Camera of this machine', bare: 'mm', does: 'photographs' },
]

/** The devices at the bench: which are connected, what they said, and where it went. */
export const useDevices = defineStore('devices', () => {
  const settings = useSettings()
  const connected = shallowRef<readonly Connection[]>([])
  const { said, tell, take } = useReadings()
  const lines = new Map<string, Line>()
  const answers = new Map<string, (line: string) => void>()

  function listener({ id, name, bare, does }: Connection): Listener {
    let rest = NOTHING_HEARD
    let waits: ReturnType<typeof setTimeout> | undefined
    const stopped = (): void => {
      tell(`The ${name.toLowerCase()} stopped halfway through a line, “${rest.trim()}”. Measure again.`, true)
      rest = NOTHING_HEARD
    }
    return {
      hear: (text) => {
        clearTimeout(waits)
        const now = heard(rest, text)
        rest = now.rest
        if (now.lost > 0) tell(`The ${name.toLowerCase()} talks without an end: is its speed right?`, true)
        if (rest !== '') waits = setTimeout(stopped, PATIENCE)
        for (const line of now.lines) {
          const answer = answers.get(id)
          if (answer) {
            answers.delete(id)
            answer(line)
            continue
          }
          // What a cutter answers is for the tab that asked it.
          if (does !== 'measures') continue
          const read = readLine(line, bare)
          if (read.ok) take(name, read.reading, settings.unit)
          else tell(`${name}: ${read.why}`, true)
        }
      },
      faulty: (why) => {
        // What came before and after does not belong together.
        clearTimeout(waits)
        rest = NOTHING_HEARD
        tell(`${name}: ${why}`, true)
      },
      ended: (why) => {
        clearTimeout(waits)
        lines.delete(id)
        connected.value = connected.value.filter((c) => c.id !== id)
        tell(`The ${name.toLowerCase()} is no longer connected: ${why}.`, true)
      },
    }
  }

  /** What is connected in one tab is so in all: they hear of it once it is kept. */
  const tabs = new BroadcastChannel('drumlin-devices')
  tabs.onmessage = () => void load()
  const kept = (): string[] => connected.value.map((c) => c.id).filter((id) => KEPT.some((s) => s.id === id))
  async function keep(): Promise<void> {
    const done = await useTrouble().attempt(
      'Your devices stay connected only until this page is closed',
      () => writeSetting('devices', kept()),
    )
    if (done) tabs.postMessage(undefined)
  }
  const isConnected = (id: string): boolean => connected.value.some((c) => c.id === id)
  function join(one: Connection, line?: Line): void {
    if (line) lines.set(one.id, line)
    connected.value = [...connected.value.filter((c) => c.id !== one.id), one]
  }

  /** Connects one of the stand-ins, or the machine’s camera. Throws where it can’t be reached. */
  async function connect(id: string): Promise<void> {
    const one = KEPT.find((s) => s.id === id)
    if (!one || isConnected(id)) return
    const speaks = one.does === 'measures' || one.does === 'cuts'
    join(one, speaks ? await standInLine(id, listener(one)) : undefined)
  }
  /** The same, and for the next time. */
  async function connectAndKeep(id: string): Promise<void> {
    await connect(id)
    await keep()
  }
  /** Connects a real device over a serial port that the maker picks; nothing happens where none is picked. */
  async function connectSerial({ does, bare, baud, flow }: SerialAsked): Promise<void> {
    const port = await pickedPort()
    if (!port) return
    const id = `serial-${connected.value.length + 1}-${Date.now()}`
    const one: Connection = {
      id,
      name: does === 'cuts' ? 'Cutter on a serial port' : 'Device on a serial port',
      bare,
      does,
    }
    join(one, await serialLine(port, { baudRate: baud, flow }, listener(one)))
  }
  function drop(id: string): void {
    void lines.get(id)?.close()
    lines.delete(id)
    connected.value = connected.value.filter((c) => c.id !== id)
  }
  async function disconnect(id: string): Promise<void> {
    drop(id)
    await keep()
  }
  /** Takes up what is kept as connected and lets go of what is not; a server that is not there is no trouble. */
  async function load(): Promise<void> {
    const read = z.array(z.string()).safeParse(await readSetting('devices').catch(() => undefined))
    if (!read.success) return
    for (const id of kept()) if (!read.data.includes(id)) drop(id)
    await Promise.allSettled(read.data.map(connect))
  }

  const doing = (does: Connection['does']) => computed(() => connected.value.findLast((c) => c.does === does))
  const [cutter, printer, camera] = [doing('cuts'), doing('prints'), doing('photographs')]

  /** Sends a job to the cutter and asks what became of it. Throws where it can’t be sent or the cutter complains. */
  async function cut(hpgl: string): Promise<void> {
    const own = cutter.value
    const line = own && lines.get(own.id)
    if (!own || !line) throw new Error('no cutter is connected')
    for (let i = 0; i < hpgl.length; i += AT_ONCE) await line.say(hpgl.slice(i, i + AT_ONCE))
    const answer = new Promise<string>((resolve, reject) => {
      answers.set(own.id, resolve)
      setTimeout(() => {
        answers.delete(own.id)
        reject(new Error('it does not answer; whether all of it was cut is seen at the machine'))
      }, ANSWERS)
    })
    await line.say(ASK_ERROR)
    const read = cutterAnswer(await answer)
    if (!read.fine) throw new Error(read.why)
  }
  const print = (pdf: Blob): Promise<void> => printOnStandIn(pdf)
  /** A photograph, or why there is none. */
  async function photograph(): Promise<File | string> {
    try {
      // The one that was connected last.
      return camera.value?.id === OWN_CAMERA ? await ownPhotograph() : await standInPhotograph()
    } catch (error) {
      return reasonOf(error)
    }
  }
  return {
    connected,
    said,
    cutter,
    printer,
    camera,
    isConnected,
    connect: connectAndKeep,
    connectSerial,
    disconnect,
    load,
    cut,
    print,
    photograph,
  }
})
