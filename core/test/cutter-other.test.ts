import { execFileSync, spawnSync } from 'node:child_process'
import { mkdtempSync, readFileSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { expect, test } from 'vitest'
import { derive } from '@drumlin/core/derived'
import { USUAL_CUTTER, cutPlan, writeHpgl } from '@drumlin/core/exchange/hpgl'
import { demoDesign } from './support/all.js'

const there = spawnSync('hp2xx', ['--help']).error === undefined

type At = readonly [number, number]
type Stretch = readonly [At, At]

/** What another plotter draws of it, at true size, mm: its stretches as it writes them into EPS. */
function drawnElsewhere(hpgl: string): Stretch[] {
  const [from, to] = ['in.hpgl', 'out.eps'].map((f) => join(mkdtempSync(join(tmpdir(), 'drumlin-hpgl-')), f))
  writeFileSync(from!, hpgl)
  execFileSync('hp2xx', ['-q', '-t', '-m', 'eps', '-f', to!, from!], { stdio: 'ignore' })
  const body = readFileSync(to!, 'latin1').split('%%EndPageSetup')[1]!
  const drawn: Stretch[] = []
  let at: At | undefined
  for (const [, x, y, how] of body.matchAll(/(-?[\d.]+)\s+(-?[\d.]+)\s+([MD])\b/g)) {
    const next: At = [Number(x), Number(y)]
    // Before the first stroke it stands off the page.
    if (how === 'D' && at && at[0] > -4) drawn.push([at, next])
    at = next
  }
  return drawn
}

const low = (all: readonly Stretch[], axis: 0 | 1): number =>
  all.reduce((min, [a, b]) => Math.min(min, a[axis], b[axis]), Infinity)
/** Laid into the corner. */
const cornered = (all: readonly Stretch[]): Stretch[] => {
  const [x, y] = [low(all, 0), low(all, 1)]
  return all.map(([a, b]) => [
    [a[0] - x, a[1] - y],
    [b[0] - x, b[1] - y],
  ])
}

function off([px, py]: At, [[ax, ay], [bx, by]]: Stretch): number {
  const [vx, vy] = [bx - ax, by - ay]
  const squared = vx * vx + vy * vy
  const t = squared === 0 ? 0 : Math.min(1, Math.max(0, ((px - ax) * vx + (py - ay) * vy) / squared))
  return Math.hypot(px - ax - t * vx, py - ay - t * vy)
}
/** A step of a plotter is 0.025 mm: both round to it. */
const WITHIN = 0.04
/** Ends and middles of these that lie on none of those. */
const astray = (these: readonly Stretch[], those: readonly Stretch[]): At[] =>
  these
    .flatMap(([a, b]): At[] => [a, [(a[0] + b[0]) / 2, (a[1] + b[1]) / 2]])
    .filter((p) => !those.some((s) => off(p, s) < WITHIN))

test.skipIf(!there).each(['deckhands-fold', 'chart-pouch', 'landing-rucksack'])(
  'another program draws every line of %s where it was meant, within a step of 0.025 mm (needs hp2xx)',
  (name) => {
    const derived = derive(demoDesign(name))
    const wish = { ...USUAL_CUTTER, wide: 1200, long: 3000, tool: 'pen', past: 0, trails: 0 } as const
    const plan = cutPlan(derived, wish, 'mm')
    const meant = plan.strokes.flatMap(({ points }) =>
      points.slice(1).map((p, i): Stretch => {
        const before = points[i]!
        return [
          [before.x, plan.long - before.y],
          [p.x, plan.long - p.y],
        ]
      }),
    )
    const drawn = drawnElsewhere(writeHpgl(derived, wish, 'mm'))
    expect(drawn).toHaveLength(meant.length)
    const [there, here] = [cornered(drawn), cornered(meant)]
    expect(astray(there, here)).toEqual([])
    expect(astray(here, there)).toEqual([])
  },
)
