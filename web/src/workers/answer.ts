import { reasonOf } from '../app/reason.js'

/** Lets this worker answer questions; what goes wrong is told, not swallowed. */
export function answering<Q, A>(
  answer: (question: Q, tell: (note: unknown) => void) => A | Promise<A>,
): void {
  self.onmessage = async ({ data }: MessageEvent<{ ask: number; question: Q }>) => {
    const { ask, question } = data
    try {
      self.postMessage({ ask, answer: await answer(question, (note) => self.postMessage({ ask, note })) })
    } catch (error) {
      self.postMessage({ ask, error: reasonOf(error) })
    }
  }
}
