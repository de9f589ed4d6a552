import { boxCentre, pathBox, pointMoved } from '../geometry/index.js'
import { sheetThickness } from '../layup/index.js'
import { type Asking, seamOf } from './before.js'
import { type Facts, type Part, holds, sheetsOf } from './facts.js'
import type { Sort } from './sorts.js'

/** Reached only while the body is open; but what lies over a closing seam can't be sewn before it. */
function beforeClosing(
  { facts, say, afterAny }: Pick<Asking, 'facts' | 'say' | 'afterAny'>,
  first: string,
  closing: string,
): void {
  const seams = seamOf(closing, facts)
  if (afterAny(seams).has(first)) return
  for (const seam of seams) say(first, seam, 'closed')
}

/** Hardware before what covers its back and before the body is shut; after what it goes through. */
export function hardwareInTime({ facts, say, afterAny }: Asking): void {
  const { fittings, runs, works } = facts.derived
  const names = new Map((works[0]?.sheets ?? []).map((s) => [s.sheet.name, s.sheet.id]))
  for (const { fitting, coveredBy } of fittings) {
    const id = `set:${fitting.id}`
    if (fitting.before) for (const seam of seamOf(fitting.before, facts)) say(id, seam, 'hardware')
    if (fitting.after) say(`sew:${fitting.after}`, id, 'waits')
    for (const cover of coveredBy) {
      const sheet = names.get(cover)
      if (sheet === undefined) continue
      for (const { join } of runs.filter((r) => r.join.through.includes(sheet) && holds(r.join)))
        for (const seam of seamOf(join.id, facts)) say(id, seam, 'hardware')
    }
    if (!fitting.after)
      for (const run of facts.closing) beforeClosing({ facts, say, afterAny }, id, run.join.id)
  }
}

/** Sheets that lie over and under the middle of a loose piece. */
function roundIt(part: Part, { derived }: Facts): { over: readonly string[]; under: readonly string[] } {
  const sheets = derived.works[0]?.sheets ?? []
  const at = part.laid.map((own) => ({
    own,
    middle: pointMoved(boxCentre(pathBox(own.outline)), own.sheet.move),
  }))
  const lying = (which: (i: number, own: number) => boolean): string[] =>
    at.flatMap(({ own, middle }) =>
      sheets
        .filter(
          (s, i) =>
            which(i, sheets.indexOf(own)) &&
            s.sheet.type === 'panel' &&
            !part.laid.includes(s) &&
            s.part === 'whole',
        )
        .filter((s) => sheetThickness(s, middle) > 0)
        .map((s) => s.sheet.id),
    )
  return { over: lying((i, own) => i > own), under: lying((i, own) => i < own) }
}
/** Seams that hold what lies over a loose piece to what lies under it: it is laid in before. */
function seamsRound(part: Part, facts: Facts): readonly string[] {
  const { over, under } = roundIt(part, facts)
  return facts.derived.runs
    .filter(
      ({ join }) =>
        sheetsOf(join).some((s) => over.includes(s)) && sheetsOf(join).some((s) => under.includes(s)),
    )
    .map((r) => r.join.id)
}
/** Between what lies over and under it before they are sewn to each other; else once the body is shut and turned. */
function laidIn(part: Part, { facts, say }: Pick<Asking, 'facts' | 'say'>): void {
  const id = `put-in:${part.panel.id}`
  const round = seamsRound(part, facts)
  for (const seam of round.flatMap((r) => seamOf(r, facts))) say(id, seam, 'covered')
  if (round.length > 0) return
  for (const run of facts.closing) say(`sew:${run.join.id}`, id, 'out')
  say('turn-out', id, 'out')
}

/** What makes the thing: only then it is dyed or oiled as a whole, and tried. */
const MAKES: readonly Sort[] = [
  'back',
  'line',
  'coat',
  'hang',
  'set',
  'glue',
  'sew',
  'machine',
  'turnOut',
  'putIn',
  'finish',
  'coatLast',
  'form',
]

/** What is sewn onto a body comes before it is shut; what is sewn inside out before it is turned; the last things last. */
export function closedLast({ facts, tasks, say, afterAny }: Asking): void {
  const { runs } = facts.derived
  const closing = new Set(facts.closing.map((r) => r.join.id))
  const body = new Set(facts.closing.flatMap((r) => facts.panelsOf(r.join)))
  for (const run of runs.filter(
    (r) => !closing.has(r.join.id) && facts.panelsOf(r.join).some((id) => body.has(id)),
  ))
    for (const close of closing) beforeClosing({ facts, say, afterAny }, `sew:${run.join.id}`, close)
  for (const run of runs.filter((r) => r.join.hidden && r.join.closes))
    say(`sew:${run.join.id}`, 'turn-out', 'inside')
  if (facts.derived.master.turning)
    for (const run of runs.filter((r) => r.join.closes && !r.join.hidden))
      for (const seam of seamOf(run.join.id, facts)) say('turn-out', seam, 'out')
  for (const part of facts.parts.filter((p) => p.loose)) laidIn(part, { facts, say })
  for (const t of tasks) {
    if (t.sort === 'finish' && facts.derived.master.turning) say('turn-out', t.id, 'out')
    if (MAKES.includes(t.sort)) for (const last of ['dye-work', 'oil-work', 'fit']) say(t.id, last, 'last')
  }
  say('dye-work', 'oil-work', 'dye')
  for (const first of ['dye-work', 'oil-work']) say(first, 'fit', 'last')
  say('fit', 'note', 'last')
}
