import { required } from '../lists/index.js'
/**
 * Widths of the letters space to ~ of Atkinson Hyperlegible Next, thousandths of the type's height: the face that screen
 * and paper are set in. Read off the font's own tables.
 */
const PLAIN = [
  280, 286, 301, 651, 592, 919, 731, 160, 299, 299, 485, 606, 210, 362, 210, 387, 648, 407, 548, 576, 614,
  588, 598, 510, 615, 595, 210, 210, 553, 628, 553, 480, 778, 626, 613, 645, 669, 569, 552, 694, 694, 392,
  512, 631, 541, 824, 693, 714, 592, 724, 614, 592, 558, 690, 593, 856, 623, 575, 607, 317, 387, 344, 552,
  372, 243, 525, 566, 485, 564, 538, 314, 558, 550, 252, 245, 492, 262, 845, 550, 548, 566, 574, 349, 471,
  326, 540, 461, 684, 481, 449, 460, 344, 237, 344, 555,
]
const BOLD = [
  312, 303, 390, 765, 610, 969, 725, 210, 335, 335, 485, 595, 271, 373, 272, 440, 659, 440, 579, 600, 624,
  607, 626, 537, 624, 571, 272, 272, 569, 612, 569, 547, 781, 678, 643, 658, 688, 597, 566, 718, 701, 424,
  561, 663, 552, 858, 717, 746, 629, 756, 650, 610, 607, 686, 644, 886, 685, 650, 618, 340, 440, 344, 582,
  400, 288, 552, 596, 510, 596, 563, 365, 593, 571, 300, 259, 555, 318, 882, 571, 576, 596, 599, 376, 508,
  376, 567, 530, 740, 539, 521, 505, 381, 254, 381, 537,
]
const OTHERS: Readonly<Record<string, number>> = {
  '×': 536,
  '·': 294,
  '’': 269,
  '“': 479,
  '”': 479,
  '½': 852,
  '…': 780,
}
/** A letter of another script is taken to be as wide as the widest of theirs. */
const UNKNOWN = 1000
/** Letters with accents are hardly wider than an n or an N. */
const LATIN = 690

function letterWidth(letter: string, bold: boolean): number {
  const code = required(letter.codePointAt(0), 'letter')
  const known = (bold ? BOLD : PLAIN)[code - 32] ?? OTHERS[letter]
  return known ?? (code < 0x250 ? LATIN : UNKNOWN)
}

/** How long a line of type is, mm, at a height of `size` mm. */
export function textWidth(words: string, size: number, bold = false): number {
  let sum = 0
  for (const letter of words) sum += letterWidth(letter, bold)
  return (sum * size) / 1000
}

/** From the baseline to the top of the tallest letter and to the foot of the lowest, shares of the type's height. */
export const [ASCENT, DESCENT] = [0.74, 0.22] as const

/** Words broken into lines no longer than `width` mm at a height of `size` mm; a word longer than that is cut. */
export function wrapped(words: string, width: number, size: number, bold = false): string[] {
  const lines: string[] = []
  let line = ''
  for (const word of words.split(/\s+/).flatMap((w) => cutToWidth(w, width, size, bold))) {
    const longer = line === '' ? word : `${line} ${word}`
    if (line !== '' && textWidth(longer, size, bold) > width) {
      lines.push(line)
      line = word
    } else line = longer
  }
  return line === '' ? lines : [...lines, line]
}

function cutToWidth(word: string, width: number, size: number, bold: boolean): string[] {
  if (textWidth(word, size, bold) <= width) return [word]
  const parts: string[] = []
  let part = ''
  for (const letter of word) {
    if (part !== '' && textWidth(part + letter, size, bold) > width) {
      parts.push(part)
      part = ''
    }
    part += letter
  }
  return [...parts, part]
}
