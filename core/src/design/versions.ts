import { PLAIN_WORK } from '../work/index.js'
import { STARTER_STORES, leatherOf1 } from '../stores/index.js'
import { HABITS, PLAIN_SEWING } from '../sewing/index.js'
import { kindMaybe, startingHardware as hardwareFor } from '../kinds/index.js'
import { PLAIN_CUTTING } from './cutting.js'
import type { Edit } from './edit.js'
import { DESIGN_VERSION } from './schema.js'

type Plain = Record<string, unknown>

const isPlain = (value: unknown): value is Plain =>
  typeof value === 'object' && value !== null && !Array.isArray(value)

const startingHardware = (kind: unknown): Plain => {
  const known = typeof kind === 'string' ? kindMaybe(kind) : undefined
  return known ? hardwareFor(known, STARTER_STORES.hardware) : {}
}

const BAG_KINDS = ['tote', 'flap-bag', 'portfolio', 'briefcase', 'rucksack'] as const
/** What bags were before version 11 asked. */
const BAGS_SINCE_11 = {
  backSeam: 'same',
  outer: 'none',
  outerWide: 200,
  outerHigh: 140,
  outerDeep: 25,
} as const
const SINCE_11: Readonly<Record<string, Plain>> = {
  ...Object.fromEntries(BAG_KINDS.map((kind) => [kind, BAGS_SINCE_11])),
  sheath: { cant: 0 },
}
/** What bags were before version 12 asked; pads were on pairs of straps only. */
const BAGS_SINCE_12 = {
  gussetLow: 0,
  cornerHole: 0,
  hemSkive: 'feather',
  handleBy: 'rise',
  handBroad: 90,
  handThick: 30,
  handleFill: 0,
  strapEnds: 'fixed',
} as const
/** What other kinds were before they could be said otherwise. */
const OTHERS_SINCE_12: Readonly<Record<string, Plain>> = {
  'moulded-holder': { formed: 'first' },
  sheath: { guard: 0, guardDeep: 4, welts: 'whole', tipThick: 2 },
}
/** What kinds were before version 13 asked. */
const BAGS_SINCE_13 = { flapGrooves: 'none' } as const
const SINCE_13: Readonly<Record<string, Plain>> = {
  ...Object.fromEntries(BAG_KINDS.map((kind) => [kind, BAGS_SINCE_13])),
  'strap-wallet': {
    sized: 'notes',
    ownWide: 200,
    ownHigh: 95,
    tabPlace: 'centred',
    tabFrom: 8,
    strapFix: 'through',
    strapLong: 0,
  },
}
/** What kinds were before version 14 asked. */
const SINCE_14: Readonly<Record<string, Plain>> = {
  'gusseted-case': { foot: 'point', footDeep: 14, relief: 2, facing: 'none' },
}
const withMore = (more: Readonly<Record<string, Plain>>, kind: unknown, params: unknown): unknown =>
  isPlain(params) && typeof kind === 'string' && more[kind] ? { ...more[kind], ...params } : params

const BAGS: ReadonlySet<unknown> = new Set(BAG_KINDS)
const PILES: ReadonlySet<unknown> = new Set(['bifold', 'card-sleeve', 'gusseted-case'])
function paramsOf11(kind: unknown, params: unknown): unknown {
  if (!isPlain(params)) return params
  if (PILES.has(kind)) return { front: 'same', topSkive: 'feather', ...params }
  if (!BAGS.has(kind)) return withMore(OTHERS_SINCE_12, kind, params)
  return { ...BAGS_SINCE_12, ...params, ...(params.strap === 'pair' ? {} : { strapPad: 'none' }) }
}

const values = (record: unknown): [string, Plain][] =>
  Object.entries(isPlain(record) ? record : {}).flatMap(([id, value]) =>
    isPlain(value) ? [[id, value] as [string, Plain]] : [],
  )
/** Of parts that ask more than they did: what they were. */
const PRONGS_SINCE_12 = { cover: 'none', past: 10, margin: 3 } as const
const SORTS_SINCE_12: Readonly<Record<string, Plain>> = {
  lock: { ...PRONGS_SINCE_12, part: 'whole', open: 22, openHigh: 6, mouth: 3 },
  magnet: PRONGS_SINCE_12,
  tab: { holds: 'ring', tongue: 'slot' },
}
/** Pockets that are put on opened at the top alone. */
const SORTS_SINCE_15: Readonly<Record<string, Plain>> = { pocket: { open: 'top' } }

