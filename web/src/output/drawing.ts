/** What the screen's styles say of a drawing, that a file has to say itself. */
const SAID = [
  'fill',
  'fill-opacity',
  'stroke',
  'stroke-width',
  'stroke-opacity',
  'stroke-dasharray',
  'stroke-linecap',
  'stroke-linejoin',
  'vector-effect',
  'opacity',
  'paint-order',
  'font-family',
  'font-size',
  'font-weight',
  'text-anchor',
] as const

const NAMESPACE = 'http://www.w3.org/2000/svg'

/** Ground of what is taken out: a drawing in the lamp's colours would vanish on white. */
const groundOf = (drawing: SVGSVGElement): string => {
  for (let at: Element | null = drawing; at; at = at.parentElement) {
    const { backgroundColor } = getComputedStyle(at)
    if (backgroundColor !== 'transparent' && !/, 0\)$/.test(backgroundColor)) return backgroundColor
  }
  return '#ffffff'
}

/** Every element with its styles written into it; what isn't shown is left out. */
function styled(from: Element, to: Element): void {
  const style = getComputedStyle(from)
  to.removeAttribute('class')
  for (const name of [...to.getAttributeNames()]) if (name.startsWith('data-')) to.removeAttribute(name)
  for (const name of SAID) to.setAttribute(name, style.getPropertyValue(name))
  const [had, have] = [[...from.children], [...to.children]]
  had.forEach((child, i) => {
    const copy = have[i]
    if (!copy) return
    if (getComputedStyle(child).display === 'none') copy.remove()
    else styled(child, copy)
  })
}

/** A part of the plane of a drawing, in its own units. */
export interface DrawingBox {
  readonly x: number
  readonly y: number
  readonly width: number
  readonly height: number
}

/** How large it comes out, px: as it stands on the screen, more where more of it is taken than shows there. */
function sizeOf(drawing: SVGSVGElement, taken?: DrawingBox): { width: number; height: number } {
  const { width, height } = drawing.getBoundingClientRect()
  const shown = drawing.viewBox.baseVal
  if (!taken || shown.width <= 0) return { width, height }
  return { width: (width * taken.width) / shown.width, height: (height * taken.height) / shown.height }
}

/** A drawing of a screen as an SVG by itself, as large as it stands there, px; `taken` where more of it is to be seen than there. */
export function drawingSvg(drawing: SVGSVGElement, title: string, taken?: DrawingBox): string {
  const copy = drawing.cloneNode(true) as SVGSVGElement
  styled(drawing, copy)
  const { width, height } = sizeOf(drawing, taken)
  copy.setAttribute('xmlns', NAMESPACE)
  copy.setAttribute('width', String(Math.round(width)))
  copy.setAttribute('height', String(Math.round(height)))
  for (const name of ['tabindex', 'role', 'aria-label', 'aria-hidden', 'style', 'id'])
    copy.removeAttribute(name)
  const name = document.createElementNS(NAMESPACE, 'title')
  name.textContent = title
  const ground = document.createElementNS(NAMESPACE, 'rect')
  const box = taken ?? drawing.viewBox.baseVal
  if (taken) copy.setAttribute('viewBox', `${taken.x} ${taken.y} ${taken.width} ${taken.height}`)
  const [x, y, w, h] = box.width > 0 ? [box.x, box.y, box.width, box.height] : [0, 0, width, height]
  // Where the drawing is narrower than its frame the ground fills that too.
  const wide = { x: x - w, y: y - h, width: 3 * w, height: 3 * h, fill: groundOf(drawing) }
  for (const [key, value] of Object.entries(wide)) ground.setAttribute(key, String(value))
  copy.prepend(name, ground)
  return `<?xml version="1.0" encoding="UTF-8"?>\n${new XMLSerializer().serializeToString(copy)}\n`
}

/** Twice as many dots as the screen shows: it stays sharp on paper. */
const SHARP = 2

/** The same as a PNG. Rejects where the browser can't draw it. */
export async function drawingPng(drawing: SVGSVGElement, title: string, taken?: DrawingBox): Promise<Blob> {
  const { width, height } = sizeOf(drawing, taken)
  const url = URL.createObjectURL(new Blob([drawingSvg(drawing, title, taken)], { type: 'image/svg+xml' }))
  try {
    const image = new Image()
    image.src = url
    await image.decode()
    const canvas = document.createElement('canvas')
    canvas.width = Math.round(width * SHARP)
    canvas.height = Math.round(height * SHARP)
    canvas.getContext('2d')!.drawImage(image, 0, 0, canvas.width, canvas.height)
    return await new Promise((resolve, reject) => {
      canvas.toBlob(
        (blob) => (blob ? resolve(blob) : reject(new Error('the browser gave no picture'))),
        'image/png',
      )
    })
  } finally {
    URL.revokeObjectURL(url)
  }
}
