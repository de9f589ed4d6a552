import { PNG } from 'pngjs'
import type { DeviceOf, Hand } from '@drumlin/core/devices'
import { Bench, type StandIn } from './standIn.js'
import { type Scene, SCENES } from './scenes.js'

const SWITCHES = [
  { id: 'cut', label: 'its picture is cut short' },
  { id: 'dark', label: 'it is much too dark' },
] as const

const SIZE = { wide: 1200, high: 900 } as const

/** A camera before which something lies; its pictures are made up. */
class Camera implements StandIn {
  readonly id = 'camera'
  readonly bench: Bench
  private scene: Scene = SCENES[0]!

  constructor(changed: () => void) {
    this.bench = new Bench(SWITCHES, changed)
  }

  state = (): DeviceOf<'camera'> => ({
    sort: 'camera',
    id: this.id,
    name: 'Camera',
    scene: this.scene.id,
    scenes: SCENES.map(({ id, label }) => ({ id, label })),
    log: this.bench.log,
    mischief: this.bench.mischief,
  })

  hand = (act: Hand): string | undefined => {
    if (act.act === 'mischief') return this.bench.set(act.id, act.on)
    const scene = act.act === 'set' && act.setting === 'scene' && SCENES.find((s) => s.id === act.value)
    if (!scene) return 'nothing of that name lies before it'
    this.scene = scene
    this.bench.note('hand', `before it: ${scene.label}`)
    return undefined
  }

  /** A photograph of what lies before it, as PNG. */
  shoot(): Uint8Array {
    const picture = new PNG({ width: SIZE.wide, height: SIZE.high })
    const light = this.bench.is('dark') ? 0.12 : 1
    for (let y = 0; y < SIZE.high; y += 1)
      for (let x = 0; x < SIZE.wide; x += 1) {
        const at = (y * SIZE.wide + x) * 4
        const [r, g, b] = this.scene.colour(x, y)
        picture.data.set([r * light, g * light, b * light, 255], at)
      }
    const bytes = PNG.sync.write(picture, { deflateLevel: 6 })
    this.bench.note('device', `a photograph, ${Math.round(bytes.length / 1000)} kB`)
    return this.bench.is('cut') ? bytes.subarray(0, Math.floor(bytes.length / 3)) : bytes
  }
}

export const camera = (changed: () => void): Camera => new Camera(changed)
