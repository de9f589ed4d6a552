import { type Derived, derive } from '@drumlin/core/derived'
import { applyEdit, wishRuns } from '@drumlin/core/design'
import { boxCentre, boxUnion, point } from '@drumlin/core/geometry'
import { type LayerSpan, transect } from '@drumlin/core/layup'
import { at, inLines, n, pathSaid, said } from './goldenSaid.js'

/** Stretches of a layer at one height as one: where it begins, its lower and its upper face. */
const heights = (spans: readonly LayerSpan[]): string[] =>
  spans.flatMap(({ start, end, bottom, top }, i) => {
    const said = `${bottom.map(n).join('/')} ${top.map(n).join('/')}`
    const before = spans[i - 1]
    const goes =
      before &&
      n(before.end) === n(start) &&
      `${before.bottom.map(n).join('/')} ${before.top.map(n).join('/')}` === said
    const last = spans[i + 1] === undefined ? `…${n(end)}` : ''
    return goes ? (last ? [last] : []) : [`${n(start)} ${said}${last}`]
  })

/** Across, down and from corner to corner of each state: what each layer does, the totals at the steps, the bends. */
export const transectLines = (of: Derived): string[] =>
  of.works.flatMap((work) => {
    if (work.sheets.length === 0) return []
    const box = boxUnion(work.sheets.map((s) => s.box))
    const middle = boxCentre(box)
    const cuts = [
      [point(box.left - 3, middle.y), point(box.right + 3, middle.y)],
      [point(middle.x + 0.3, box.top - 3), point(middle.x + 0.3, box.bottom + 3)],
      [point(box.right + 3, box.top - 2), point(box.left - 2, box.bottom + 3)],
    ] as const
    return cuts.flatMap(([from, to]) => {
      const { layers, steps, thickest, bends } = transect(work, from, to, true)
      return [
        `transect of ${work.layup.id} ${at(from)} to ${at(to)}: at most ${n(thickest)}`,
        ...layers.map((l) => `  ${l.sheetId}: ${heights(l.spans).join('; ')}`),
        ...inLines(
          steps.map((s) => `${n(s.start)}:${s.total.map(n).join('/')}`),
          16,
        ),
        ...bends.map((b) => `  bend ${said(b)}`),
      ]
    })
  })

/** A card template of every run that can have one. */
export function templateLines(of: Derived): string[] {
  const ids = of.runs.map((r) => r.join.id)
  const wished = applyEdit(of.design, wishRuns('templates of all', ids, { template: true }))
  if (!wished.ok) return [`no templates: ${wished.why}`]
  return derive(wished.design)
    .pieces.filter((p) => p.id.startsWith('template-'))
    .flatMap((p) => [
      `${p.id}: ${p.name}, ${p.holes.length} holes, named at ${said(p.panel.labelAt)}`,
      ...pathSaid(p.cut),
    ])
}
