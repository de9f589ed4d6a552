import { regionArea } from '../geometry/index.js'
import { type GroundPart, type Hide, typicalGround } from '../stores/index.js'
import type { LayAsked } from './bench.js'
import { wantedOf } from './demand.js'
import { layOut } from './layOut.js'
import { hideArea } from './stands.js'
import type { Demand } from '../design/index.js'
import { required } from '../lists/index.js'

/** Told how far an answer is on its way, 0 to 1; may throw to end it. */
export type Tell = (spent: number) => void

/** Rounds of work for one try of a question. */
const TRY = 120
const DM2 = 10_000
/** No more copies than this are asked about. */
const MOST = 60

type Ground = Pick<LayAsked, 'gap' | 'anyAngle' | 'seed'>

const fits = (hides: readonly Hide[], demands: readonly Demand[], copies: number, ground: Ground): boolean =>
  layOut(
    { ...ground, hides, wanted: wantedOf('one', demands, copies), lying: [], locked: [], aside: [] },
    TRY,
  ).left.length === 0

const areaOf = (demands: readonly Demand[]): number =>
  demands.reduce((sum, d) => sum + d.count * regionArea([d.outline]), 0)

/** How many copies of a design come out of hides; 0 where not one does. */
export function howMany(
  hides: readonly Hide[],
  demands: readonly Demand[],
  ground: Ground,
  tell: Tell = () => undefined,
): number {
  if (demands.length === 0) return MOST
  const most = Math.min(MOST, Math.floor(hides.reduce((sum, h) => sum + hideArea(h), 0) / areaOf(demands)))
  let [yes, no] = [0, most + 1]
  for (let step = 1; no - yes > 1;) {
    // Doubled until it does not come out, then halved.
    const copies = no > most && yes + step < no ? yes + step : Math.floor((yes + no) / 2)
    if (fits(hides, demands, copies, ground)) {
      yes = copies
      step *= 2
    } else no = copies
    tell(yes / Math.max(1, no))
  }
  return yes
}

/** The least area of a part of a hide that everything comes out of, dm², and the straight run it has to give, mm. */
export interface ToBuyHide {
  readonly part: GroundPart
  /** Undefined where not even the largest such part is enough. */
  readonly area: number | undefined
  readonly run: number
}

/** Parts of hides come as large as this, dm² (J): who buys asks for one that is no larger. */
const LARGEST: Readonly<Record<string, number>> = {
  side: 300,
  back: 200,
  butt: 160,
  bend: 130,
  shoulder: 90,
  'double shoulder': 180,
  belly: 90,
  skin: 180,
}
const FINE = 1

/** Which area of a part to buy at least. */
export function leastHide(
  part: GroundPart,
  demands: readonly Demand[],
  copies: number,
  ground: Ground,
  tell: Tell = () => undefined,
): ToBuyHide {
  const hideOf = (area: number): Hide => ({
    id: 'asked',
    name: 'asked',
    of: 'asked',
    part,
    batch: '',
    price: 0,
    currency: 'EUR',
    ...typicalGround(part, area),
    flaws: [],
    spots: [],
  })
  const run = Math.max(0, ...demands.map((d) => d.strap?.long ?? 0))
  const most = LARGEST[part] ?? 400
  const least = Math.max(1, Math.floor((areaOf(demands) * copies) / DM2))
  if (least > most || !fits([hideOf(most)], demands, copies, ground)) return { part, area: undefined, run }
  let [no, yes] = [least - 1, most]
  while (yes - no > Math.max(FINE, yes * 0.02)) {
    const middle = (yes + no) / 2
    if (fits([hideOf(middle)], demands, copies, ground)) yes = middle
    else no = middle
    tell(1 - (yes - no) / most)
  }
  return { part, area: Math.ceil(yes), run }
}

/** How far two strips of a joined strap lie over each other, mm (J). */
const LAP = 50

/** The demands with the longest strap cut in two; undefined where there is none. */
export function withStrapJoined(demands: readonly Demand[]): readonly Demand[] | undefined {
  const straps = demands.filter((d) => d.strap)
  if (straps.length === 0) return undefined
  const longest = straps.reduce((a, b) => ((b.strap?.long ?? 0) > (a.strap?.long ?? 0) ? b : a))
  const { long, wide } = required(longest.strap, 'strap')
  const half = (long + LAP) / 2
  const [x, y] = Math.abs(Math.cos(longest.grain)) > 0.7 ? [half, wide] : [wide, half]
  const outline = [
    { x: 0, y: 0 },
    { x, y: 0 },
    { x, y },
    { x: 0, y },
  ]
  return demands.map((d) =>
    d === longest ? { ...d, outline, seen: [outline], count: 2 * d.count, strap: { long: half, wide } } : d,
  )
}
