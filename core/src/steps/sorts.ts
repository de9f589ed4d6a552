/** What a sort of work is called, and where it usually stands. `cautions` are said at the step, every time. */
interface SortOf {
  readonly verb: string
  /** What several of it are, where rows are counted. */
  readonly many: string
  readonly cautions?: readonly string[]
  /** Begun, it is done to the end: a glue-up, a dye bath. */
  readonly whole?: true
  /** What is done with it before the tools are put away. */
  readonly then?: string
}

const KNIFE = 'Cut away from the hand that holds; a sharp knife slips less than a blunt one.'
const GLUE = 'Solvent: air the room, no flame, read what the tin says.'
const MACHINE = 'Fingers off the needle; switch the machine off before threading it.'
const DUST = 'Sanding dust: wear a mask.'
const STRIKE =
  'Look at the head of the tool before you strike: a mushroomed one throws splinters. Wear glasses.'

/** Sorts of work in the order in which they usually come. */
export const SORTS = {
  bar: { verb: 'Measure', many: 'test bars' },
  pattern: { verb: 'Glue to card and cut out', many: 'patterns', cautions: [KNIFE] },
  mockUp: { verb: 'Make a mock-up of', many: 'things' },
  rough: { verb: 'Cut roughly, as a block,', many: 'pieces', cautions: [KNIFE] },
  split: {
    verb: 'Split',
    many: 'pieces',
    cautions: ['Keep fingers clear of the blade of the splitter; pull, don’t push.'],
  },
  straps: { verb: 'Cut', many: 'straps', cautions: [KNIFE] },
  cut: { verb: 'Cut', many: 'pieces', cautions: [KNIFE] },
  mark: { verb: 'Mark', many: 'pieces' },
  washers: { verb: 'Punch', many: 'washers', cautions: [STRIKE] },
  count: { verb: 'Count', many: 'pieces' },
  dye: {
    verb: 'Dye',
    many: 'pieces',
    whole: true,
    cautions: ['Gloves; air the room, read what the bottle says.'],
  },
  oil: {
    verb: 'Oil',
    many: 'pieces',
    cautions: [
      'Oily rags can catch fire by themselves: lay them out flat outdoors or keep them under water.',
    ],
  },
  stamp: { verb: 'Stamp the mark into', many: 'pieces', cautions: [STRIKE] },
  skive: { verb: 'Skive', many: 'skives', cautions: [KNIFE] },
  groove: { verb: 'Cut', many: 'grooves', cautions: [KNIFE] },
  punch: { verb: 'Punch slots and holes of', many: 'pieces', cautions: [STRIKE] },
  edge: { verb: 'Finish', many: 'edges that will be covered', cautions: [DUST] },
  coat: { verb: 'Paint', many: 'edges that will be covered' },
  back: { verb: 'Glue in', many: 'layers', whole: true, cautions: [GLUE] },
  turn: { verb: 'Turn over', many: 'edges', whole: true, cautions: [GLUE] },
  line: { verb: 'Glue in', many: 'linings', whole: true, cautions: [GLUE] },
  form: { verb: 'Form', many: 'pieces', whole: true },
  fold: { verb: 'Press the folds of', many: 'pieces' },
  holes: { verb: 'Punch the holes of', many: 'seams', cautions: [STRIKE] },
  hang: { verb: 'Hang in', many: 'rings and buckles' },
  set: { verb: 'Set', many: 'pieces of hardware', cautions: [STRIKE] },
  glue: { verb: 'Glue', many: 'seams', whole: true, cautions: [GLUE] },
  strike: { verb: 'Punch the holes of', many: 'seams', cautions: [STRIKE] },
  sew: {
    verb: 'Sew',
    many: 'seams',
    then: 'Cut the thread ends and tap the seam flat with a smooth hammer.',
  },
  machine: { verb: 'Sew by machine', many: 'seams', cautions: [MACHINE] },
  turnOut: { verb: 'Turn out', many: 'bags' },
  putIn: { verb: 'Put in place', many: 'pieces' },
  trim: { verb: 'Trim', many: 'edges', cautions: [KNIFE] },
  finish: { verb: 'Finish', many: 'edges', cautions: [DUST] },
  coatLast: { verb: 'Paint', many: 'edges' },
  dyeWork: {
    verb: 'Dye',
    many: 'things',
    whole: true,
    cautions: ['Gloves; air the room, read what the bottle says.'],
  },
  oilWork: { verb: 'Oil', many: 'things' },
  fit: { verb: 'Try', many: 'things' },
  note: { verb: 'Photograph and note', many: 'things' },
} as const satisfies Readonly<Record<string, SortOf>>
export type Sort = keyof typeof SORTS

export const sortOf = (sort: Sort): SortOf => SORTS[sort]
/** A seam is glued, holed and sewn before the next is begun. */
const SEAM: readonly Sort[] = ['holes', 'glue', 'strike', 'sew', 'machine']
/** Where it usually stands. */
export const rankOf = (sort: Sort): number => Object.keys(SORTS).indexOf(SEAM.includes(sort) ? 'sew' : sort)
/** Which comes first of one seam. */
export const rankInSeam = (sort: Sort): number => Math.max(0, SEAM.indexOf(sort))
