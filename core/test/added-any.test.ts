import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { findingsOf, sayFinding } from '@drumlin/core/check'
import { type Derived, derive } from '@drumlin/core/derived'
import { type Design, applyEdit, takeOff } from '@drumlin/core/design'
import { stepsOf } from '@drumlin/core/steps'
import { sewingOrder } from '../src/stitch/index.js'
import { anyDesign, madeKinds } from './support/all.js'
import { faultsOfAssembly } from './support/assembly.js'
import { many } from './support/long.js'
import { vanished } from './support/vanished.js'

/** With DRUMLIN_LONG=1 sixty of each kind. */
const RUNS = many(3, 60)

/** What falls short and what is wanted, told as one figure: there is nothing to see in it. */
const SAME_TWICE =
  /\b(\d[\d./ ]* (?:mm|in|oz))\b[^.;]*(?:; wanted at least|; the slots want|; the needle wants|; the [^;]* reaches) \1[ .;]/

/** What is reckoned, or nothing where it can’t be made with nothing put on it either. */
function made(design: Design): Derived | undefined {
  try {
    const bare = derive({ ...design, added: {} })
    void bare.pieces
  } catch {
    return undefined
  }
  return derive(design)
}

describe('whatever is put on whatever piece', () => {
  test.each(madeKinds)(
    'of a %s: it is cut, told, sewn in some order and put together without a fault',
    (kind) => {
      fc.assert(
        fc.property(anyDesign(kind, 3), (design) => {
          const derived = made(design)
          if (!derived) return
          expect(derived.pieces.every((p) => p.cut.segments.length > 0)).toBe(true)
          expect(vanished(derived)).toEqual([])
          for (const f of findingsOf(derived))
            for (const unit of ['mm', 'in'] as const) {
              const { what } = sayFinding(f, unit)
              expect(what).not.toMatch(/NaN|undefined|Infinity/)
              expect(what).not.toMatch(SAME_TWICE)
            }
          const { steps, circles } = stepsOf(derived)
          if (sewingOrder(derived.runs, derived.works).stuck.length === 0) expect(circles).toEqual([])
          if (circles.length === 0) expect(faultsOfAssembly(derived, steps)).toEqual([])
        }),
        { numRuns: RUNS },
      )
    },
  )

  test('all of it taken away again, the design is what it was', () =>
    fc.assert(
      fc.property(
        fc.constantFrom(...madeKinds).chain((kind) => anyDesign(kind, 3)),
        (design) => {
          const bare = Object.keys(design.added).reduce((left, id) => {
            if (!left.added[id]) return left
            const edited = applyEdit(left, takeOff(left, id))
            if (!edited.ok) throw new Error(edited.why)
            const again = applyEdit(edited.design, edited.inverse)
            expect(again.ok && again.design).toEqual(left)
            return edited.design
          }, design)
          expect(bare.added).toEqual({})
          expect(Object.keys(bare.leathers).some((role) => role.startsWith('added-'))).toBe(false)
          expect(Object.keys(bare.hardware).some((role) => role.startsWith('added-'))).toBe(false)
        },
      ),
      { numRuns: 20 },
    ))
})
