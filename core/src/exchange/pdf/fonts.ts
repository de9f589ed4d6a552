import { firstOf, required } from '../../lists/index.js'
import fontkit from '@pdf-lib/fontkit'
import type { PDFDocument, PDFFont } from 'pdf-lib'
import { unpackedFont } from './woff.js'

/** Font files of one weight (TrueType or WOFF): the face everything is set in first, then those asked for letters it lacks. */
export interface FontFiles {
  readonly plain: readonly Uint8Array[]
  readonly bold: readonly Uint8Array[]
}

/** A stretch of words that one face has all letters of. */
export interface FontRun {
  readonly words: string
  readonly font: PDFFont
}

interface Face {
  readonly has: (codePoint: number) => boolean
  font: PDFFont | undefined
}

/** Shown for a letter that no face has; the cover says which letters these are. */
const MISSING = '?'
/** Nothing is drawn for these: they only say how the letter before them is to look. */
const SILENT = /\p{Cf}|\p{Mn}/u

interface Unpacked {
  readonly bytes: Uint8Array
  /** Its letters, by code point. */
  readonly letters: ReadonlySet<number>
}
const known = new WeakMap<Uint8Array, Unpacked>()
/** A font file made ready, once for each file. */
function unpacked(file: Uint8Array): Unpacked {
  const before = known.get(file)
  if (before) return before
  const bytes = unpackedFont(file)
  const ready = { bytes, letters: new Set(fontkit.create(bytes).characterSet) }
  known.set(file, ready)
  return ready
}

/** The faces of a document, each embedded when its first letter is written: letters that are used only. */
export class Fonts {
  private readonly faces: Readonly<Record<'plain' | 'bold', readonly Face[]>>
  /** Letters that no face has, in the order met. */
  readonly missing = new Set<string>()

  private constructor(plain: readonly Face[], bold: readonly Face[]) {
    this.faces = { plain, bold }
  }

  /** Embeds what the words to be written need. */
  static async of(document: PDFDocument, files: FontFiles, words: Iterable<string>): Promise<Fonts> {
    document.registerFontkit(fontkit)
    const letters = new Set(
      [...words].flatMap((w) => [...w]).map((l) => required(l.codePointAt(0), 'letter')),
    )
    const weight = async (all: readonly Uint8Array[], name: string): Promise<Face[]> => {
      const faces: Face[] = []
      const left = new Set(letters)
      for (const [i, file] of all.entries()) {
        if (i > 0 && left.size === 0) break
        const { bytes, letters } = unpacked(file)
        const has = (code: number): boolean => letters.has(code)
        const wanted = i === 0 || [...left].some(has)
        for (const code of [...left]) if (has(code)) left.delete(code)
        const font = wanted
          ? await document.embedFont(bytes, {
              subset: true,
              customName: `DRUML${'ABCDEFGH'[i]!}+${name}-${i}`,
            })
          : undefined
        faces.push({ has, font })
      }
      return faces
    }
    return new Fonts(await weight(files.plain, 'Drumlin-Regular'), await weight(files.bold, 'Drumlin-Bold'))
  }

  /** Words parted by the face that has their letters. */
  runs(words: string, bold: boolean): FontRun[] {
    const faces = this.faces[bold ? 'bold' : 'plain']
    const runs: { words: string; font: PDFFont }[] = []
    for (const letter of words) {
      if (SILENT.test(letter)) continue
      const face = faces.find((f) => f.font && f.has(required(letter.codePointAt(0), 'letter')))
      if (!face) this.missing.add(letter)
      const font = required((face ?? firstOf(faces)).font, 'font')
      const last = runs[runs.length - 1]
      const shown = face ? letter : MISSING
      if (last?.font === font) last.words += shown
      else runs.push({ words: shown, font })
    }
    return runs
  }

  /** How long the words are at a size. */
  width(words: string, size: number, bold: boolean): number {
    return this.runs(words, bold).reduce((sum, r) => sum + r.font.widthOfTextAtSize(r.words, size), 0)
  }

  /** Letters of these words that no face has. */
  lacking(words: Iterable<string>): string[] {
    const lacking = new Set<string>()
    for (const letter of [...words].join(''))
      if (
        !SILENT.test(letter) &&
        !this.faces.plain.some((f) => f.has(required(letter.codePointAt(0), 'letter')))
      )
        lacking.add(letter)
    return [...lacking]
  }
}
