import type { Device, Hand } from '@drumlin/core/devices'

/** What is kept of what a device got and said. */
const KEPT = 40

type Entry = Device['log'][number]

/** A device made of nothing but its program: what it is, what a hand does to it, and the line it speaks over. */
export interface StandIn {
  readonly id: string
  readonly state: () => Device
  /** Why it can’t be done, where it can’t. */
  readonly hand: (act: Hand) => string | undefined
  /** What came over its line. */
  readonly told?: (text: string) => void
}

/** What every stand-in has: who listens to its line, its log, its switches for mischief. */
export class Bench {
  private readonly listeners = new Set<(text: string) => void>()
  private readonly entries: Entry[] = []
  private readonly on = new Set<string>()

  constructor(
    private readonly switches: readonly { readonly id: string; readonly label: string; readonly on?: true }[],
    private readonly changed: () => void,
  ) {
    for (const s of switches) if (s.on) this.on.add(s.id)
  }

  get log(): Entry[] {
    return [...this.entries]
  }
  get mischief(): Device['mischief'] {
    return this.switches.map(({ id, label }) => ({ id, label, on: this.on.has(id) }))
  }
  is(id: string): boolean {
    return this.on.has(id)
  }
  note(by: Entry['by'], text: string): void {
    this.entries.push({ by, text: text.length > 120 ? `${text.slice(0, 120)} …` : text })
    this.entries.splice(0, this.entries.length - KEPT)
    this.changed()
  }
  /** Whoever watches is shown how it stands now. */
  show(): void {
    this.changed()
  }
  /** Says something over the line, to whoever listens. */
  say(text: string): void {
    this.note('device', text.trim())
    for (const listen of this.listeners) listen(text)
  }
  /** Somebody listens to the line; what is given back ends that. */
  listen(to: (text: string) => void): () => void {
    this.listeners.add(to)
    return () => this.listeners.delete(to)
  }
  /** A switch that is set; why not, where there is none of that name. */
  set(id: string, on: boolean): string | undefined {
    const one = this.switches.find((s) => s.id === id)
    if (!one) return `it has no switch “${id}”`
    if (on) this.on.add(id)
    else this.on.delete(id)
    this.note('hand', `${one.label}: ${on ? 'on' : 'off'}`)
    return undefined
  }
}
