import { EndType, JoinType, inflatePathsD, intersectD, FillRule } from 'clipper2-ts'
import { bench, describe } from 'vitest'
import { findingsOf, fixesOf } from '@drumlin/core/check'
import { derive, seamPlan } from '@drumlin/core/derived'
import type { Design } from '@drumlin/core/design'
import { pathData, pieceDrawing } from '@drumlin/core/drawing'
import { barePanel, drawnFromPath, movePoint, outlineOf } from '@drumlin/core/drawn'
import { fitToIron, freedomsOf } from '@drumlin/core/fit'
import { kindIds } from '@drumlin/core/kinds'
import { transect, laidUpOf } from '@drumlin/core/layup'
import { figuresOf } from '@drumlin/core/overview'
import { otherWays, proposeSkives, survey } from '@drumlin/core/relief'
import { writePdf } from '@drumlin/core/exchange/pdf'
import { pdfFonts } from '../../cli/src/fonts.js'
import { bagDesign } from './support/bags.js'
import { gapsOf, pictureOf } from '../src/space/index.js'
import { holePlaces, teethOf } from '../src/stitch/index.js'
import {
  type Path,
  arc,
  closedPath,
  cubic,
  line,
  offsetClosed,
  openPath,
  overlay,
  overlayRegions,
  pathLength,
  pathMoved,
  pathPoints,
  point,
  shift,
} from '../src/geometry/index.js'
import { demo, demoWith, freshOf } from './support/designs.js'
import { drawingOf, layer, turned, withFate } from './support/drawing.js'

/** A panel of 60 segments: cubics, arcs and lines round a rounded shape. */
function curvedPanel(): Path {
  const at = (i: number) => {
    const angle = (i / 60) * 2 * Math.PI
    const radius = 100 + 8 * Math.sin(5 * angle)
    return point(radius * Math.cos(angle), 0.7 * radius * Math.sin(angle))
  }
  return closedPath(
    Array.from({ length: 60 }, (_, i) => {
      const [from, to] = [at(i), at((i + 1) % 60)]
      const handle = (k: number, way: number) => {
        const [a, b] = [at((k + 59) % 60), at((k + 1) % 60)]
        return point(at(k % 60).x + (way * (b.x - a.x)) / 6, at(k % 60).y + (way * (b.y - a.y)) / 6)
      }
      return i % 3 === 0 ? line(from, to) : cubic(from, handle(i, 1), handle((i + 1) % 60, -1), to)
    }),
  )
}
const panel = curvedPanel()
const points = pathPoints(panel, 0.01).map((p) => ({ ...p }))
const other = pathMoved(panel, shift(1.5, 0.8))
const otherPoints = pathPoints(other, 0.01).map((p) => ({ ...p }))
const design = demo()
/** A fresh object each time, so that nothing is remembered from the round before. */
const again = (d: Design): Design => structuredClone(d)

describe('reckoning', () => {
  bench('the demo bifold, all of it', () => void derive(again(design)))
  const full = demoWith({ 'params.pockets': 6 }).design
  bench('a bifold with twelve pockets', () => void derive(again(full)))
  const derived = derive(design)
  bench('its findings', () => void findingsOf(derived))
  bench('a transect', () => void transect(laidUpOf(derived.works, 'open'), point(200, -4), point(200, 90)))
})

describe('re-reckoning each kind', () => {
  for (const id of kindIds().filter((k) => k !== 'by-hand')) {
    const fresh = freshOf(id)
    bench(id, () => void derive(again(fresh)))
  }
})

describe('the relief of the fullest bifold: twelve cards, lined, lapped', () => {
  const fullest = demoWith({ 'params.pockets': 6, 'params.lining': 'lined' })
  const outer = ['outer-left', 'outer-right']
  const asked = { state: 'open', contents: true, interval: 0.5 }
  bench('map, contours, figures and seams at 0.25 mm', () => void survey(fullest, { ...asked, step: 0.25 }), {
    iterations: 8,
  })
  bench('the same at 1 mm', () => void survey(fullest, { ...asked, step: 1 }), { iterations: 8 })
  bench('skives for 3.4 mm', () => void proposeSkives(fullest, outer, 3.4), { iterations: 8 })
  bench('what else would help', () => void otherWays(fullest, outer, 3.4), { iterations: 4 })
  bench('the figures of a variant', () => void figuresOf(fullest), { iterations: 8 })
})

describe('offset 3 mm in, 60 segments', () => {
  bench('ours: arcs and cubics kept', () => void offsetClosed(panel, -3))
  bench(
    'the library alone: chords only',
    () => void inflatePathsD([points], -3, JoinType.Miter, EndType.Polygon, 4, 3),
  )
})

