import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { findingsOf, fixesOf, sayFinding } from '@drumlin/core/check'
import { compareDecisions } from '@drumlin/core/compare'
import { type Derived, derive, seamPlan, zipFor } from '@drumlin/core/derived'
import { type Design, applyEdit } from '@drumlin/core/design'
import { readDesign, readSentence, writeDesign } from '@drumlin/core/exchange/json'
import { kindIds } from '@drumlin/core/kinds'
import type { RunWish } from '@drumlin/core/sewing'
import { point, pointDistance, polyline } from '../src/geometry/index.js'
import { runsOf, zipOf } from '../src/stitch/index.js'
import { reckoner } from '../src/working/index.js'
import { many } from './support/long.js'
import { demo, freshOf, withValues } from './support/designs.js'
import { drawingOf, panelOf, withFate } from './support/drawing.js'

const KINDS = kindIds().filter((k) => k !== 'by-hand')
const designs = new Map<string, Design>(KINDS.map((k) => [k, freshOf(k)]))
const runIds = new Map<string, string[]>(
  KINDS.map((k) => [k, derive(designs.get(k)!).runs.map((r) => r.join.id)]),
)

const anyWish: fc.Arbitrary<RunWish> = fc.record(
  {
    holes: fc.constantFrom('through', 'apart', 'machine'),
    stepping: fc.constantFrom('evened', 'stepped'),
    pitch: fc.double({ min: 1, max: 12, noNaN: true }),
    reversed: fc.constant(true),
    startBy: fc.double({ min: -60, max: 200, noNaN: true }),
    endBy: fc.double({ min: -60, max: 200, noNaN: true }),
    back: fc.record({ start: fc.integer({ min: 0, max: 6 }), end: fc.integer({ min: 0, max: 6 }) }),
    over: fc.record({ start: fc.integer({ min: 0, max: 2 }), end: fc.integer({ min: 0, max: 2 }) }),
    every: fc.constant(2),
    second: fc.double({ min: -20, max: 20, noNaN: true }),
    along: fc.constant(true),
    ease: fc.constantFrom('spread', 'corners'),
    template: fc.constant(true),
  },
  { requiredKeys: [] },
) as fc.Arbitrary<RunWish>

/** Every number that is shown is a number, holes go on along their run, and what is said is said whole. */
function sound(derived: Derived): void {
  for (const { run, minutes, mean } of seamPlan(derived).rows) {
    expect([run.length, run.thread.value, run.thickest, minutes.value, mean].every(Number.isFinite)).toBe(
      true,
    )
    const broken = run.holes.filter(
      ({ at, distance }, i) =>
        !(Number.isFinite(at.x) && Number.isFinite(at.y)) ||
        (i > 0 && !(distance > run.holes[i - 1]!.distance - 1e-6)),
    )
    expect(broken).toEqual([])
    const zip = zipFor(derived, run)
    const alone = { front: zip.front.holes.length, back: zip.back?.holes.length ?? 0 }
    if (zip.back) expect(zip.teeth.length + zip.extra.length).toBe(Math.max(alone.front, alone.back))
  }
  for (const f of findingsOf(derived)) expect(sayFinding(f, 'mm').what).not.toMatch(/NaN|undefined|Infinity/)
  expect(derived.pieces.flatMap((p) => p.holes.filter((h) => !Number.isFinite(h.angle)))).toEqual([])
}

describe('whatever is wished of whatever run', () => {
  test('nothing breaks, every number is one, and nothing hangs', () =>
    fc.assert(
      fc.property(
        fc.constantFrom(...KINDS),
        fc.array(fc.tuple(fc.nat(), anyWish), { minLength: 1, maxLength: 3 }),
        fc.option(
          fc.tuple(
            fc.nat(),
            fc.array(fc.double({ min: 0.01, max: 0.99, noNaN: true }), { minLength: 1, maxLength: 3 }),
          ),
          { nil: undefined },
        ),
        (kind, wishes, split) => {
          const ids = runIds.get(kind)!
          const pick = (n: number): string => ids[n % ids.length]!
          const changes = [
            ...wishes.map(([n, wish]) => ({ path: ['sewing', 'runs', pick(n)], value: wish })),
            ...(split ? [{ path: ['sewing', 'splits', pick(split[0])], value: split[1] }] : []),
          ]
          const edited = applyEdit(designs.get(kind)!, { name: 'any', changes })
          if (!edited.ok) throw new Error(`${edited.where}: ${edited.why}`)
          sound(derive(edited.design))
        },
      ),
      { seed: 21, numRuns: many(40, 120) },
    ))
  test('what is wished goes into the file and comes out of it', () => {
    const design = withValues(demo(), {
      'sewing.runs': { 'outer-left': { holes: 'apart', ease: 'spread', back: { start: 3, end: 1 } } },
      'sewing.splits': { 'outer-right': [0.25, 0.5] },
      'sewing.merges': [{ first: 'outer-right', then: 'outer-right/2' }],
    })
    const read = readDesign(writeDesign(design))
    expect(read.ok && read.design.sewing).toEqual(design.sewing)
  })
  test('two drafts say what was decided differently about a run', () => {
    const wished = withValues(demo(), {
      'sewing.holes': 'apart',
      'sewing.runs': { 'outer-left': { second: 4, back: { start: 3, end: 1 } } },
      'sewing.splits': { 'inner-left': [0.5] },
    })
    const labels = compareDecisions(demo(), wished, 'mm').map((c) => c.label)
    expect(labels).toContain('how holes are made')
    expect(labels).toContain('inner-left, parted')
    expect(labels.some((l) => l.startsWith('outer-left'))).toBe(true)
  })
  test.each([
    ['a part of more than the whole', ['splits', { 'outer-left': [1.4] }], /sewing\.splits\.outer-left\.0/],
    [
      'an iron of one prong',
      ['runs', { 'outer-left': { iron: { ...demo().iron, prongs: 1 } } }],
      /at least 2 prongs/,
    ],
    ['a pitch of nothing', ['runs', { 'outer-left': { pitch: 0 } }], /sewing\.runs\.outer-left\.pitch/],
    ['a wish nobody knows', ['runs', { 'outer-left': { colour: 'red' } }], /not known here/],
    ['a line with a strange name', ['lines', [{ id: 'x y' }]], /sewing\.lines\.0\.id: line- and a number/],
  ])('%s is refused whole, saying where', (_, [key, value], words) => {
    const file = JSON.parse(writeDesign(demo())) as { sewing: Record<string, unknown> }
    file.sewing[key as string] = value
    const read = readDesign(JSON.stringify(file))
    expect(read.ok ? '' : readSentence(read.issue)).toMatch(words)
  })
})

