import type { Derived } from '../../derived/index.js'
import { type Drawn, INKS, LAYERS, type LayerName, laidOut, pathData, wordInk } from '../../drawing/index.js'
import { type Units, oneLine, roundTo } from '../../measure/index.js'

/** The comment every SVG of ours begins with. */
const MARK = '<!-- Drumlin: 1 user unit is 1 mm -->'
/** Whether an SVG was written here. */
export const isOurSvg = (bytes: Uint8Array): boolean =>
  new TextDecoder().decode(bytes.subarray(0, 400)).includes('<!-- Drumlin')

const MARGIN = 10
const n = (value: number): string => String(roundTo(value, 3) + 0)
const escaped = (words: string): string =>
  oneLine(words)
    .replaceAll('&', '&amp;')
    .replaceAll('<', '&lt;')
    .replaceAll('>', '&gt;')
    .replaceAll('"', '&quot;')

function element(drawn: Drawn): string {
  if (drawn.type === 'stroke') {
    const dash = drawn.dash ? ` stroke-dasharray="${drawn.dash.map(n).join(' ')}"` : ''
    return `<path d="${pathData(drawn.path)}" stroke-width="${n(drawn.weight)}"${dash}/>`
  }
  if (drawn.type === 'dots') {
    const dots = drawn.points.map((p) => `M${n(p.x)} ${n(p.y)}h0`).join('')
    return `<path d="${dots}" stroke-width="${n(drawn.diameter)}" stroke-linecap="round"/>`
  }
  const turned =
    drawn.angle === 0
      ? ''
      : ` transform="rotate(${n((drawn.angle * 180) / Math.PI)} ${n(drawn.at.x)} ${n(drawn.at.y)})"`
  const bold = drawn.bold ? ' font-weight="700"' : ''
  return `<text x="${n(drawn.at.x)}" y="${n(drawn.at.y)}" font-size="${n(drawn.size)}" text-anchor="${drawn.anchor}"${bold}${turned}>${escaped(drawn.text)}</text>`
}

const layerGroup = (piece: string, layer: LayerName, all: readonly Drawn[]): string => {
  const own = all.filter((d) => d.layer === layer)
  if (own.length === 0) return ''
  const drawn = (words: boolean): string =>
    own
      .filter((d) => (d.type === 'text') === words)
      .map(element)
      .join('')
  const words = own.some((d) => d.type === 'text')
    ? `<g stroke="none" fill="${wordInk(layer)}">${drawn(true)}</g>`
    : ''
  return `<g id="${piece}.${layer}" class="${layer}" stroke="${INKS[layer]}"><title>${layer}</title>${drawn(false)}${words}</g>`
}

/** A group of its own, its layers as groups in it, from the lowest to the uppermost. */
const group = ({ id, name, drawn }: SvgGroup): string =>
  `<g id="${escaped(id)}"><title>${escaped(name)}</title>${LAYERS.map((layer) => layerGroup(escaped(id), layer, drawn)).join('')}</g>`

/** What is drawn together: a piece, or a hide with all that lies on it. */
export interface SvgGroup {
  readonly id: string
  readonly name: string
  readonly drawn: readonly Drawn[]
}

/**
 * All pieces at 1:1 as SVG: a user unit is a millimetre, a named group for each piece and in it for each layer, in the
 * inks of the line language; text as text, arcs as arcs.
 */
export function writeSvg(derived: Derived, unit: Units = 'mm'): string {
  const { pieces, width, height } = laidOut(derived.pieces, derived.design, unit, MARGIN)
  const groups = pieces.map(({ piece: { id, name }, drawn }) => ({ id, name, drawn }))
  return svgOf(derived.design.name, { width, height }, groups)
}

/** Groups of drawing at 1:1 as an SVG of that size, mm. */
export function svgOf(
  title: string,
  size: { readonly width: number; readonly height: number },
  groups: readonly SvgGroup[],
): string {
  const [w, h] = [n(size.width), n(size.height)]
  return [
    '<?xml version="1.0" encoding="UTF-8"?>',
    MARK,
    `<svg xmlns="http://www.w3.org/2000/svg" width="${w}mm" height="${h}mm" viewBox="0 0 ${w} ${h}" font-family="'Atkinson Hyperlegible Next', sans-serif" fill="none">`,
    `<title>${escaped(title)}</title>`,
    ...groups.map(group),
    '</svg>',
    '',
  ].join('\n')
}
