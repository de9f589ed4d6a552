import { threadFor } from '../workers/thread.js'
import type { Design } from '@drumlin/core/design'
import type { FitAsked, Fitted } from '@drumlin/core/fit'
import type { FitQuestion } from '../workers/fit.worker.js'
import { useSeeking } from '../workers/seeking.js'

/** How long layouts are tried, ms; the search ends by itself far sooner. */
const LIMIT = 120_000

/** Fits a design to its iron away from the screen's own thread; can be stopped. */
export function useFitting() {
  const { found, told, failed, seek, stop, forget } = useSeeking<FitQuestion, Fitted>(
    () => threadFor('fit'),
    LIMIT,
  )
  return {
    fitted: found,
    /** Layouts tried so far; undefined while nothing is sought. */
    tried: told,
    failed,
    seek: (design: Design, asked: FitAsked): Promise<void> => seek({ design, asked }),
    stop,
    forget,
  }
}
