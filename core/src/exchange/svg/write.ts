import type { Derived } from '../../derive.js'
import {
  type Drawn,
  LAYERS,
  type LayerName,
  drawnMoved,
  pathData,
  pieceDrawing,
  pieceOutline,
} from '../../drawing/index.js'
import type { LengthUnit } from '../../measure/index.js'
import { roundTo } from '../../measure/index.js'
import { arrangeInRows } from '../../reckon/index.js'

const MARGIN = 10
const GAP = 14
const WIDE = 420
const n = (value: number): string => String(roundTo(value, 3) + 0)
const escaped = (words: string): string =>
  words.replaceAll('&', '&amp;').replaceAll('<', '&lt;').replaceAll('>', '&gt;').replaceAll('"', '&quot;')

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

const layerGroup = (layer: LayerName, all: readonly Drawn[]): string => {
  const own = all.filter((d) => d.layer === layer)
  const paint = layer === 'label' ? ' fill="#000" stroke="none"' : ''
  return `<g id="${layer}"${paint}><title>${layer}</title>${own.map(element).join('')}</g>`
}

/** All pieces at 1:1 as SVG: a user unit is a millimetre, one named group a layer, text as text, arcs as arcs. */
export function writeSvg(derived: Derived, unit: LengthUnit = 'mm'): string {
  const { placed, width, height } = arrangeInRows(derived.pieces, pieceOutline, WIDE, GAP)
  const drawn = placed.flatMap(({ item, move }) => {
    const aside = { ...move, e: move.e + MARGIN, f: move.f + MARGIN }
    return pieceDrawing(item, derived.design, unit).map((d) => drawnMoved(d, aside))
  })
  const [w, h] = [n(width + 2 * MARGIN), n(height + 2 * MARGIN)]
  return [
    '<?xml version="1.0" encoding="UTF-8"?>',
    `<svg xmlns="http://www.w3.org/2000/svg" width="${w}mm" height="${h}mm" viewBox="0 0 ${w} ${h}" font-family="'Atkinson Hyperlegible Next', sans-serif">`,
    `<title>${escaped(derived.design.name)}</title>`,
    `<g fill="none" stroke="#000">${LAYERS.map((layer) => layerGroup(layer, drawn)).join('\n')}</g>`,
    '<style>text{fill:#000;stroke:none}</style>',
    '</svg>',
    '',
  ].join('\n')
}
