import { describe, expect, it } from 'vitest'
import { derive } from '@drumlin/core/derived'
import { finished, makingOf, openCalls } from '@drumlin/core/makings'
import { applyEdit, setField } from '@drumlin/core/design'
import { type Step, against, stepsOf } from '@drumlin/core/steps'
import { CHECKS } from '../../src/check/checks.js'
import { demoDesign } from '../support/all.js'

/**
 * Orders written down with a pencil, as a maker would go about each work: every line is a step, by how it begins or what it is done to.
 * The step in brackets is the one that gets forgotten; before it is out of reach it is asked for.
 */
const ORDERS: readonly {
  readonly demo: string
  readonly lines: readonly RegExp[]
  readonly forgot: RegExp
  readonly before: RegExp
}[] = [
  {
    demo: 'deckhands-fold',
    lines: [
      /test bar/,
      /to card/,
      /^Cut the outside/,
      /^Mark/,
      /^Count/,
      /^Skive/,
      /^Finish .* covered/,
      /^Glue the foot of pocket 1/,
      /^Sew the foot of pocket 1/,
      /^Glue the foot of pocket 2/,
      /^Sew the foot of pocket 2/,
      /^Sew the seam beside the fold/,
      /^Sew the outer seam, left/,
      /^Glue the outer seam, right/,
      /^Sew the outer seam, right/,
      /^Finish \d+ edges$/,
      /^Try/,
      /note/,
    ],
    forgot: /^Finish .* covered/,
    before: /^Glue the foot of pocket 1/,
  },
  {
    demo: 'pilots-bag',
    lines: [
      /test bar/,
      /^Cut 3 straps/,
      /^Cut the gusset/,
      /^Mark/,
      /^Punch slots/,
      /^Finish .* covered/,
      /^Hang in/,
      /^Sew 3 seams/,
      /^Glue the seam of the front/,
      /^Sew the seam of the front/,
      /^Sew the seam of the back/,
      /^Finish/,
      /^Try/,
    ],
    forgot: /^Hang in 2 .*/,
    before: /^(Punch the holes of|Sew) 4 seams/,
  },
  {
    demo: 'landing-rucksack',
    lines: [
      /^Cut 5 straps/,
      /^Skive/,
      /^Turn over/,
      /^Sew 2 seams/,
      /^Glue the seam of the inner pocket/,
      /^Sew the seam of the inner pocket/,
      /^Sew 4 seams/,
      /^Turn out/,
      /^Put in place/,
      /^Try/,
    ],
    forgot: /^Turn over/,
    before: /^Punch the holes of 2 seams/,
  },
  {
    demo: 'lamp-holder',
    lines: [
      /^Cut 3 pieces/,
      /^Punch slots/,
      /^Form/,
      /^Sew 2 seams/,
      /^Trim/,
      /^Glue the outer seam/,
      /^Sew the outer seam/,
      /^Finish/,
      /^Try/,
    ],
    forgot: /^Sew 2 seams/,
    before: /^Glue the outer seam/,
  },
  {
    demo: 'mates-case',
    lines: [
      /washers/,
      /^Count/,
      /^Punch slots/,
      /^Finish .* covered/,
      /^Set the cap/,
      /^Put in place the cloth/,
      /^Glue 2 seams/,
      /^Glue the foot/,
      /^Sew the foot/,
      /^Finish/,
    ],
    forgot: /^Put in place the cloth/,
    before: /^Glue 2 seams/,
  },
  {
    demo: 'riggers-sheath',
    lines: [
      /^Cut 4 pieces/,
      /^Finish .* covered|^Finish the/,
      /^Press the folds/,
      /^Glue the seam/,
      /^Punch the holes/,
      /^Sew the seam/,
      /^Finish/,
    ],
    forgot: /^Finish .* (covered|Welt)|^Finish the/,
    before: /^Glue the seam/,
  },
]

describe.each(ORDERS)('$demo by hand', ({ demo, lines, forgot, before }) => {
  const derived = derive(demoDesign(demo))
  const all = stepsOf(derived)
  /** The first step from a place on that a line means. */
  const find = (line: RegExp, from: number): number =>
    all.steps.findIndex((s, i) => i >= from && line.test(s.says))

  it('is the order that comes out', () => {
    let at = 0
    for (const line of lines) {
      const next = find(line, at)
      expect(next, `${line} after step ${at}: ${all.steps[at]?.says}`).toBeGreaterThanOrEqual(at)
      at = next
    }
  })

  it('what was forgotten comes up as a last call', () => {
    let making = makingOf(derived.design, { id: 'm', count: 1, forWhom: '', begun: '2027-03-22' })
    const missed = all.steps.find((s) => forgot.test(s.says))!
    let asked: { step: Step; what: string } | undefined
    for (const step of all.steps) {
      if (step === missed) continue
      const [call] = openCalls(making, step.id, all)
      if (call) {
        asked = { step, what: call.what }
        break
      }
      making = finished(making, step, 0)
    }
    expect(asked?.what).toBe(missed.says)
    expect(asked?.step.says).toMatch(before)
  })
})