describe('two versions laid over each other', () => {
  bench('ours: regions by the library, from true curves', () => void overlayRegions(panel, other))
  bench(
    'the library alone: both chorded before',
    () => void intersectD([points], [otherPoints], FillRule.NonZero, 3),
  )
  bench('ours: the largest distance', () => void overlay(panel, other))
})

/** A bag of five seams round two panels, 300 holes on either side of each: 3,000 in all. */
const bagSeam = (radius: number): Path =>
  openPath([
    line(point(0, 0), point(0, 340)),
    arc(point(0, 340), point(radius, 340 + radius), point(radius, 340), -Math.PI / 2),
    line(point(radius, 340 + radius), point(460 - radius, 340 + radius)),
    arc(point(460 - radius, 340 + radius), point(460, 340), point(460 - radius, 340), -Math.PI / 2),
    line(point(460, 340), point(460, 0)),
  ])
describe('holes of a bag, 3,000 of them', () => {
  const sides = [40, 42, 44, 46, 48].map((r) => [bagSeam(r), bagSeam(r + 2)] as const)
  const steps = { pitch: 3.85, corners: 'hole' } as const
  const lay = () => {
    const holes = sides.map(([a, b]) => {
      const [front, back] = [holePlaces(a, steps), holePlaces(b, steps)]
      return teethOf({ length: pathLength(a), ...front }, { length: pathLength(b), ...back }, steps.pitch)
    })
    return holes.reduce((n, h) => n + h.teeth.length, 0)
  }
  bench('laid out and matched', () => void lay())
})

describe('fit to the iron, the fullest bifold, from holes beside steps', () => {
  const wide = demoWith({ 'params.pockets': 6, 'params.reveal': 11.3 })
  const allowed = freedomsOf(wide)
    .filter((f) => f.usual > 0)
    .map((freedom) => ({ freedom, by: freedom.usual }))
  bench(
    'found, or said what clashes',
    () => void fitToIron(wide.design, { allowed, play: 0.04, clearance: 1 }),
    {
      iterations: 5,
    },
  )
  bench('the plan of its seams', () => void seamPlan(wide), { iterations: 8 })
})

const fonts = await pdfFonts()
describe('the PDF', () => {
  bench(
    'of the demo, on A4',
    async () => void (await writePdf(derive(again(design)), { paper: 'a4', unit: 'mm', fonts })),
    { iterations: 5 },
  )
})

describe('a fix', () => {
  const stepped = demoWith({ 'params.reveal': 13 }).design
  bench(
    'for a hole near a step, sought and tried',
    () => {
      const derived = derive(again(stepped))
      void fixesOf(findingsOf(derived)[0]!, derived)
    },
    { iterations: 5 },
  )
})

/** A panel of 60 curves with turned edges, a lining and a board, one point of it moved a little each time. */
const shape = barePanel({ id: 'panel', name: 'Panel', role: 'outside', ...drawnFromPath(curvedPanel()) })
const lined = (lines: 0 | 1) =>
  withFate({ ...shape, layers: [layer('lining'), layer('board')] }, turned(8, { school: 'even', lines }))
let shift60 = 0
const dragged = (lines: 0 | 1): Design => {
  shift60 += 0.01
  const p = lined(lines)
  return drawingOf([movePoint(p, 7, { x: p.nodes[7]!.x + (shift60 % 1), y: p.nodes[7]!.y })])
}

describe('dragging a point of a curved panel, lined, boarded, its edge turned', () => {
  bench('all of it reckoned', () => void derive(dragged(0)))
  bench('the same with two hundred holes round it', () => void derive(dragged(1)))
  bench('the outline alone, drawn', () => void pathData(outlineOf(dragged(0).drawn[0]!).path))
  const whole = derive(dragged(0))
  bench(
    'the pieces drawn, already reckoned',
    () => void whole.pieces.map((p) => pieceDrawing({ ...p, marks: [...p.marks] }, whole.design, 'mm')),
  )
})

describe('a large bag: 25 panels, 45 runs', () => {
  const large = bagDesign('flap-bag', {
    wide: 340,
    high: 280,
    deep: 100,
    body: 'wrap-three',
    seam: 'turned',
    rows: 2,
    top: 'doubled',
    flap: 'sewn',
    organiser: 'covered',
    lining: 'lined',
    base: 'cushioned',
    feet: 'feet',
    strapJoin: 'joined',
  })
  const bag = derive(large)
  const [open] = bag.works
  bench('reckoned again', () => void derive(large))
  bench('stood up as a picture', () => void pictureOf(bag, open!, 0))
  bench('how its seams meet', () => void gapsOf(bag.master, bag.runs, open!))
  bench('its findings', () => void findingsOf(bag))
})
