import { sortOf } from '@drumlin/core/added'
import { startingDesign } from '@drumlin/core/check'
import { derive } from '@drumlin/core/derived'
import { type Design, putOn, setField } from '@drumlin/core/design'
import { kindOf, startingLeathers } from '@drumlin/core/kinds'
import { STARTER_STORES, leatherAt } from '../../src/stores/index.js'
import { done } from './designs.js'
import type { Work } from './work.js'

/** The work from an empty job of its kind: its settings, its leathers, and what is put on it. */
export function designOf({ id, name, kind, params, thick = {}, put = [], set = {} }: Work): Design {
  const leathers = Object.fromEntries(
    Object.entries(startingLeathers(kindOf(kind), STARTER_STORES.leathers)).map(([role, leather]) => [
      role,
      thick[role] === undefined ? leather : leatherAt(leather, thick[role]),
    ]),
  )
  const [iron, awl, thread, machine] = [
    STARTER_STORES.irons[0]!,
    STARTER_STORES.awls[0]!,
    STARTER_STORES.threads[0]!,
    STARTER_STORES.machines[0]!,
  ]
  const start = startingDesign(
    { id: id.toLowerCase(), name, kind, leathers, iron, awl, thread, machine, ...(params ? { params } : {}) },
    STARTER_STORES,
  )
  const chosen = Object.entries(set).reduce(
    (design, [path, value]) => done(design, setField('test', path.split('.'), value)),
    start,
  )
  return put.reduce((design, [sort, on, edge, values = {}], i) => {
    const panel = derive(design).panels.find((p) => p.id === on)
    if (!panel)
      throw new Error(
        `${id}: no ${on} among ${derive(design)
          .panels.map((p) => p.id)
          .join()}`,
      )
    const there = done(design, putOn(design, sortOf(sort), panel, STARTER_STORES, { edge }))
    return Object.entries(values).reduce(
      (so, [path, value]) =>
        done(so, setField('test', ['added', `added-${i + 1}`, ...path.split('.')], value)),
      there,
    )
  }, chosen)
}