describe('schools change the order', () => {
  const design = demoDesign('deckhands-fold')
  const withWay = (id: string, value: string) => {
    const edited = applyEdit(design, setField('a school', ['work', 'ways', id], value))
    if (!edited.ok) throw new Error(edited.why)
    return stepsOf(derive(edited.design)).steps
  }
  it('both halves at once are one step; pieces are dyed before they are glued, the work at the end', () => {
    expect(withWay('halves', 'both').some((s) => s.says === 'Sew the outer seam, left and right')).toBe(true)
    const dyed = withWay('dye', 'pieces')
    const glued = dyed.findIndex((s) => s.sort === 'glue')
    expect(dyed.filter((s, i) => s.sort === 'dye' && i < glued).length).toBeGreaterThan(0)
    expect(dyed.filter((s) => s.sort === 'dye').flatMap((s) => s.rows)).toHaveLength(4)
    const work = withWay('dye', 'work')
    expect(work.findIndex((s) => s.sort === 'dyeWork')).toBeGreaterThan(
      work.findLastIndex((s) => s.sort === 'sew'),
    )
  })
  it('the mark goes where nothing covers it, before anything is glued', () => {
    const steps = withWay('stamp', 'stamped')
    const at = steps.findIndex((s) => s.sort === 'stamp')
    expect(steps[at]?.says).toBe('Stamp the mark into the outside, where nothing will cover it')
    expect(at).toBeLessThan(steps.findIndex((s) => s.sort === 'glue'))
  })
  it('straps made last come after the body', () => {
    const bag = demoDesign('pilots-bag')
    const edited = applyEdit(bag, setField('a school', ['work', 'ways', 'straps'], 'last'))
    if (!edited.ok) throw new Error(edited.why)
    const of = (d: typeof bag) => stepsOf(derive(d)).steps.map((s) => s.says)
    const [first, last] = [of(bag), of(edited.design)]
    const strap = /turn-back of the strap long/
    const closed = 'Sew the seam of the back and the gusset'
    expect(first.findIndex((s) => strap.test(s))).toBeLessThan(first.indexOf(closed))
    expect(last.findIndex((s) => strap.test(s))).toBeGreaterThan(last.indexOf(closed))
  })
  it('a reason that was overruled stands no longer against an order', () => {
    const all = stepsOf(derive(design))
    const ids = all.steps.map((s) => s.id)
    const order = [...ids.slice(1), ids[0]!]
    const found = against(order, all.reasons, [])
    expect(found.every((r) => r.first === ids[0])).toBe(true)
    const put = {
      ...design,
      work: { ...design.work, order, overruled: found.map((r) => `${r.first} > ${r.then}`) },
    }
    expect(stepsOf(derive(put)).steps.at(-1)?.id).toBe(ids[0])
  })

  it('painted edges are made ready and painted coat by coat, each left to dry', () => {
    const edited = applyEdit(design, setField('finish', ['params', 'finish'], 'painted'))
    if (!edited.ok) throw new Error(edited.why)
    const { steps } = stepsOf(derive(edited.design))
    const { coats, coatDry } = design.work.ways
    const covered = steps.filter((s) => s.sort === 'coat')
    const last = steps.filter((s) => s.sort === 'coatLast')
    expect([covered.length, last.length]).toEqual([coats, coats])
    expect([...covered, ...last].every((s) => s.wait === coatDry)).toBe(true)
    expect(steps.indexOf(covered.at(-1)!)).toBeLessThan(steps.findIndex((s) => s.sort === 'glue'))
    const paced = (sorts: readonly string[]) =>
      steps
        .filter((s) => sorts.includes(s.sort))
        .reduce((sum, s) => sum + s.minutes.value - design.work.ways.setUp, 0)
    const burnished = stepsOf(derive(design)).steps.filter((s) => ['edge', 'finish'].includes(s.sort))
    const before = burnished.reduce((sum, s) => sum + s.minutes.value - design.work.ways.setUp, 0)
    expect(Math.abs(paced(['edge', 'finish', 'coat', 'coatLast']) - before)).toBeLessThan(0.2)
  })
})

describe('what no order has', () => {
  it('is told where it is: hardware that waits for the seam that shuts it in', () => {
    const derived = derive(demoDesign('mates-case'))
    const [cap, ...others] = derived.fittings
    const fitting = { ...cap!.fitting, after: 'front-left', before: 'front-left' }
    const shut = { ...derived, fittings: [{ ...cap!, fitting }, ...others] }
    const { circles, steps } = stepsOf(shut)
    expect(circles).toHaveLength(1)
    expect(circles[0]!.tasks.map((t) => t.id)).toContain(`set:${fitting.id}`)
    // Everything else still has its order, and nothing is left out.
    expect(steps.flatMap((s) => s.rows)).toHaveLength(stepsOf(derived).steps.flatMap((s) => s.rows).length)
    const found = CHECKS['hardware-no-order'].find(shut)
    expect(found).toMatchObject([{ rank: 'stop', places: [{ panelId: expect.any(String) as string }] }])
    expect(CHECKS['hardware-no-order'].say(found[0]!, 'mm').what).toContain(
      'No order of work has all of these',
    )
    expect(CHECKS['work-no-order'].find(shut)).toEqual([])
  })
})
