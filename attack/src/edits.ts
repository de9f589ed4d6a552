import { findingsOf, sayFinding } from '@drumlin/core/check'
import { type Derived, derive, unworkable } from '@drumlin/core/derived'
import { type Design, type Edit, applyEdit, withFollowing } from '@drumlin/core/design'
import { writeSvg } from '@drumlin/core/exchange/svg'
import { fieldsOf } from '@drumlin/core/kinds'
import { figuresOf, summary } from '@drumlin/core/overview'
import { STARTER_STORES } from '@drumlin/core/stores'
import { writeDxf } from '@drumlin/core/exchange/dxf'
import type { Chance } from './random.js'

/** Where a number breaks things if anything does. */
const extreme = (c: Chance, now: number): number =>
  c.of([0, -1, 1e-9, 0.05, 1, 7, 1e6, now * 0.01, now * 0.5, now * 2, now * 10, -now, c.share() * 300])

type Path = readonly (string | number)[]

/** Every number of a design, by its path. */
function numbersIn(value: unknown, path: Path = []): { path: Path; now: number }[] {
  if (typeof value === 'number') return [{ path, now: value }]
  if (typeof value !== 'object' || value === null) return []
  return Object.entries(value).flatMap(([key, inner]) =>
    numbersIn(inner, [...path, Array.isArray(value) ? Number(key) : key]),
  )
}

const one = (path: Path, value: unknown): Edit => ({
  name: `${path.join('.')} ${JSON.stringify(value)}`,
  changes: [{ path, value }],
})

function field(c: Chance, { kind, design }: Derived): Edit {
  const f = c.of(fieldsOf(kind))
  const path = [...f.path]
  if (f.type === 'choice') return one(path, c.of(f.choices).value)
  if (f.type === 'count') return one(path, c.of([f.min, f.max, 0, f.min + c.below(f.max - f.min + 1)]))
  if (f.type === 'length' || f.type === 'share')
    return one(path, c.of([f.min, f.max, 0, -1, f.min + c.share() * (f.max - f.min)]))
  const { path: where, now } = c.of(numbersIn(design))
  return one(where, extreme(c, now))
}

function sewing(c: Chance, { runs, panels, master }: Derived): Edit {
  const run = runs.length > 0 ? c.of(runs).join.id : 'none'
  const key = ['sewing', 'runs', run]
  const sheets = master.layups.flatMap((l) => l.sheets.map((s) => s.id))
  return c.of([
    one(['sewing', 'holes'], c.of(['through', 'apart', 'machine'])),
    one(['sewing', 'stepping'], c.of(['evened', 'stepped'])),
    one([...key, 'pitch'], c.of([1, 12, 3.3])),
    one([...key, 'startBy'], c.of([-60, 600, 50, -3])),
    one([...key, 'endBy'], c.of([-60, 600, 50, -3])),
    one([...key, 'second'], c.of([-40, 40, 3, 0])),
    one([...key, 'holes'], c.of(['through', 'apart', 'machine'])),
    one([...key, 'every'], 2),
    one([...key, 'along'], true),
    one([...key, 'template'], true),
    one([...key, 'over'], { start: c.below(3), end: c.below(3) }),
    one([...key, 'without'], sheets.length > 0 ? [String(c.of(sheets))] : ['nothing']),
    one(['sewing', 'splits', run], [c.of([0.001, 0.3, 0.5]), c.of([0.6, 0.999])]),
    one(['sewing', 'merges'], [{ first: run, then: runs.length > 0 ? c.of(runs).join.id : run }]),
    one(['lengths', run], c.of([2, 20])),
    one(['skives', c.of(panels).id], c.of([0, 0.1, 8])),
  ])
}

function contents(c: Chance): Edit {
  const all = STARTER_STORES.things
  const some = Array.from({ length: 1 + c.below(24) }, () => ({ thing: c.of(all), count: c.of([1, 2, 40]) }))
  const unlike = some.filter((s, i) => some.findIndex((o) => o.thing.id === s.thing.id) === i)
  return one(['contents'], unlike)
}

