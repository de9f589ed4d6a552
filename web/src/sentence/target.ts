import { type InjectionKey, type Ref, computed, inject } from 'vue'
import type { Derived } from '@drumlin/core/derived'
import type { Design, Edit } from '@drumlin/core/design'
import { type Refusal, useJob } from '../job/job.js'

/** What the settings in a sentence belong to: the job on the bench, or a variant of it. */
export interface Target {
  readonly design: Readonly<Ref<Design | undefined>>
  readonly derived: Readonly<Ref<Pick<Derived, 'kind'> | undefined>>
  readonly edit: (change: Edit, gesture?: string) => Refusal | undefined
}

export const TARGET: InjectionKey<Target> = Symbol('target of the settings')

/** The job, unless a screen has put something else in its place. */
export function useTarget(): Target {
  const job = useJob()
  return inject(
    TARGET,
    () => ({ design: computed(() => job.design), derived: computed(() => job.derived), edit: job.edit }),
    true,
  )
}
