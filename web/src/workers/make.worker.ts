import { derive } from '@drumlin/core/derived'
import type { Design } from '@drumlin/core/design'
import type { Drawn } from '@drumlin/core/drawing'
import type { Units } from '@drumlin/core/measure'
import { type Hours, type Plan, type ToDo, plan } from '@drumlin/core/schedule'
import { type Steps, stepPicture, stepsOf } from '@drumlin/core/steps'
import { PICTURE } from '../make/pictureSize.js'
import { answering } from './answer.js'

/** The order of work of a design for so many, with a picture of each step; or when all is done. */
export type MakeAsked =
  | { readonly what: 'steps'; readonly design: Design; readonly count: number; readonly unit: Units }
  | { readonly what: 'plan'; readonly todos: readonly ToDo[]; readonly hours: Hours; readonly from: number }

export interface Worked {
  readonly steps: Steps
  readonly pictures: Readonly<Record<string, readonly Drawn[]>>
}

answering((question: MakeAsked): Worked | Plan => {
  if (question.what === 'plan') return plan(question.todos, question.hours, question.from)
  const derived = derive(question.design)
  const steps = stepsOf(derived, question.count, question.unit)
  return {
    steps,
    pictures: Object.fromEntries(
      steps.steps.map((s) => [s.id, stepPicture(s, derived, PICTURE.width, PICTURE.height)]),
    ),
  }
})
