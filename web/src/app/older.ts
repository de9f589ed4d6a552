/** When this page last loaded itself again for a part that was missing. */
const KEY = 'drumlin.older'
/** Not again within this time: what is missing is then missing for another reason, ms. */
const ONCE_IN = 60_000
/** A page that was loaded within this time says that it is a newer one, ms. */
const SAID_IN = 15_000

/** Whether this page was just loaded again because a newer Drumlin is served. */
export const wasRenewed = (): boolean => Date.now() - Number(sessionStorage.getItem(KEY) ?? 0) < SAID_IN

/**
 * A part of this page is not served any more when a newer Drumlin was built meanwhile: the page loads itself again, once, unless
 * something waits to be saved; then `tell` says so instead.
 */
export function reloadWhenOlder(waits: () => boolean, tell: () => void): void {
  addEventListener('vite:preloadError', (event) => {
    const last = Number(sessionStorage.getItem(KEY) ?? 0)
    const again = Date.now() - last < ONCE_IN
    if (again || waits()) return tell()
    event.preventDefault()
    sessionStorage.setItem(KEY, String(Date.now()))
    location.reload()
  })
}
