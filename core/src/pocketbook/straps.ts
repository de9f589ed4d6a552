import { beltGirth, handleArc, keeperLength, pipedCover, rolledCover, turnBack } from '../formulas/index.js'
import { type Entry, answer, entry, mm, neutral, thin } from './entry.js'
import { bent, board, handle, rounds, strip } from './sketches.js'

const thickness = { ...thin('thickness', 1.6), least: 0.1 }

/** Straps and handles: docs/formulas.md §10. */
export const STRAPS: readonly Entry[] = [
  entry(
    'handle',
    '§10',
    'Handle',
    'bent as an arc over its two ends',
    {
      chord: { ...mm('between the ends', 110), least: 1 },
      rise: { ...mm('inner rise', 55), least: 1 },
      thickness: { ...thickness, value: 4 },
      k: neutral,
      end: mm('attachment at each end', 25),
    },
    [
      answer('without attachments', 'the arc over {chord} and {rise}, at {k} of {thickness}', (v) =>
        handleArc(v.chord!, v.rise!, v.thickness!, v.k!),
      ),
      answer('cut', 'that + 2 × {end}', (v) => handleArc(v.chord!, v.rise!, v.thickness!, v.k!) + 2 * v.end!),
    ],
    (v) => handle(v.chord!, v.rise!),
  ),
  entry(
    'keeper',
    '§10',
    'Keeper',
    'a loop round the straps it holds',
    {
      width: mm('strap width', 25),
      straps: thin('all straps together', 7),
      easeWidth: thin('ease in width', 0.5),
      easeThick: thin('ease in thickness', 0.5),
      thickness: { ...thickness, value: 1.8 },
      overlap: mm('overlap', 0),
      k: neutral,
    },
    [
      answer(
        'cut',
        '2 × ({width} + {easeWidth}) + 2 × ({straps} + {easeThick}) + 2 × π × {k} × {thickness} + {overlap}',
        (v) => keeperLength(v.width!, v.straps!, v.easeWidth!, v.easeThick!, v.thickness!, v.k!) + v.overlap!,
      ),
    ],
    (v, [l]) => board(l!, 12, `${v.width!.toFixed(0)} strap`),
  ),
  entry(
    'turn-back',
    '§10',
    'Turn-back round a bar',
    'from the middle of the bar to the end of the lap',
    { bar: thin('bar', 6), thickness: { ...thickness, value: 2.5 }, lap: mm('lap', 35), k: neutral },
    [
      answer('add', 'π × ({bar} / 2 + {k} × {thickness}) + {lap}', (v) =>
        turnBack(v.bar!, v.thickness!, v.k!, v.lap!),
      ),
    ],
    (v) => bent(Math.PI, v.bar! / 2, v.thickness!, v.lap!),
  ),
  entry(
    'belt',
    '§10',
    'Belt',
    'inner girth of a flat strap',
    { flat: mm('flat length', 900), thickness: { ...thickness, value: 3.5 }, k: neutral },
    [
      answer('inner girth', '{flat} − 2 × π × {k} × {thickness}', (v) =>
        beltGirth(v.flat!, v.thickness!, v.k!),
      ),
    ],
    (v) => strip([v.flat!], 35),
  ),
  entry(
    'rolled-handle',
    '§10',
    'Rolled handle',
    'cover round a cord',
    {
      cord: { ...thin('cord', 8), least: 0.5 },
      thickness: { ...thickness, value: 2 },
      below: { ...thin('stitch row below the middle', 9), least: 0.5 },
      flange: thin('flange', 4),
      k: neutral,
    },
    [
      answer('butted', '2 × π × ({cord} / 2 + {k} × {thickness})', (v) =>
        rolledCover(v.cord!, v.thickness!, v.k!),
      ),
      answer('row to row with flanges', 'round {cord} from rows {below} below', (v) =>
        pipedCover(v.cord!, v.thickness!, v.k!, v.below!),
      ),
      answer(
        'cut with flanges',
        'that + 2 × {flange}',
        (v) => pipedCover(v.cord!, v.thickness!, v.k!, v.below!) + 2 * v.flange!,
      ),
    ],
    (v) => rounds(v.cord! + 2 * v.thickness!, v.cord!),
  ),
]
