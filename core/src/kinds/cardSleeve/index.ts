import { thicknessSaid } from '../../measure/index.js'
import { flipAbout, point, shift } from '../../geometry/index.js'
import type { Layup, Match, Panel, Sheet } from '../../master/index.js'
import { type Reckon, given } from '../../working/index.js'
import { defineKind, type Materials, type Role, leatherOf } from '../kind.js'
import { basicsOf, counted, outcomeBy, sizeBy } from '../parts/basics.js'
import { allRound, finishedFate, plainPanel, rectangleShape, rimBand } from '../parts/shape.js'
import { panelSheet, pileTurnedOver } from '../parts/sheets.js'
import {
  FRONT_POCKET,
  POCKET_SENTENCES,
  type Stack,
  hasOwnFront,
  heightForCards,
  pileConcerns,
  pileFits,
  pileSheets,
  roomOverCards,
  stackItems,
  stackPanels,
  stackSizes,
  stackSizesShown,
} from '../pockets/index.js'
import { sleeveJoins } from './joins.js'
import { SLEEVE, type SleeveParams } from './params.js'
import { type Sleeve, far, near } from './sleeve.js'

const ROLES: readonly Role<SleeveParams>[] = [
  {
    id: 'body',
    label: 'Backs',
    why: `carry the pockets and face the centre; ${thicknessSaid(0.9)} to ${thicknessSaid(1.2)}`,
    usual: 1,
  },
  { id: 'pockets', label: 'Pockets', why: 'the lightest; every pocket adds to the pile', usual: 0.9 },
  FRONT_POCKET,
  {
    id: 'lining',
    label: 'Lining',
    why: 'behind the backs; the thinnest there is',
    usual: 0.6,
    when: (params) => params.lining === 'lined',
  },
]

function sleeveOf(p: SleeveParams, materials: Materials, reckon: Reckon): Sleeve {
  const start = {
    ...basicsOf(p.margin, materials, reckon),
    p,
    reckon,
    leather: leatherOf(materials, 'pockets'),
    frontLeather: leatherOf(materials, hasOwnFront(p) ? 'front-pocket' : 'pockets'),
    skives: materials.skives,
  }
  const sizes = stackSizes(start)
  const size = sizeBy(reckon)
  const forCards = heightForCards(start, sizes, roomOverCards(p, p.corner))
  const height = size('height', 'height', '{forCards} for the cards', '§9', { forCards })
  const both = p.sides === 'both'
  const lined = p.lining === 'lined'
  const backs = p.centre === 'none' ? 1 : 2
  const t = (role: string) => given(role, leatherOf(materials, role).thickness, 'thickness')
  const closed = outcomeBy(reckon)(
    'closed',
    'thickness of the backs',
    '{backs} × ({body} + {lining} lining)',
    '§9',
    {
      backs: given('backs', backs, 'count'),
      body: t('body'),
      lining: lined ? t('lining') : given('none', 0),
    },
  )
  const stack: Stack = {
    start,
    sizes,
    height: height.value,
    topRadius: p.corner,
    piles: both ? 2 : 1,
    mirrored: false,
    rounded: { left: true, right: true },
    trimmed: { left: true, right: true },
  }
  return { p, stack, height, closed, lined, centre: p.centre !== 'none', both }
}

function panels(s: Sleeve, materials: Materials): Panel[] {
  const { p, stack } = s
  const w = stack.sizes.pocketWidth.value
  const shape = rectangleShape(
    w,
    s.height.value,
    allRound(p.corner),
    finishedFate(p.finish, p.trim, (e) => !e.startsWith('top')),
  )
  const chain = ['right', 'foot-right', 'foot', 'foot-left', 'left']
  const back = (id: string, name: string, role: string): Panel =>
    plainPanel({
      id,
      name,
      role,
      count: s.centre ? 2 : 1,
      ...shape,
      bands: rimBand(
        `${id}.rim`,
        `rim of the ${name.toLowerCase()}`,
        shape,
        chain,
        leatherOf(materials, role).thickness,
      ),
    })
  return [
    back('back', s.centre ? 'Backs' : 'Back', 'body'),
    ...(s.lined ? [back('lining', 'Lining', 'lining')] : []),
    ...stackPanels(stack),
  ]
}

/** Lowest first: the far pile turned over on its back, the centre, the near back with its pile. */
function layups(s: Sleeve): Layup[] {
  const over = flipAbout(s.stack.sizes.pocketWidth.value / 2)
  const lie = (id: string, panelId: string, grainUp: boolean): Sheet =>
    panelSheet(id, panelId === 'lining' ? 'lining' : 'back', panelId, shift(0, 0), grainUp)
  const farPile = s.both ? pileTurnedOver(pileSheets(s.stack, far(s)), over) : []
  const middle = s.centre
    ? [
        lie('back-far', 'back', false),
        ...(s.lined ? [lie('lining-far', 'lining', true), lie('lining', 'lining', false)] : []),
      ]
    : s.lined
      ? [lie('lining', 'lining', false)]
      : []
  return [
    {
      id: 'open',
      name: 'as it is carried',
      carrier: 'back',
      sheets: [...farPile, ...middle, lie('back', 'back', true), ...pileSheets(s.stack, near(s))],
    },
  ]
}

const matches = (s: Sleeve): Match[] =>
  s.p.school === 'slits'
    ? []
    : stackItems(s.stack).map(({ index, top }) => ({
        id: `top-${index + 1}`,
        sheetA: 'back',
        sheetB: `pocket-${index + 1}`,
        at: point(0, top),
      }))

/** A flat sleeve: pockets on one or both faces, and a compartment between them. */
export const cardSleeve = defineKind({
  id: 'card-sleeve',
  name: 'Card sleeve',
  about: 'flat, one to four pockets on a side, a compartment between',
  settings: SLEEVE,
  roles: ROLES,
  brief: [
    'It carries {pockets} card pockets a side on {sides}, {cardsPerPocket} to a pocket, each card showing {shown}, got out {grip}.',
    'The pockets: {school}, feet {feet}, tops {tops}[; the front pocket is {front}]; behind each slit, where there are slits, {pouch}.',
    'Between the faces {centre}; the backs {lining}.',
  ],
  sentences: {
    ...POCKET_SENTENCES,
    back: [
      'Cut from {leather-body}, corners rounded {corner}, {lining}; between the faces {centre}.',
      'Carries {pockets} a side on {sides}: {school}, reveal {reveal}.',
      'Sides and foot sewn {margin} in with the {iron}; edges {finish}, cut {trim} over size.',
    ],
    lining: ['Cut from {leather-lining}, glued behind the backs: {lining}.'],
  },
  master: (p, materials, reckon) => {
    const s = sleeveOf(p, materials, reckon)
    const { sizes } = s.stack
    return {
      panels: panels(s, materials),
      layups: layups(s),
      joins: sleeveJoins(s),
      matches: matches(s),
      fits: pileFits(s.stack, 'back', s.height),
      concerns: pileConcerns(s.stack),
      carries: [
        ...counted((s.both ? 2 : 1) * p.pockets * p.cardsPerPocket, 'card'),
        ...(s.centre ? ['folded notes'] : []),
      ],
      sizes: [
        ...[sizes.pocketWidth, s.height, s.closed].map((size) => ({ panelId: 'back', size })),
        ...stackSizesShown(s.stack),
      ],
    }
  },
})
