import { reasonOf } from '../app/reason.js'

/**
 * Tells when a worker can't answer any more: its program could not be fetched or broke off, or what it sent can't be read.
 * Without this whoever waits for it waits for ever.
 */
export function whenDead(worker: Worker, tell: (why: Error) => void): void {
  worker.onerror = (event) => {
    event.preventDefault()
    tell(new Error(event.message ? reasonOf(event) : 'its program could not be started'))
  }
  worker.onmessageerror = () => tell(new Error('what it answered could not be read'))
}
