import type { Derived } from '@drumlin/core/derived'
import { sheetThickness } from '@drumlin/core/layup'
import { pathNearest, pointMoved } from '@drumlin/core/geometry'
import type { Step } from '@drumlin/core/steps'

/** Holes under a sheet by fewer than these are a crossing. */
const FEW = 2
const SINGLE = ['skive', 'groove', 'punch', 'holes', 'form']

/**
 * Puts the work together step by step, knowing nothing of reasons: pieces that a run goes through are one from then on. What
 * was sewn under something that was already part of it, or done to a piece that should have lain single, is a fault.
 */
export function faultsOfAssembly(derived: Derived, steps: readonly Step[]): string[] {
  const sheets = (derived.works[0]?.sheets ?? []).filter(
    (s) => s.part === 'whole' && s.sheet.type === 'panel',
  )
  const parent = new Map(sheets.map((s) => [s.sheet.id, s.sheet.id]))
  const root = (id: string): string => (parent.get(id) === id ? id : root(parent.get(id)!))
  const panelOf = new Map(sheets.map((s) => [s.sheet.id, s.sheet.type === 'panel' ? s.sheet.panelId : '']))
  const held = new Set<string>()
  const turned = new Set<string>()
  const sewn = new Set<string>()
  const faults: string[] = []
  for (const { task, touches, sort } of steps.flatMap((s) => s.rows.map((r) => ({ ...r, sort: s.sort })))) {
    // A pouch is formed as one: once it is sewn, and then at once.
    const pouch = derived.runs.find((r) => r.join.formed && task === `form:${r.join.id}`)
    if (pouch && !sewn.has(pouch.join.id)) faults.push(`${task}: not sewn yet`)
    if (SINGLE.includes(sort) && !pouch)
      for (const t of touches) if (held.has(t.panelId)) faults.push(`${task}: ${t.panelId} is held already`)
    if (sort === 'turn') turned.add(task)
    const run = derived.runs.find((r) => task === `sew:${r.join.id}`)
    if (!run) continue
    sewn.add(run.join.id)
    // What is folded out of the way covers nothing.
    if (run.join.away) continue
    const own = run.join.through.filter((id) => parent.has(id))
    const joined = new Set(own.map(root))
    for (const s of sheets) {
      if (own.includes(s.sheet.id) || !joined.has(root(s.sheet.id))) continue
      const covered = run.holes.filter((h) => sheetThickness(s, h.at) > 0).length
      if (covered > FEW) faults.push(`${task}: ${covered} holes under the ${s.sheet.name}`)
    }
    for (const s of sheets.filter((x) => own.includes(x.sheet.id)))
      for (const { finished, turn, edges } of s.work?.turned ?? []) {
        const through = run.holes.some(
          (h) => pathNearest(finished, pointMoved(h.at, s.toSheet)).distance < turn.fate.width,
        )
        if (through && !turned.has(`turn:${s.work!.panel.id}:${edges[0]!.id}`))
          faults.push(`${task}: the ${edges[0]!.name} is not turned yet`)
      }
    for (const other of own.slice(1)) parent.set(root(other), root(own[0]!))
    const panels = new Set(own.map((id) => panelOf.get(id)!))
    if (panels.size > 1) for (const p of panels) held.add(p)
  }
  return faults
}