const addedWith = (since: Readonly<Record<string, Plain>>, added: unknown): Plain =>
  Object.fromEntries(
    values(added).map(([id, part]) => [
      id,
      {
        ...part,
        params: { ...since[String(part.sort)], ...(isPlain(part.params) ? part.params : {}) },
      },
    ]),
  )

/** The pocket in front was of the leather of the others. */
const frontOf11 = (kind: unknown, { pockets }: Plain): Plain =>
  PILES.has(kind) && pockets ? { 'front-pocket': pockets } : {}

/** Parts that can hold or carry more than they could: what that would be of, till the maker says. */
function materialsOf11({ kind, added, leathers, hardware }: Plain): { leathers: Plain; hardware: Plain } {
  const more = { leathers: {} as Plain, hardware: {} as Plain }
  const [first] = values(leathers)
  const ware = (sort: string): unknown => STARTER_STORES.hardware.find((h) => h.sort === sort)
  for (const [id, { sort }] of values(added)) {
    if ((sort === 'lock' || sort === 'magnet') && first) more.leathers[`${id}-cover`] = first[1]
    if (sort === 'tab') {
      more.hardware[`${id}-hook`] = ware('hook')
      more.hardware[`${id}-buckle`] = ware('buckle')
    }
  }
  const plain = (value: unknown): Plain => (isPlain(value) ? value : {})
  return {
    leathers: { ...more.leathers, ...frontOf11(kind, plain(leathers)), ...plain(leathers) },
    hardware: { ...more.hardware, ...plain(hardware) },
  }
}

const BIFOLD_SINCE_4 = {
  feet: 'both',
  tops: 'raw',
  grip: 'none',
  pouch: 'fabric',
  lining: 'none',
  divider: 'none',
  cutAway: 'none',
  hidden: 'none',
  coins: 'none',
} as const

/** Version 6 laid the second row of a turned seam 3 mm out. */
const paramsOf6 = (params: unknown): unknown =>
  isPlain(params) && 'rows' in params ? { ...params, rowApart: 3 } : params

const USUAL_STITCH_6 = 9
/** The maker's ways as version 6 had them; a speed that was never touched becomes what is usual now. */
function habitsOf6(habits: unknown): unknown {
  if (!isPlain(habits)) return habits
  const { holeSeconds: _, stitchSeconds, ...rest } = habits
  const own = stitchSeconds !== undefined && stitchSeconds !== USUAL_STITCH_6
  return { ...rest, ...(own ? { stitchSeconds: Math.max(2, Number(stitchSeconds)) } : {}) }
}

/** Version 7 called a mountain fold, one that rises towards the grain, a hill. */
function mountains(value: unknown): unknown {
  if (Array.isArray(value)) return value.map(mountains)
  if (!isPlain(value)) return value
  return Object.fromEntries(
    Object.entries(value).map(([key, one]) => [
      key,
      key === 'rises' && one === 'hill' ? 'mountain' : mountains(one),
    ]),
  )
}

/** Version 14 laid what was drawn by hand as it was drawn. */
function unturned(value: unknown): unknown {
  if (Array.isArray(value)) return value.map(unturned)
  if (!isPlain(value)) return value
  if ('x' in value && 'y' in value && 'grainUp' in value) return { turn: 0, ...value }
  return Object.fromEntries(Object.entries(value).map(([key, one]) => [key, unturned(one)]))
}

/** A leather without the parts that version 8 kept with it. */
function withoutParts(leather: unknown): unknown {
  if (!isPlain(leather)) return leather
  const { parts: _, ...rest } = leather
  return rest
}

