/** How long the browser is given to open its own dialogue before the page is taken away again, ms. */
const KEPT = 10 * 60_000

/** Hands a PDF to the browser’s own print dialogue. */
export async function printNow(pdf: Blob): Promise<void> {
  const url = URL.createObjectURL(pdf)
  const frame = document.createElement('iframe')
  frame.style.cssText = 'position:fixed;width:0;height:0;border:0;visibility:hidden'
  frame.setAttribute('aria-hidden', 'true')
  frame.src = url
  await new Promise<void>((resolve) => {
    frame.onload = () => resolve()
    document.body.append(frame)
  })
  frame.contentWindow?.focus()
  frame.contentWindow?.print()
  setTimeout(() => {
    frame.remove()
    URL.revokeObjectURL(url)
  }, KEPT)
}
