import { type ShallowRef, shallowRef } from 'vue'

/** How the browser's storage stands. Everything but `ready` is said on a page of its own. */
export type StorageState =
  | { readonly is: 'opening' | 'ready' }
  /** Opening was asked and nothing has answered for a while. */
  | { readonly is: 'silent' }
  /** Another tab holds an older form of it open. */
  | { readonly is: 'blocked' }
  /** What is kept was written by a newer Drumlin than this page. */
  | { readonly is: 'newer' }
  /** A newer Drumlin was opened in another tab, and this one gave way. */
  | { readonly is: 'outdated' }
  /** The browser closed it, or does not give any. */
  | { readonly is: 'closed' | 'unavailable'; readonly why: string }

/** What this page knows of its storage, for everybody who shows or uses it. */
export const storageState: ShallowRef<StorageState> = shallowRef({ is: 'opening' })

/** An answer that storage owes and has not given in time. */
export class NoAnswer extends Error {
  override readonly name = 'NoAnswer'
  constructor(seconds: number) {
    super(`the browser’s storage has not answered for ${seconds} seconds`)
  }
}

/** How long an answer of the storage is waited for, ms; a full disk that is being cleared can take seconds. */
export const PATIENCE = 10_000

/** The answer, or a `NoAnswer` where it does not come within `ms`. */
export function within<T>(ms: number, answer: Promise<T>): Promise<T> {
  let timer: ReturnType<typeof setTimeout> | undefined
  const late = new Promise<never>((_, reject) => {
    timer = setTimeout(() => reject(new NoAnswer(Math.round(ms / 1000))), ms)
  })
  return Promise.race([answer, late]).finally(() => clearTimeout(timer))
}
