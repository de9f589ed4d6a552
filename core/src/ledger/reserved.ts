import type { Used, Wanted } from '../stock/index.js'
import type { Entry } from './entry.js'

/** What makings took from the shelf, step by step as they were done. */
export const usedBy = (entries: readonly Entry[]): Used[] =>
  entries.flatMap((e) =>
    e.steps.flatMap(({ done, at, takes }) =>
      done && at !== undefined ? takes.map((t) => ({ ...t, at, making: e.id })) : [],
    ),
  )

/** What is still to be taken by what is being made: from the evening it is planned for, else from the day it is due. */
export const wantedBy = (
  entries: readonly Entry[],
  dayOf: (making: string, step: string) => string | undefined,
): Wanted[] =>
  entries
    .filter((e) => e.finished === undefined)
    .flatMap((e) =>
      e.steps
        .filter((s) => !s.done)
        .flatMap((s) => s.takes.map((t) => ({ ...t, making: e.id, day: dayOf(e.id, s.id) ?? e.due }))),
    )
