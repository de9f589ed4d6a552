import { type Units, printLength } from '../../measure/index.js'
/** What cuts, and how. Lengths mm, speeds mm a second. */
export interface CutterWish {
  /** The bed: its width across, and how long it is. */
  readonly wide: number
  readonly long: number
  /** What is cut with: a blade that trails behind its axis, a beam that burns a slit, or a pen only. */
  readonly tool: 'blade' | 'beam' | 'pen'
  /** How far the blade's edge trails behind its axis. */
  readonly trails: number
  /** Cut on past the start of an outline. */
  readonly past: number
  /** Width of the slit a beam burns. */
  readonly slit: number
  /** Turned over, for cutting from the flesh side. */
  readonly mirrored: boolean
  /** How fast it cuts, and moves between cuts. */
  readonly cuts: number
  readonly moves: number
  /** How hard the blade is pressed, grams; 0 leaves it as it is set on the machine. */
  readonly force: number
  /** Bridges left in each outline, so that nothing comes loose, and how wide they are. */
  readonly tabs: number
  readonly tabWide: number
  /** The hide whose layout is cut, by id; rows on the bed where left out. */
  readonly hide?: string
  /** Pieces to cut, by id; all of them where left out. */
  readonly pieces?: readonly string[]
}

/** A small knife plotter as they usually are (J). */
export const USUAL_CUTTER: CutterWish = {
  wide: 600,
  long: 900,
  tool: 'blade',
  trails: 0.25,
  past: 1,
  slit: 0.2,
  mirrored: false,
  cuts: 60,
  moves: 200,
  force: 0,
  tabs: 0,
  tabWide: 0.8,
}

/** Between these each number of a cutter may be. */
export const CUTTER_LIMITS = {
  wide: [100, 3000],
  long: [100, 5000],
  trails: [0, 2],
  past: [0, 10],
  slit: [0, 1],
  cuts: [1, 1000],
  moves: [1, 2000],
  force: [0, 1000],
  tabs: [0, 12],
  tabWide: [0.2, 5],
} as const satisfies Partial<Record<keyof CutterWish, readonly [number, number]>>

/** What is wrong with a wish, in words; nothing where it can be cut so. */
export function cutterProblem(wish: CutterWish, unit: Units = 'mm'): string | undefined {
  for (const [key, [min, max]] of Object.entries(CUTTER_LIMITS)) {
    const [value, of] = [wish[key as keyof typeof CUTTER_LIMITS], key as keyof typeof CUTTER_LIMITS]
    const said = (n: number): string => (UNITS[of] ? `${n}${UNITS[of]}` : printLength(n, unit, 2))
    if (!(value >= min && value <= max))
      return `${WORDS[of]} is between ${said(min)} and ${said(max)}; ${said(value)} is not.`
  }
  return wish.pieces?.length === 0 ? 'No piece is chosen: tick those you want to cut.' : undefined
}

/** What isn’t a length is told in. */
const UNITS: Partial<Record<keyof typeof CUTTER_LIMITS, string>> = {
  cuts: ' mm a second',
  moves: ' mm a second',
  force: ' g',
  tabs: ' bridges',
}

const WORDS: Readonly<Record<keyof typeof CUTTER_LIMITS, string>> = {
  wide: 'The width of the bed',
  long: 'The length of the bed',
  trails: 'How far the blade trails',
  past: 'The cut past the start',
  slit: 'The width of the slit',
  cuts: 'The speed of cutting',
  moves: 'The speed of moving',
  force: 'The force on the blade',
  tabs: 'The number of bridges',
  tabWide: 'The width of a bridge',
}