describe('thread against the needle’s way, walked stitch by stitch', () => {
  test('for any stepping, corner and pitch', () =>
    fc.assert(
      fc.property(
        fc.constantFrom('evened', 'stepped'),
        fc.constantFrom('hole', 'straddled'),
        fc.double({ min: 2, max: 6, noNaN: true }),
        (stepping, cornerSchool, pitch) => {
          const derived = derive(
            withValues(demo(), {
              'sewing.stepping': stepping,
              'habits.cornerSchool': cornerSchool,
              'params.corner': 0,
              'sewing.runs': { 'outer-left': { pitch, back: { start: 0, end: 0 } } },
            }),
          )
          const run = derived.runs.find((r) => r.join.id === 'outer-left')!
          let walked = run.holes[0]!.stack
          run.holes
            .slice(1)
            .forEach((h, i) => (walked += 2 * (pointDistance(h.at, run.holes[i]!.at) + h.stack)))
          const reckoned = run.thread.value / 1.06 - 2 * 150
          // Pitches are averaged over the sides; a straddled corner is cut short.
          expect(Math.abs(reckoned - walked) / walked).toBeLessThan(0.01)
        },
      ),
      { seed: 22, numRuns: 40 },
    ))
})

describe('a strap drawn by hand', () => {
  test('a hem across it weakens it once it is said which way it is pulled', () => {
    const hem = {
      type: 'rolled' as const,
      width: 14,
      school: 'fold' as const,
      atEdge: null,
      feather: 5,
      core: 'round' as const,
      lines: 1 as const,
      margin: 11,
    }
    const strap = withFate(panelOf('rectangle', { width: 80, height: 200 }), hem, 'top')
    const codes = (pull: object): string[] =>
      findingsOf(derive(drawingOf([{ ...strap, ...pull }]))).map((f) => f.code)
    expect(codes({})).not.toContain('across-pull')
    expect(codes({ pull: Math.PI / 2 })).toContain('across-pull')
    expect(codes({ pull: 0 })).not.toContain('across-pull')
  })
})

describe('runs that come too near one another', () => {
  const line = { id: 'line-1', name: 'line', layup: 'open', sheet: 'inside-left', chain: ['left'], margin: 4 }
  test('two lines of holes a millimetre apart are said, and drawn back they are not', () => {
    const derived = derive(withValues(demo(), { 'sewing.lines': [line] }))
    const found = findingsOf(derived).find((f) => f.code === 'holes-meet')!
    expect(sayFinding(found, 'mm').what).toMatch(/falls 1\.\d mm from one of the outer seam, left/)
    const far = derive(withValues(demo(), { 'sewing.lines': [{ ...line, margin: 9 }] }))
    expect(findingsOf(far).some((f) => f.key === found.key)).toBe(false)
  })
  test('an end drawn on into another run is drawn back by its fix', () => {
    const ends = { endBy: -2.2 }
    const near = derive(withValues(demo(), { 'sewing.runs': { 'inner-left': ends, 'inner-right': ends } }))
    const found = findingsOf(near).find((f) => f.code === 'holes-meet')!
    expect(fixesOf(found, near)[0]!.label).toMatch(/^(Start|End) it \d\.\d mm further in$/)
  })
})

describe('a seam whose other edge the kind names', () => {
  test('is zipped against the line it names, whatever lies nearer', () => {
    const derived = derive(demo())
    const run = derived.runs.find((r) => r.join.id === 'outer-left')!
    const line = polyline([point(3, 5), point(3, 80), point(93, 80)])
    const join = { ...run.join, mate: { type: 'line' as const, sheet: 'outside-left', line } }
    const joins = derived.master.joins.map((j) => (j.id === run.join.id ? join : j))
    const named = runsOf(joins, derived.panels, derived.works, derived.design, reckoner({})).find(
      (r) => r.join.id === run.join.id,
    )!
    const zip = zipOf(named, derived.works[0]!, derived.panels)
    // Both edges are punched: their thickness is sewn together.
    expect(named.other!.holes).toHaveLength(named.holes.length)
    expect(zip.back!.length).toBeCloseTo(75 + 90, 9)
    expect(zip.ease!.by).toBeCloseTo(Math.abs(run.length - 165), 9)
  })
})