/** An edit a maker could make, or a file could hold, with numbers where things break. */
function anyEdit(c: Chance, derived: Derived): Edit {
  const { design, master } = derived
  switch (c.below(7)) {
    case 0:
    case 1:
      return field(c, derived)
    case 2:
    case 3: {
      const { size } = c.of(master.sizes)
      return one(['overrides', size.key], extreme(c, size.value))
    }
    case 4: {
      const { path, now } = c.of(numbersIn(design))
      return one(path, extreme(c, now))
    }
    case 5:
      return sewing(c, derived)
    default:
      return contents(c)
  }
}

/** What went wrong with a state that was accepted. */
interface Broken {
  readonly what: string
  readonly why: string
  readonly design: Design
}

/** Longest any one thing may take, ms. */
const LIMIT = 2000

const NUMBERLESS = /NaN|Infinity|undefined|\[object/

/** Everything that is made of a design, each tried and timed. */
function triedOut(derived: Derived, limit: number): Broken[] {
  const { design } = derived
  const broken: Broken[] = []
  const attempt = (what: string, make: () => string): void => {
    const started = performance.now()
    try {
      const found = NUMBERLESS.exec(make())
      if (found) broken.push({ what, why: `says ${found[0]}`, design })
    } catch (error) {
      broken.push({
        what,
        why: error instanceof Error ? (error.stack ?? error.message) : String(error),
        design,
      })
    }
    const took = performance.now() - started
    if (took > limit) broken.push({ what, why: `took ${Math.round(took)} ms`, design })
  }
  attempt('summary', () =>
    JSON.stringify(summary(derived), (_, v: unknown) =>
      typeof v === 'number' && !Number.isFinite(v) ? 'NaN' : v,
    ),
  )
  attempt('figures', () =>
    JSON.stringify(figuresOf(derived), (_, v: unknown) =>
      typeof v === 'number' && !Number.isFinite(v) ? 'NaN' : v,
    ),
  )
  attempt('findings', () =>
    findingsOf(derived)
      .flatMap((f) => [sayFinding(f, 'mm'), sayFinding(f, 'in')])
      .map((s) => `${s.what} ${s.why}`)
      .join('\n'),
  )
  attempt('SVG', () => writeSvg(derived, 'mm'))
  attempt('DXF', () => writeDxf(derived, 'mm'))
  return broken
}

interface AttackOptions {
  readonly limit?: number
  readonly told?: (done: number) => void
}

interface EditsResult {
  readonly tried: number
  readonly accepted: number
  readonly refused: number
  readonly broken: readonly (Broken & { readonly edit: string })[]
  /** Refusals that a maker could not read. */
  readonly unsaid: readonly string[]
}

const UNSAID = /undefined|null|NaN|function|object|Cannot|reading|stack|Expected/

/** Edits one on top of the other, as the application does them: refused or accepted, and then tried out. */
export function attackEdits(
  c: Chance,
  starts: readonly Design[],
  count: number,
  { limit = LIMIT, told = () => undefined }: AttackOptions = {},
): EditsResult {
  const broken: (Broken & { edit: string })[] = []
  const unsaid = new Set<string>()
  let [accepted, refused] = [0, 0]
  const now = starts.map((d) => d)
  for (let i = 0; i < count; i += 1) {
    const which = i % now.length
    // Not so long that nothing but what broke first is tried.
    if (c.below(25) === 0) now[which] = starts[which]!
    const design = now[which]!
    const asked = anyEdit(c, derive(design))
    const edit = withFollowing(design, asked)
    const edited = applyEdit(design, edit)
    const started = performance.now()
    let made: Derived | undefined
    const why = edited.ok
      ? unworkable(() => (made = derive(edited.design)))
      : `${edited.where}: ${edited.why}`
    const took = performance.now() - started
    if (took > limit)
      broken.push({ what: 'edit', why: `took ${Math.round(took)} ms`, design, edit: asked.name })
    if (why !== undefined || !edited.ok) {
      refused += 1
      if (UNSAID.test(why!)) unsaid.add(`${asked.name}: ${why}`)
    } else {
      accepted += 1
      broken.push(...triedOut(made!, limit).map((b) => ({ ...b, edit: asked.name })))
      now[which] = edited.design
    }
    told(i + 1)
  }
  return { tried: count, accepted, refused, broken, unsaid: [...unsaid] }
}
