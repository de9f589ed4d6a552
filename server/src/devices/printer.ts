import type { DeviceOf, Hand, PrintedPage } from '@drumlin/core/devices'
import { pagesOf } from './page.js'
import { Bench, type StandIn } from './standIn.js'

const SWITCHES = [
  { id: 'small', label: 'it prints 1.5 % small and leans a little', on: true },
  { id: 'fit', label: 'it was left on “fit to page”' },
  { id: 'jam', label: 'it jams after the first page' },
] as const

/** How large it prints where it errs: across, along, and how far a page leans; shares. */
const SMALL = { across: 0.985, along: 0.986, skew: 0.004 } as const
const FIT = 0.96
/** It keeps what lies in its tray. */
const MOST_PAGES = 120

interface Place {
  readonly x: number
  readonly y: number
}

/** A printer that takes PDF and lays pages in its tray as they really come out. */
class Printer implements StandIn {
  readonly id = 'printer'
  readonly bench: Bench
  private tray: PrintedPage[] = []

  constructor(changed: () => void) {
    this.bench = new Bench(SWITCHES, changed)
  }

  private get error(): { readonly across: number; readonly along: number; readonly skew: number } {
    const fit = this.bench.is('fit') ? FIT : 1
    const { across, along, skew } = this.bench.is('small') ? SMALL : { across: 1, along: 1, skew: 0 }
    return { across: across * fit, along: along * fit, skew }
  }

  state = (): DeviceOf<'printer'> => ({
    sort: 'printer',
    id: this.id,
    name: 'Printer',
    ...this.error,
    pages: this.tray.length,
    log: this.bench.log,
    mischief: this.bench.mischief,
  })

  hand = (act: Hand): string | undefined => {
    if (act.act === 'mischief') return this.bench.set(act.id, act.on)
    if (act.act !== 'press' || act.button !== 'empty') return 'it has only a button that empties its tray'
    this.tray = []
    this.bench.note('hand', 'tray emptied')
    return undefined
  }

  page = (i: number): PrintedPage | undefined => this.tray[i]

  /** Prints; why not, where what it got is no PDF or it jammed. */
  async print(pdf: Uint8Array): Promise<string | undefined> {
    let pages: PrintedPage[]
    try {
      pages = await pagesOf(pdf)
    } catch {
      this.bench.note('device', 'what it got is no PDF')
      return 'what it got is no PDF that it can read'
    }
    const out = this.bench.is('jam') ? pages.slice(0, 1) : pages
    // Whoever watches is told with the note: what is noted has to be so by then.
    this.tray = [...this.tray, ...out.map((p) => this.printed(p))].slice(-MOST_PAGES)
    this.bench.note('told', `a PDF of ${pages.length} ${pages.length === 1 ? 'page' : 'pages'}`)
    if (out.length === pages.length) return undefined
    this.bench.note('device', 'paper jam')
    return `it jammed: ${out.length} of ${pages.length} pages came out`
  }

  /** A page as it comes out: everything on it as large as this printer makes it, about the middle of the paper. */
  private printed({ width, height, lines, words }: PrintedPage): PrintedPage {
    const { across, along, skew } = this.error
    const placed = ({ x, y }: Place): Place => {
      const [dx, dy] = [(x - width / 2) * across, (y - height / 2) * along]
      return { x: width / 2 + dx + skew * dy, y: height / 2 + dy }
    }
    return {
      width,
      height,
      lines: lines.map((l) => ({ weight: l.weight, points: l.points.map(placed) })),
      words: words.map((w) => ({ ...w, at: placed(w.at), size: w.size * along })),
    }
  }
}

export const printer = (changed: () => void): Printer => new Printer(changed)
