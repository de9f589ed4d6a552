import type { CutDrawing, DeviceOf, Hand } from '@drumlin/core/devices'
import { Bench, type StandIn } from './standIn.js'

/** Steps of the machine to the mm. */
const STEPS = 40
const BED = { wide: 600, long: 900 } as const
const SHORT_BED = 300
/** The edge of its blade trails so far behind the axis, mm. */
const TRAILS = 0.25
/** It moves between lines so fast, mm a second, and cuts so fast where it isn’t told. */
const MOVES = 200
const CUTS = 60
/** The tip is followed in steps of so much, mm. */
const FINE = 0.1
/** More than a real one keeps before it cuts. */
const MOST = 4_000_000

/** Numbers of errors as plotters answer them. */
const ERROR = { unknown: 1, count: 2, range: 3, beyond: 6, full: 7, empty: 8 } as const

const SAID: Readonly<Record<number, string>> = {
  1: 'an instruction it does not know',
  2: 'the wrong number of values',
  3: 'a value out of range',
  6: 'sent beyond its bed',
  7: 'more than it can keep',
  8: 'no tool in that holder',
}

const SWITCHES = [
  { id: 'no-knife', label: 'no knife in holder 2' },
  { id: 'short', label: 'its bed is only 300 mm long' },
  { id: 'noise', label: 'every 400th character on its line is spoilt' },
] as const

interface Place {
  readonly x: number
  readonly y: number
}

/** A flat cutter with two holders, a pen in the first and a trailing knife in the second; told in HPGL. */
class Cutter implements StandIn {
  readonly id = 'cutter'
  readonly bench: Bench
  private drawn: CutDrawing = []
  private complaints: string[] = []
  private seconds = 0
  private rest = ''
  private heardOf = 0
  private error = 0
  private at: Place = { x: 0, y: 0 }
  private tip: Place = { x: 0, y: 0 }
  private down = false
  private relative = false
  private holder = 0
  private speed = CUTS
  private force = 0
  /** Which way its knife points, radians: it stays so while it is lifted. */
  private heading = 0

  constructor(changed: () => void) {
    this.bench = new Bench(SWITCHES, changed)
  }

  private get long(): number {
    return this.bench.is('short') ? SHORT_BED : BED.long
  }
  private tool(holder: number): 'pen' | 'knife' | 'nothing' {
    if (holder === 1) return 'pen'
    return holder === 2 && !this.bench.is('no-knife') ? 'knife' : 'nothing'
  }

  state = (): DeviceOf<'cutter'> => ({
    sort: 'cutter',
    id: this.id,
    name: 'Cutter',
    bed: { wide: BED.wide, long: this.long },
    holders: [this.tool(1), this.tool(2)],
    lines: this.drawn.length,
    seconds: Math.round(this.seconds),
    complaints: [...this.complaints],
    log: this.bench.log,
    mischief: this.bench.mischief,
  })

  drawing = (): CutDrawing => this.drawn

  hand = (act: Hand): string | undefined => {
    if (act.act === 'mischief') return this.bench.set(act.id, act.on)
    if (act.act !== 'press' || act.button !== 'clear') return 'it has only a button that clears its bed'
    this.clear()
    this.bench.note('hand', 'bed cleared')
    return undefined
  }

  private clear(): void {
    this.drawn = []
    this.complaints = []
    this.seconds = 0
    this.error = 0
    this.rest = ''
  }

  told = (text: string): void => {
    const heard = this.bench.is('noise') ? this.spoilt(text) : text
    this.heardOf += text.length
    this.rest += heard
    if (this.rest.length > MOST) {
      this.rest = ''
      this.complain(ERROR.full, '')
    }
    const parts = this.rest.split(';')
    this.rest = parts.pop() ?? ''
    this.bench.note('told', `${text.length} characters`)
    for (const part of parts) this.obey(part.trim())
    this.bench.show()
  }

  private spoilt(text: string): string {
    return [...text].map((c, i) => ((this.heardOf + i) % 400 === 399 ? '#' : c)).join('')
  }

  private complain(code: number, what: string): void {
    // The first is what it answers with; all are kept.
    if (this.error === 0) this.error = code
    if (this.complaints.length < 50)
      this.complaints.push(`${code}: ${SAID[code]}${what ? `, “${what}”` : ''}`)
  }

