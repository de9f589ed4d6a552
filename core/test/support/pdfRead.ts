import { PDFDocument, type PDFPage } from 'pdf-lib'
import { type Move, STAY, moveThen, pointMoved } from '@drumlin/core/geometry'
import { contentOf, moveOf } from '../../../server/src/devices/page.js'

/** Millimetres in a point of paper. */
const MM = 25.4 / 72

interface Seen {
  readonly x: number
  readonly y: number
}
/** A line of a page as another program reads it: where it was asked for, and where on the page it comes to lie, mm from its upper left. */
export interface ReadLine {
  readonly weight: number
  readonly asked: readonly Seen[]
  readonly onPage: readonly Seen[]
}

/** Lines of a page, walked operator by operator; knows nothing of how they were written. */
function linesOf(page: PDFPage): ReadLine[] {
  const height = page.getHeight()
  const found: ReadLine[] = []
  let [matrix, weight]: [Move, number] = [STAY, 1]
  const kept: [Move, number][] = []
  let asked: Seen[] = []
  const args: string[] = []
  const numbers = (n: number): number[] => args.slice(-n).map(Number)
  const act: Readonly<Record<string, () => void>> = {
    q: () => void kept.push([matrix, weight]),
    Q: () => void ([matrix, weight] = kept.pop() ?? [STAY, 1]),
    cm: () => void (matrix = moveThen(moveOf(numbers(6)), matrix)),
    w: () => void (weight = numbers(1)[0]!),
    m: () => void (asked = [{ x: numbers(2)[0]!, y: numbers(2)[1]! }]),
    l: () => void asked.push({ x: numbers(2)[0]!, y: numbers(2)[1]! }),
    c: () => void asked.push({ x: numbers(2)[0]!, y: numbers(2)[1]! }),
    S: () => {
      const onPage = asked.map((p) => {
        const { x, y } = pointMoved(p, matrix)
        return { x: x * MM, y: (height - y) * MM }
      })
      found.push({ weight, asked, onPage })
    },
  }
  for (const word of contentOf(page).split(/\s+/)) {
    if (act[word]) {
      act[word]()
      args.length = 0
    } else args.push(word)
  }
  return found
}

/** All lines of every page of a PDF. */
export async function pdfLines(
  bytes: Uint8Array,
): Promise<{ width: number; height: number; lines: ReadLine[] }[]> {
  const document = await PDFDocument.load(bytes)
  return document
    .getPages()
    .map((page) => ({ width: page.getWidth() * MM, height: page.getHeight() * MM, lines: linesOf(page) }))
}
