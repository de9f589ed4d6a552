import { threadFor } from '../workers/thread.js'
import type { Design } from '@drumlin/core/design'
import type { Units } from '@drumlin/core/measure'
import type { Hours, Plan, ToDo } from '@drumlin/core/schedule'
import { helper } from '../workers/ask.js'
import type { MakeAsked, Worked } from '../workers/make.worker.js'

const LIMIT = 60_000

const worker = helper(() => threadFor('make'))

/** The order of work with its pictures, worked out away from the screen's own thread. */
export const askSteps = (design: Design, count: number, unit: Units): Promise<Worked> =>
  worker.ask({ what: 'steps', design, count, unit } satisfies MakeAsked, { limit: LIMIT })

export const askPlan = (todos: readonly ToDo[], hours: Hours, from: number): Promise<Plan> =>
  worker.ask({ what: 'plan', todos, hours, from } satisfies MakeAsked, { limit: LIMIT })
