import { setField, setSkives } from '../design/index.js'
import type { Derived } from '../derived/index.js'
import { pointInside, pointMoved } from '../geometry/index.js'
import { layersAt, laidUpOf } from '../layup/index.js'
import { type Units, decimal, printWeight, systemOf } from '../measure/index.js'
import type { Run } from '../stitch/index.js'
import type { Iron } from '../stores/index.js'
import { type Fix, type TryOut, check } from './finding.js'
import { isSecondTwin, placeOnSheet } from './places.js'

const thickestHole = (run: Run) => run.holes.reduce((a, b) => (b.stack > a.stack ? b : a))

/** A run under which the work is thicker than a tool reaches. */
interface Thick {
  readonly run: Run
  readonly reach: number
  readonly tool: string
  readonly past: 'iron' | 'awl' | 'needle' | 'foot'
}

/** What is too short for a run: by hand the iron first, then the awl; by machine the needle or the lift of the foot. */
function tooShort(run: Run, { awl, machine }: Derived['design']): Thick | undefined {
  const over = (reach: number): boolean => run.thickest > reach + 1e-9
  const { iron, holes } = run.ways
  if (holes === 'machine') {
    if (over(machine.lift)) return { run, reach: machine.lift, tool: machine.name, past: 'foot' }
    return over(machine.reach) ? { run, reach: machine.reach, tool: machine.name, past: 'needle' } : undefined
  }
  if (over(awl.reach)) return { run, reach: awl.reach, tool: awl.name, past: 'awl' }
  return over(iron.reach) ? { run, reach: iron.reach, tool: iron.name, past: 'iron' } : undefined
}

const tooThick = (derived: Derived): Thick[] =>
  derived.runs.flatMap((run) => tooShort(run, derived.design) ?? [])

/** Bands that lie under holes thicker than `reach`, with the thinnest their leather bears. */
function bandsUnder(derived: Derived, reach: number): { key: string; bears: number; now: number }[] {
  const found = new Map<string, { key: string; bears: number; now: number }>()
  for (const run of derived.runs) {
    const work = laidUpOf(derived.works, run.join.layup)
    for (const hole of run.holes.filter((h) => h.stack > reach))
      for (const { laid } of layersAt(work, hole.at)) {
        const panel =
          laid.sheet.type === 'panel'
            ? derived.panels.find((p) => laid.sheet.type === 'panel' && p.id === laid.sheet.panelId)
            : undefined
        const leather = panel && derived.design.leathers[panel.role]
        if (!panel || !leather) continue
        const local = pointMoved(hole.at, laid.toSheet)
        for (const band of panel.bands)
          if (band.start === band.end && band.areas.some((a) => pointInside(local, a.outline)))
            found.set(band.key, {
              key: band.key,
              bears: leather.bears,
              now: Math.min(band.start, leather.thickness),
            })
      }
  }
  return [...found.values()]
}

/** Down to a twentieth of a millimetre: finer than a knife keeps. */
const step = (mm: number): number => Math.floor(mm * 20 + 1e-9) / 20

/** The lightest common skive of those bands that brings every run within reach, found by trying. */
function skiveFix(derived: Derived, reach: number, tryOut: TryOut, unit: Units): Fix[] {
  const bands = bandsUnder(derived, reach)
  const names = derived.panels.flatMap((p) => p.bands)
  for (const share of [0.1, 0.2, 0.3, 0.4, 0.5, 0.6, 0.7, 0.8, 0.9, 1]) {
    const wishes = Object.fromEntries(
      bands.map((b) => [b.key, Math.max(b.bears, step(b.now - share * (b.now - b.bears)))]),
    )
    const edit = setSkives('skive the stacked edges', wishes)
    const tried = tryOut(edit)
    if (!tried || tried.runs.some((r) => r.thickest > reach + 1e-9)) continue
    const needed = neededOnly(wishes, reach, tryOut)
    const label = Object.entries(needed).map(
      ([key, mm]) => `${names.find((n) => n.key === key)?.name ?? key} to ${printWeight(mm, unit)}`,
    )
    return [
      { label: `Skive the ${label.join(', the ')}`, edit: setSkives('skive the stacked edges', needed) },
    ]
  }
  return []
}

/** The same skives without those that turn out not to matter. */
function neededOnly(
  wishes: Readonly<Record<string, number>>,
  reach: number,
  tryOut: TryOut,
): Record<string, number> {
  return Object.keys(wishes).reduce<Record<string, number>>(
    (left, key) => {
      const { [key]: _, ...without } = left
      const tried =
        Object.keys(without).length > 0 ? tryOut(setSkives('skive the stacked edges', without)) : undefined
      return tried && tried.runs.every((r) => r.thickest <= reach + 1e-9) ? without : left
    },
    { ...wishes },
  )
}

/** The iron on the shelf nearest in pitch that reaches through everything. */
function ironFix({ runs, design }: Derived, irons: readonly Iron[], unit: Units): Fix[] {
  const thickest = Math.max(...runs.filter((r) => r.ways.holes !== 'machine').map((r) => r.thickest))
  const off = (iron: Iron): number => Math.abs(iron.pitch - design.iron.pitch)
  const [nearest] = irons.filter((i) => i.reach >= thickest).toSorted((a, b) => off(a) - off(b))
  return nearest
    ? [
        {
          label: `Take the ${nearest.name}, which reaches ${printWeight(nearest.reach, unit)}`,
          edit: setField(`${nearest.name}`, ['iron'], nearest),
        },
      ]
    : []
}

/** The work is thicker under a run than the tools reach. */
export const stackTooThick = check({
  code: 'stack-too-thick',
  screen: 'relief',
  find: (derived) => {
    const told = new Set<string>()
    return tooThick(derived).flatMap(({ run, reach, tool, past }) => {
      if (isSecondTwin(run.join, told)) return []
      told.add(run.join.id)
      const hole = thickestHole(run)
      return [
        {
          key: `stack-too-thick:${run.join.id}`,
          // What the iron only marks the awl opens: slower, but sewn all the same.
          rank: past === 'iron' ? ('tip' as const) : ('stop' as const),
          cause: { id: `${past} ${tool}`, severity: run.thickest },
          run: run.join.id,
          places: placeOnSheet(derived, run.join, run.join.course.sheet, hole.at),
          about: run.join.name,
          data: { thickness: run.thickest, reach, tool, past },
        },
      ]
    })
  },
  say: ({ about, data }, unit) => ({
    what: `${systemOf(unit, 'thickness') === 'mm' ? `${decimal(data.thickness, 2, unit)} mm` : printWeight(data.thickness, unit)} under the ${about}; the ${data.tool} reaches ${printWeight(data.reach, unit)}.`,
    why:
      data.past === 'awl'
        ? 'Not even the awl comes through: it cannot be sewn like this.'
        : data.past === 'foot'
          ? 'The foot can’t be lifted over it: skive it, or sew that run by hand.'
          : data.past === 'needle'
            ? 'The needle comes through, but the hook no longer takes the loop: stitches are skipped.'
            : 'The iron only marks the last layers; the rest has to be opened with the awl, and the back wanders.',
  }),
  fixes: ({ data }, derived, tryOut, unit, shelf) => {
    const byIron = data.past === 'iron' || data.past === 'awl'
    const skived = byIron ? skiveFix(derived, derived.design.iron.reach, tryOut, unit) : []
    const skives = skived.length > 0 ? skived : skiveFix(derived, data.reach, tryOut, unit)
    return [...skives, ...(data.past === 'iron' ? ironFix(derived, shelf.irons, unit) : [])]
  },
})
