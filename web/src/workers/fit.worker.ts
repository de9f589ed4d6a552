import { type Design, type FitAsked, fitToIron } from '@drumlin/core'
import { reasonOf } from '../app/reason.js'

/** A question to this worker. */
export interface FitQuestion {
  readonly design: Design
  readonly asked: FitAsked
}

self.onmessage = ({ data }: MessageEvent<FitQuestion>) => {
  try {
    const fitted = fitToIron(data.design, data.asked, (tried) => self.postMessage({ tried }))
    self.postMessage({ fitted })
  } catch (error) {
    self.postMessage({ error: reasonOf(error) })
  }
}
