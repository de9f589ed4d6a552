import type { Design } from '@drumlin/core/design'
import { type Taken, reproduce } from '@drumlin/core/fit'
import type { Iron } from '@drumlin/core/stores'
import { answering } from './answer.js'

/** A thing that was measured, the design it is measured by, and the irons there are. */
export interface MeasuredQuestion {
  readonly design: Design
  readonly taken: readonly Taken[]
  readonly irons: readonly Iron[]
}

answering(({ design, taken, irons }: MeasuredQuestion) => reproduce(design, taken, irons))
