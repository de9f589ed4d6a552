import type { DeviceOf, Hand } from '@drumlin/core/devices'
import { Bench, type StandIn } from './standIn.js'

type Unit = DeviceOf<'teller'>['unit']

/** How a unit is shown: units to the mm or gram, places after the point. */
const SHOWN: Readonly<Record<Unit, { readonly factor: number; readonly places: number }>> = {
  mm: { factor: 1, places: 2 },
  in: { factor: 1 / 25.4, places: 4 },
  g: { factor: 1, places: 1 },
  oz: { factor: 1 / 28.349523125, places: 2 },
}

/** A caliper, a gauge or a scale. */
interface Kind {
  readonly id: string
  readonly name: string
  readonly what: 'length' | 'weight'
  readonly units: readonly Unit[]
  readonly real: number
  readonly most: number
  /** What a reading may be off by, and how far it drifts at each one where it does; mm or grams. */
  readonly noise: number
  readonly drift: number
}

const KINDS: readonly Kind[] = [
  {
    id: 'caliper',
    name: 'Digital caliper',
    what: 'length',
    units: ['mm', 'in'],
    real: 85.6,
    most: 300,
    noise: 0.02,
    drift: 0.15,
  },
  {
    id: 'gauge',
    name: 'Thickness gauge',
    what: 'length',
    units: ['mm', 'in'],
    real: 2.4,
    most: 12,
    noise: 0.02,
    drift: 0.08,
  },
  {
    id: 'scale',
    name: 'Scale',
    what: 'weight',
    units: ['g', 'oz'],
    real: 214,
    most: 5000,
    noise: 0.1,
    drift: 2,
  },
]

const SWITCHES = [
  { id: 'drift', label: 'its zero drifts a little at every reading' },
  { id: 'nonsense', label: 'it talks nonsense' },
  { id: 'stops', label: 'it stops halfway through a line' },
] as const

/** A device that sends what it reads when its button is pressed, as text over its line. */
class Teller implements StandIn {
  readonly id: string
  readonly bench: Bench
  private real: number
  private unit: Unit
  private zero = 0
  private held: number | undefined
  private presses = 0

  constructor(
    private readonly kind: Kind,
    changed: () => void,
  ) {
    this.id = kind.id
    this.bench = new Bench(SWITCHES, changed)
    this.real = kind.real
    this.unit = kind.units[0]!
  }

  state = (): DeviceOf<'teller'> => ({
    sort: 'teller',
    id: this.id,
    name: this.kind.name,
    what: this.kind.what,
    real: this.real,
    most: this.kind.most,
    unit: this.unit,
    units: [...this.kind.units],
    display: `${this.held === undefined ? '' : 'H '}${this.shown(this.held ?? this.real + this.zero)}`,
    held: this.held !== undefined,
    log: this.bench.log,
    mischief: this.bench.mischief,
  })

  private shown(value: number): string {
    const { factor, places } = SHOWN[this.unit]
    return `${(value * factor).toFixed(places)} ${this.unit}`
  }

  /** A little to either side, the same for the same press. */
  private read(): number {
    this.presses += 1
    if (this.bench.is('drift')) this.zero += this.kind.drift
    const off = Math.sin(this.presses * 12.9898) * this.kind.noise
    return this.real + this.zero + off
  }

  private send(): void {
    const value = this.held ?? this.read()
    if (this.bench.is('nonsense')) return this.bench.say('E-- ?? 8#.\r\n')
    const sign = value < 0 ? '-' : '+'
    const line = `${this.held === undefined ? '' : 'H '}${sign}${this.shown(Math.abs(value)).padStart(10)}\r\n`
    this.bench.say(this.bench.is('stops') ? line.slice(0, 6) : line)
  }

  private press(button: string): string | undefined {
    if (button === 'send') this.send()
    else if (button === 'hold') {
      this.held = this.held === undefined ? this.read() : undefined
      this.bench.note('hand', this.held === undefined ? 'hold: off' : 'hold: on')
    } else if (button === 'zero') {
      this.zero = 0
      this.held = undefined
      this.bench.note('hand', 'set to zero')
    } else if (button === 'unit') {
      const { units } = this.kind
      this.unit = units[(units.indexOf(this.unit) + 1) % units.length]!
      this.bench.note('hand', `unit: ${this.unit}`)
    } else return `it has no button “${button}”`
    return undefined
  }

  hand = (act: Hand): string | undefined => {
    if (act.act === 'press') return this.press(act.button)
    if (act.act === 'mischief') return this.bench.set(act.id, act.on)
    if (act.act !== 'lay') return 'it has no such setting'
    if (!(act.value >= 0 && act.value <= this.kind.most))
      return `it takes from 0 to ${this.kind.most} ${this.kind.what === 'length' ? 'mm' : 'g'}`
    this.real = act.value
    this.bench.note('hand', `laid in: ${this.shown(act.value)}`)
    return undefined
  }
}

export const tellers = (changed: () => void): Teller[] => KINDS.map((kind) => new Teller(kind, changed))
