import { inflateSync } from 'node:zlib'
import type { PrintedPage } from '@drumlin/core/devices'
import { type Move, type Point, STAY, moveThen, pointMoved } from '@drumlin/core/geometry'
import { PDFArray, PDFDict, PDFDocument, PDFName, type PDFPage, PDFRawStream } from 'pdf-lib'

/** Millimetres in a point of paper. */
const MM = 25.4 / 72
/** A curve is drawn as so many straight pieces. */
const PIECES = 8

function bytesOf(stream: PDFRawStream): string {
  const packed = stream.dict.toString().includes('FlateDecode')
  return Buffer.from(packed ? inflateSync(stream.contents) : stream.contents).toString('latin1')
}

/** The operators of a page as they are written. */
export function contentOf(page: PDFPage): string {
  const contents = page.node.Contents()
  const parts =
    contents instanceof PDFArray ? contents.asArray().map((ref) => page.doc.context.lookup(ref)) : [contents]
  return parts.flatMap((part) => (part instanceof PDFRawStream ? [bytesOf(part)] : [])).join('\n')
}

/** Letters of a font by their number, from the table it brings for that. */
function lettersOf(font: PDFDict): ReadonlyMap<string, string> {
  const table = font.context.lookup(font.get(PDFName.of('ToUnicode')))
  if (!(table instanceof PDFRawStream)) return new Map()
  const found = new Map<string, string>()
  for (const [, from, to] of bytesOf(table).matchAll(/<([0-9A-Fa-f]+)>\s*<([0-9A-Fa-f]+)>/g))
    found.set(from!.toUpperCase(), Buffer.from(to!, 'hex').swap16().toString('utf16le'))
  return found
}

/** Fonts of a page by the names its content calls them. */
function fontsOf(page: PDFPage): ReadonlyMap<string, ReadonlyMap<string, string>> {
  const fonts = page.node.Resources()?.lookup(PDFName.of('Font'))
  if (!(fonts instanceof PDFDict)) return new Map()
  return new Map(
    fonts.entries().flatMap(([name, ref]) => {
      const font = page.doc.context.lookup(ref)
      return font instanceof PDFDict ? [[name.asString(), lettersOf(font)] as const] : []
    }),
  )
}

/** Six numbers of a page as they move what follows. */
export const moveOf = ([a, b, c, d, e, f]: readonly number[]): Move => ({
  a: a ?? 1,
  b: b ?? 0,
  c: c ?? 0,
  d: d ?? 1,
  e: e ?? 0,
  f: f ?? 0,
})

/** A page as its operators are walked: lines and words, where they come to lie in points from its lower left. */
class Walk {
  readonly lines: { weight: number; points: Point[] }[] = []
  readonly words: { at: Point; size: number; text: string }[] = []
  private matrix: Move = STAY
  private weight = 1
  private readonly kept: (readonly [Move, number])[] = []
  private open: Point[][] = []
  private font = ''
  private size = 1
  private text: Move = STAY

  constructor(private readonly fonts: ReadonlyMap<string, ReadonlyMap<string, string>>) {}

  private placed(x: number, y: number): Point {
    return pointMoved({ x, y }, this.matrix)
  }
  private drawn(): void {
    const scale = Math.hypot(this.matrix.a, this.matrix.b)
    for (const points of this.open)
      if (points.length > 1) this.lines.push({ weight: this.weight * scale, points })
    this.open = []
  }
  private onward(p: Point): void {
    this.open.at(-1)?.push(p)
  }
  private curve([x1, y1, x2, y2, x3, y3]: readonly number[]): void {
    const from = this.open.at(-1)?.at(-1)
    if (!from) return
    const [a, b, c] = [this.placed(x1!, y1!), this.placed(x2!, y2!), this.placed(x3!, y3!)]
    for (let i = 1; i <= PIECES; i += 1) {
      const t = i / PIECES
      const [p, q, r, s] = [(1 - t) ** 3, 3 * t * (1 - t) ** 2, 3 * t * t * (1 - t), t ** 3]
      this.onward({
        x: p * from.x + q * a.x + r * b.x + s * c.x,
        y: p * from.y + q * a.y + r * b.y + s * c.y,
      })
    }
  }
  private word(hex: string): void {
    const letters = this.fonts.get(this.font) ?? new Map<string, string>()
    const codes = hex.replace(/[<>]/g, '').toUpperCase().match(/.{4}/g) ?? []
    const text = codes.map((c) => letters.get(c) ?? '').join('')
    const { c, d, e, f } = moveThen(this.text, this.matrix)
    this.words.push({ at: { x: e, y: f }, size: this.size * Math.hypot(c, d), text })
  }

  /** One operator with what stands before it; those that change nothing of a line or a word are passed over. */
  act(operator: string, args: readonly string[]): void {
    const numbers = args.map(Number)
    switch (operator) {
      case 'q':
        return void this.kept.push([this.matrix, this.weight])
      case 'Q':
        return void ([this.matrix, this.weight] = this.kept.pop() ?? [STAY, 1])
      case 'cm':
        return void (this.matrix = moveThen(moveOf(numbers), this.matrix))
      case 'w':
        return void (this.weight = numbers[0] ?? 1)
      case 'm':
        return void this.open.push([this.placed(numbers[0]!, numbers[1]!)])
      case 'l':
        return this.onward(this.placed(numbers[0]!, numbers[1]!))
      case 'c':
        return this.curve(numbers)
      case 'h':
        return void (this.open.at(-1)?.[0] && this.onward(this.open.at(-1)![0]!))
      case 'S':
      case 'f':
        return this.drawn()
      case 'n':
        return void (this.open = [])
      case 'Tf':
        this.font = args[0] ?? ''
        return void (this.size = numbers[1] ?? 1)
      case 'BT':
        return void (this.text = STAY)
      case 'Tm':
        return void (this.text = moveOf(numbers))
      case 'Tj':
        return this.word(args[0] ?? '')
    }
  }
}

/** An operand or an operator of a page. */
const WORD = /<[0-9A-Fa-f\s]*>|\[[^\]]*\]|\/[^\s/<>[\]()]+|[^\s<>[\]()/]+/g
const OPERAND = /^[-+.\d</[]/

/** What is on a page, mm from its upper left, as far as it is lines and words. */
function pageRead(page: PDFPage): PrintedPage {
  const walk = new Walk(fontsOf(page))
  let args: string[] = []
  for (const [word] of contentOf(page).matchAll(WORD)) {
    if (OPERAND.test(word)) args.push(word)
    else {
      walk.act(word, args)
      args = []
    }
  }
  const { width, height } = page.getSize()
  const onPage = ({ x, y }: Point): Point => ({ x: x * MM, y: (height - y) * MM })
  return {
    width: width * MM,
    height: height * MM,
    lines: walk.lines.map(({ weight, points }) => ({ weight: weight * MM, points: points.map(onPage) })),
    words: walk.words.map(({ at, size, text }) => ({ at: onPage(at), size: size * MM, text })),
  }
}

/** Every page of a PDF; throws where it is none. */
export async function pagesOf(pdf: Uint8Array): Promise<PrintedPage[]> {
  return (await PDFDocument.load(pdf)).getPages().map(pageRead)
}
