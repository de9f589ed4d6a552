import { threadFor } from '../workers/thread.js'
import type { Reproduced } from '@drumlin/core/fit'
import type { MeasuredQuestion } from '../workers/measured.worker.js'
import { useSeeking } from '../workers/seeking.js'

/** How long settings are sought, ms; it ends by itself far sooner. */
const LIMIT = 60_000

/** Seeks the settings of a thing that was measured, away from the screen's own thread; can be stopped. */
export const useMeasuring = () => useSeeking<MeasuredQuestion, Reproduced>(() => threadFor('measured'), LIMIT)
