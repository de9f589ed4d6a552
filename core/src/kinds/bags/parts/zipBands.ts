import { courseOf, point, polyline } from '../../../geometry/index.js'
import { ZIP_TAPE } from '../../../stores/index.js'
import type { Fitting, Join, Stood } from '../../../master/index.js'
import { type Reckoned, given } from '../../../working/index.js'
import { minus } from '../axes.js'
import { type Bag } from '../bag.js'
import { onPanel, rectanglePanel, row } from './onFace.js'
import { alone, part, together, type Body, type Face, type Part } from '../assembly.js'
import { ZIP_ENDS } from '../mouth.js'

/** Judgement values of the bench, mm. */
const BENCH = {
  /** The top edges stand so far over the bands’ seams. */
  below: 6,
  /** A band is so much shorter than the mouth; its rows end so far short of it, its tape is sewn so far in. */
  shorter: 4,
  ends: 4,
  tape: 4,
  /** Between both bands the teeth lie free; so much of a band is sewn under the top edge, and it is no narrower than this. */
  teeth: 6,
  under: 12,
  least: 14,
} as const

type Side = 'front' | 'back'

/** What both bands are made by: the zip’s length, how far they reach, and how wide the mouth is, mm. */
interface Bands {
  readonly bag: Bag
  readonly length: Reckoned
  readonly band: Reckoned
  readonly wide: number
}

function bandsOf(bag: Bag, body: Body): Bands {
  const { s, size } = bag
  const length = size('zip.length', 'zip from stop to stop', '{wide} width − 2 × {ends} at the ends', '§20', {
    wide: s.wide,
    ends: given('ends', ZIP_ENDS),
  })
  const band = size(
    'zip.band',
    'a band beside the zip',
    '({deep} depth − {gap} for the teeth) / 2 + {under} sewn under the top edge, at least {min}',
    '§20',
    {
      deep: s.deep,
      gap: given('teeth', BENCH.teeth),
      under: given('under', BENCH.under),
      min: given('least', BENCH.least),
    },
  )
  return { bag, length, band, wide: Math.min(body.front.wide, body.back.wide) - BENCH.shorter }
}

/** The seam under the top edge, and the one that holds the tape. */
function seamsOf({ bag, band, wide }: Bands, id: Side, face: Face, panel: string): Join[] {
  const m = bag.p.margin
  const [from, to] = [BENCH.ends, wide - BENCH.ends]
  const end = wide / 2 - BENCH.ends
  return [
    {
      ...row(
        `zip-${id}-seam`,
        `zip band to the ${id}`,
        panel,
        [point(from, m), point(to, m)],
        [panel, face.sheet],
      ),
      mate: {
        type: 'line',
        sheet: face.sheet,
        line: polyline([onPanel(face, end, BENCH.below + m), onPanel(face, -end, BENCH.below + m)]),
      },
    },
    {
      ...row(
        `zip-${id}-tape`,
        `zip to its band, ${id}`,
        panel,
        [point(from, band.value - BENCH.tape), point(to, band.value - BENCH.tape)],
        [panel],
      ),
      tapes: [{ name: 'tape of the zip', thickness: ZIP_TAPE }],
    },
  ]
}

/** The zip, set between both bands and told of the first. */
const zipOn = ({ band, wide, length }: Bands, sheet: string): Fitting => ({
  id: 'zip',
  name: 'zip',
  role: 'zip',
  sheet,
  at: point(wide / 2, band.value + 2),
  up: 0,
  through: [],
  held: true,
  count: 1,
  length,
  before: `${sheet}-seam`,
})

/** Pushed up and open while the bag is open, level when it is shut. */
function standing({ bag, band, wide }: Bands, face: Face, sheet: string, opened: number): Stood {
  const { origin, right, grain, down } = face.frame(opened)
  const level = BENCH.below + bag.p.margin
  const at = (v: 'x' | 'y' | 'z'): number =>
    origin[v] + (right[v] * wide) / 2 + down[v] * level - grain[v] * bag.body.thickness
  return {
    sheet,
    seamOffset: face.seamOffset,
    parts: [
      {
        clips: [],
        from: point(0, bag.p.margin),
        along: point(0, 1),
        course: courseOf([
          { length: BENCH.below, turn: (Math.PI / 2) * (1 - opened) },
          { length: band.value },
        ]),
        frame: { origin: { x: at('x'), y: at('y'), z: at('z') }, along: minus(down), rise: grain },
      },
    ],
  }
}

/** Two bands between front and back with a zip between them. */
export function zipped(bag: Bag, body: Body): Part {
  const bands = bandsOf(bag, body)
  const one = (id: Side): Part => {
    const face = body[id]
    const panel = rectanglePanel(bag, `zip-${id}`, `Zip band, ${id}`, 'inner', bands.wide, bands.band.value)
    const told = id === 'front'
    return part({
      panels: [panel],
      piles: [alone(panel)],
      joins: seamsOf(bands, id, face, panel.id),
      sizes: [bands.band, ...(told ? [bands.length] : [])].map((size) => ({ panelId: panel.id, size })),
      fittings: told ? [zipOn(bands, panel.id)] : [],
      stood: (opened) => [standing(bands, face, panel.id, opened)],
    })
  }
  return together([one('front'), one('back')])
}