/** Brings a design one version up; index 0 takes version 1 to version 2. Never changes what it is given. */
const STEPS: readonly ((design: Plain) => Plain)[] = [
  // Version 1 knew no draft, awl, skives, thread lengths, habits or overruled findings; it reckoned with these.
  (one) => ({
    ...one,
    version: 2,
    draft: 'first draft',
    awl: STARTER_STORES.awls[0],
    skives: {},
    lengths: {},
    habits: HABITS.usual,
    overruled: [],
  }),
  // Version 2 knew nothing drawn by hand, and leathers without measured spots and test pieces.
  (two) => ({
    ...two,
    version: 3,
    drawn: [],
    ties: [],
    leathers: Object.fromEntries(
      Object.entries((two.leathers ?? {}) as Plain).map(([role, leather]) => [role, leatherOf1(leather)]),
    ),
  }),
  // Version 3 knew one way to make a bifold where version 4 asks; it was made like this.
  (three) => {
    if (three.kind !== 'bifold' || !isPlain(three.params) || !isPlain(three.leathers))
      return { ...three, version: 4 }
    const { inside, pockets } = three.leathers
    return {
      ...three,
      version: 4,
      params: { ...BIFOLD_SINCE_4, lap: three.params.reveal, ...three.params },
      leathers: {
        ...(inside ? { divider: inside } : {}),
        ...(pockets ? { lining: pockets } : {}),
        ...three.leathers,
      },
    }
  },
  // Version 4 sewed every join as it was proposed, and by hand.
  (four) => ({ ...four, version: 5, machine: STARTER_STORES.machines[0], sewing: PLAIN_SEWING }),
  // Version 5 knew no hardware of its own, and only small goods, which say what they carry in their settings.
  (five) => ({ ...five, version: 6, hardware: startingHardware(five.kind), contents: [] }),
  // Version 6 reckoned with 9 s a stitch, three times too fast, where nobody said otherwise, and with holes instead of blows.
  (six) => ({ ...six, version: 7, habits: habitsOf6(six.habits), params: paramsOf6(six.params) }),
  // Version 7 did not ask how fast leather is cut, skived, turned, glued and finished; it reckoned with these.
  (seven) => ({
    ...seven,
    version: 8,
    drawn: mountains(seven.drawn),
    habits: isPlain(seven.habits) ? { ...HABITS.usual, ...seven.habits } : seven.habits,
  }),
  // Version 8 knew no hides, only parts of them that a leather lay on the shelf as.
  (eight) => ({
    ...eight,
    version: 9,
    cutting: PLAIN_CUTTING,
    leathers: Object.fromEntries(
      Object.entries(isPlain(eight.leathers) ? eight.leathers : {}).map(([role, leather]) => [
        role,
        withoutParts(leather),
      ]),
    ),
  }),
  // Version 9 had no order of work.
  (nine) => ({ ...nine, version: 10, work: PLAIN_WORK }),
  // Version 10 knew nothing that is put on any panel, and one compartment in a bag.
  (ten) => ({ ...ten, version: 11, added: {}, params: withMore(SINCE_11, ten.kind, ten.params) }),
  // Version 11 had straps on rings only, handles by their own sizes, and prongs that nothing covered.
  (eleven) => ({
    ...eleven,
    version: 12,
    params: paramsOf11(eleven.kind, eleven.params),
    added: addedWith(SORTS_SINCE_12, eleven.added),
    ...materialsOf11({
      ...eleven,
      hardware: BAGS.has(eleven.kind)
        ? { ...startingHardware(eleven.kind), ...(isPlain(eleven.hardware) ? eleven.hardware : {}) }
        : eleven.hardware,
    }),
  }),
  // Version 12 sized a strap-bound wallet by its notes, its strap through both tabs.
  (twelve) => ({ ...twelve, version: 13, params: withMore(SINCE_13, twelve.kind, twelve.params) }),
  // Version 13 had cases that end in a seam at the foot only.
  (thirteen) => ({ ...thirteen, version: 14, params: withMore(SINCE_14, thirteen.kind, thirteen.params) }),
  // Version 14 had pockets that open at the top only, and drawings that lay as they were drawn.
  (fourteen) => ({
    ...fourteen,
    version: 15,
    added: addedWith(SORTS_SINCE_15, fourteen.added),
    drawn: unturned(fourteen.drawn),
  }),
]

/** The oldest version that can still be read. */
export const OLDEST_VERSION = DESIGN_VERSION - STEPS.length

/** A design of `version`, brought up to the present one. */
export const upToDate = (design: Plain, version: number): Plain =>
  STEPS.slice(version - OLDEST_VERSION).reduce((older, step) => step(older), design)

/** An edit out of a log that an older Drumlin wrote, so that it can still be undone: its leathers and folds brought up. */
export function editUpToDate(edit: Edit): Edit {
  const leather = (value: unknown): unknown =>
    isPlain(value) && 'tannage' in value ? withoutParts(leatherOf1(value)) : value
  const changes = edit.changes.map((change) => {
    if (change.path[0] === 'drawn') return { ...change, value: unturned(mountains(change.value)) }
    if (change.path[0] !== 'leathers' || !isPlain(change.value)) return change
    const value =
      change.path.length === 1
        ? Object.fromEntries(Object.entries(change.value).map(([role, one]) => [role, leather(one)]))
        : leather(change.value)
    return { ...change, value }
  })
  return { ...edit, changes }
}
