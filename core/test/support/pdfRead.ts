import { inflateSync } from 'node:zlib'
import { PDFArray, PDFDocument, type PDFPage, type PDFRawStream } from 'pdf-lib'

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

type Matrix = readonly [number, number, number, number, number, number]
const IDENTITY: Matrix = [1, 0, 0, 1, 0, 0]
const times = (m: Matrix, n: Matrix): Matrix => [
  m[0] * n[0] + m[1] * n[2],
  m[0] * n[1] + m[1] * n[3],
  m[2] * n[0] + m[3] * n[2],
  m[2] * n[1] + m[3] * n[3],
  m[4] * n[0] + m[5] * n[2] + n[4],
  m[4] * n[1] + m[5] * n[3] + n[5],
]

function contentOf(page: PDFPage): string {
  const contents = page.node.Contents()
  const parts =
    contents instanceof PDFArray ? contents.asArray().map((ref) => page.doc.context.lookup(ref)) : [contents]
  return parts
    .map((part) => {
      const stream = part as PDFRawStream
      const bytes = stream.contents
      const packed = stream.dict.toString().includes('FlateDecode')
      return Buffer.from(packed ? inflateSync(bytes) : bytes).toString('latin1')
    })
    .join('\n')
}

/** Lines of a page, walked operator by operator; knows nothing of how they were written. */
function linesOf(page: PDFPage): ReadLine[] {
  const height = page.getHeight()
  const found: ReadLine[] = []
  let [matrix, weight]: [Matrix, number] = [IDENTITY, 1]
  const kept: [Matrix, number][] = []
  let asked: Seen[] = []
  const args: string[] = []
  const numbers = (n: number): number[] => args.slice(-n).map(Number)
  const act: Readonly<Record<string, () => void>> = {
    q: () => void kept.push([matrix, weight]),
    Q: () => void ([matrix, weight] = kept.pop() ?? [IDENTITY, 1]),
    cm: () => void (matrix = times(numbers(6) as unknown as Matrix, matrix)),
    w: () => void (weight = numbers(1)[0]!),
    m: () => void (asked = [{ x: numbers(2)[0]!, y: numbers(2)[1]! }]),
    l: () => void asked.push({ x: numbers(2)[0]!, y: numbers(2)[1]! }),
    c: () => void asked.push({ x: numbers(2)[0]!, y: numbers(2)[1]! }),
    S: () => {
      const onPage = asked.map(({ x, y }) => ({
        x: (matrix[0] * x + matrix[2] * y + matrix[4]) * MM,
        y: (height - (matrix[1] * x + matrix[3] * y + matrix[5])) * MM,
      }))
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
