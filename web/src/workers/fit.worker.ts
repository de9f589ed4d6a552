import type { Design } from '@drumlin/core/design'
import { type FitAsked, fitToIron } from '@drumlin/core/fit'
import { answering } from './answer.js'

/** A question to this worker; how many layouts it has tried is told on the way. */
export interface FitQuestion {
  readonly design: Design
  readonly asked: FitAsked
}

answering(({ design, asked }: FitQuestion, tell) => fitToIron(design, asked, tell))