  /** One instruction: two letters and its values. */
  private obey(instruction: string): void {
    if (instruction === '') return
    const [, name = '', written = ''] = /^([A-Z]{2})(.*)$/s.exec(instruction) ?? []
    if (name === 'CO') return
    if (name === 'OE') return this.answer()
    const act = this.acts[name]
    if (!act) return this.complain(ERROR.unknown, instruction.slice(0, 20))
    const values = written.trim() === '' ? [] : written.split(/[\s,]+/).map(Number)
    if (values.some((v) => !Number.isFinite(v))) return this.complain(ERROR.range, instruction.slice(0, 20))
    act(values)
  }

  private answer(): void {
    this.bench.say(`${this.error}\r\n`)
    this.error = 0
  }

  private readonly acts: Readonly<Record<string, (values: readonly number[]) => void>> = {
    IN: () => {
      this.clear()
      this.down = this.relative = false
      this.holder = this.force = 0
      this.speed = CUTS
    },
    PA: (v) => this.go(v, false),
    PR: (v) => this.go(v, true),
    PU: (v) => this.pen(v, false),
    PD: (v) => this.pen(v, true),
    SP: (v) => this.take(v[0] ?? 0),
    VS: (v) => this.one(v, 1, 100, (cm) => (this.speed = cm * 10)),
    FS: (v) => this.one(v, 0, 1000, (grams) => (this.force = grams)),
  }

  private one(values: readonly number[], min: number, max: number, set: (value: number) => void): void {
    if (values.length !== 1) return this.complain(ERROR.count, values.join(','))
    if (values[0]! < min || values[0]! > max) return this.complain(ERROR.range, String(values[0]))
    set(values[0]!)
  }

  private take(holder: number): void {
    this.holder = holder
    this.down = false
    if (holder > 0 && this.tool(holder) === 'nothing') this.complain(ERROR.empty, `SP${holder}`)
  }

  private pen(values: readonly number[], down: boolean): void {
    this.down = down
    this.go(values, this.relative)
  }

  private go(values: readonly number[], relative: boolean): void {
    this.relative = relative
    if (values.length % 2 !== 0) return this.complain(ERROR.count, values.slice(0, 6).join(','))
    const line = this.down && values.length > 0 ? this.begun() : undefined
    for (let i = 0; i < values.length; i += 2) {
      const [dx, dy] = [values[i]! / STEPS, values[i + 1]! / STEPS]
      this.move(relative ? { x: this.at.x + dx, y: this.at.y + dy } : { x: dx, y: dy }, line)
    }
  }

  /** A new line under the tool, or on with the one before where it was not lifted. */
  private begun(): CutDrawing[number]['points'] | undefined {
    const tool = this.tool(this.holder)
    if (this.holder === 0 || tool === 'nothing') return undefined
    const by = tool === 'knife' ? TRAILS : 0
    this.tip = {
      x: this.at.x - by * Math.cos(this.heading),
      y: this.at.y - by * Math.sin(this.heading),
    }
    const points = [this.tip]
    this.drawn.push({ holder: this.holder, tool, force: this.force, points })
    return points
  }

  private move(to: Place, line: CutDrawing[number]['points'] | undefined): void {
    const kept = { x: Math.min(BED.wide, Math.max(0, to.x)), y: Math.min(this.long, Math.max(0, to.y)) }
    if (Math.hypot(kept.x - to.x, kept.y - to.y) > 1 / STEPS) this.complain(ERROR.beyond, '')
    const length = Math.hypot(kept.x - this.at.x, kept.y - this.at.y)
    this.seconds += length / (this.down ? this.speed : MOVES)
    if (line) this.follow(kept, length, line)
    this.at = kept
  }

  /** A pen draws where it is; the edge of a knife is dragged behind its axis and turns with the way it goes. */
  private follow(to: Place, length: number, line: CutDrawing[number]['points']): void {
    if (this.tool(this.holder) === 'pen') return void line.push(to)
    const steps = Math.max(1, Math.ceil(length / FINE))
    for (let i = 1; i <= steps; i += 1) {
      const axis = {
        x: this.at.x + ((to.x - this.at.x) * i) / steps,
        y: this.at.y + ((to.y - this.at.y) * i) / steps,
      }
      const [dx, dy] = [axis.x - this.tip.x, axis.y - this.tip.y]
      const apart = Math.hypot(dx, dy)
      if (apart > TRAILS) {
        const share = (apart - TRAILS) / apart
        this.tip = { x: this.tip.x + dx * share, y: this.tip.y + dy * share }
      }
      this.heading = Math.atan2(axis.y - this.tip.y, axis.x - this.tip.x)
      // Where it has turned it draws a bend, then straight on.
      if (i * FINE < 4 * TRAILS) line.push(this.tip)
    }
    line.push(this.tip)
  }
}

export const cutter = (changed: () => void): Cutter => new Cutter(changed)
