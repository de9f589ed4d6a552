import type { Why } from './task.js'

/** What a reason is called in a list, and why it is so at the bench. */
interface Reason {
  readonly says: string
  /** What is done first can’t be reached, or not be done well, once the other is: it is asked for before that begins. */
  readonly reach?: true
}

export const REASONS: Readonly<Record<Why, Reason>> = {
  paper: { says: 'a pattern printed at 97 % ruins a hide' },
  pattern: { says: 'it is cut round the pattern' },
  trial: { says: 'a new shape shows in paper what it forgot' },
  whole: { says: 'the longest come from the straight edge while it is whole' },
  cut: { says: 'the piece has to be there' },
  marked: { says: 'marks are made while the pattern lies on it', reach: true },
  split: { says: 'splitting changes its size: it is cut true afterwards' },
  counted: { says: 'a piece that is missing can still be cut from the same part of the hide', reach: true },
  dye: { says: 'glue and finish keep the dye out', reach: true },
  oil: { says: 'it soaks in evenly only while nothing is glued to it', reach: true },
  stamp: { says: 'the mark wants single leather on a flat stone', reach: true },
  flat: { says: 'it is thinned while it lies flat and single', reach: true },
  punch: { says: 'it is punched while a board can lie under it', reach: true },
  underneath: { says: 'the edge lies on or under another piece afterwards', reach: true },
  mount: { says: 'the piece is finished before it is sewn on', reach: true },
  turned: { says: 'the edge is turned before the seam goes through it', reach: true },
  backed: { says: 'the edge is turned over what lies behind it', reach: true },
  lined: { says: 'the lining covers the turned border', reach: true },
  pouch: { says: 'it is formed as one once it is sewn', reach: true },
  formedDry: { says: 'it is formed and dry before its edges are finished' },
  formed: { says: 'it is formed and dry before it is cut true and joined', reach: true },
  glued: { says: 'what is sewn is glued first, so that nothing shifts' },
  holed: { says: 'the holes come before the thread' },
  covered: { says: 'its holes lie under another piece afterwards', reach: true },
  hardware: { says: 'its back is covered afterwards', reach: true },
  waits: { says: 'it goes through what this seam has put together' },
  closed: { says: 'no hand or tool reaches it in the closed body', reach: true },
  inside: { says: 'it is sewn inside out', reach: true },
  out: { says: 'it is worked right side out' },
  halves: { says: 'the second half is closed round the bend of the first' },
  row: { says: 'the second row follows the first' },
  thread: { says: 'the thread of the one goes on in the other' },
  sewn: { says: 'edges that are sewn together are finished together' },
  coat: { says: 'each coat wants the one before dry and sanded' },
  folded: { says: 'the fold is pressed before it is held', reach: true },
  last: { says: 'it wants the work as it will be' },
}
