import { lengthSaid, thicknessSaid } from '../../measure/index.js'
import { STAY, flipAbout, point, shift } from '../../geometry/index.js'
import { loopOf } from './loop.js'
import type { Concern, Fit, Panel, PanelSheet } from '../../master/index.js'
import { type Reckon, given } from '../../working/index.js'
import { type Role, defineKind } from '../kind.js'
import { needed, present } from '../parts/fits.js'
import { edgeSeam } from '../parts/seams.js'
import { finishedFate, outlineOf } from '../parts/shape.js'
import { contentSheet, panelSheet } from '../parts/sheets.js'
import { chainOf, sheathPanels } from './panels.js'
import { SHEATH, type SheathParams, hasOwnLoop } from './params.js'
import { LAND, type SheathSizes, sheathSizes } from './sizes.js'
import { foundIn } from '../../lists/index.js'

/** A welt thinner than the tool by no more than this will do, mm: leather gives. */
const GIVES = 0.3
/** The loop ends this far above where the tool balances, mm. */
const ABOVE_BALANCE = 10

const ROLES: readonly Role<SheathParams>[] = [
  {
    id: 'body',
    label: 'Body',
    why: `front and back: firm, ${thicknessSaid(2.5)} to ${thicknessSaid(3.5)}`,
    usual: 2.8,
  },
  { id: 'welt', label: 'Welt', why: 'what lies between: as thick as the tool, in layers', usual: 2.8 },
]

function fits(p: SheathParams, s: SheathSizes, reckon: Reckon): Fit[] {
  const at = point(s.mouth.value / 2, 10)
  return [
    {
      id: 'welt-thick',
      rank: 'look',
      what: 'the tool between front and back',
      panelId: 'welt',
      at,
      why: 'the front is strained over it and wears through: another layer of welt, or thicker leather for it',
      keys: ['welt.layers'],
      needs: needed(reckon, 'fit.thick', 'tool', p.thick - GIVES, '§20'),
      has: present(reckon, 'fit.thickHas', 'welt', s.weltThick, '§20'),
    },
    {
      id: 'welt-holds',
      rank: 'stop',
      what: 'the row of stitches in the welt',
      panelId: 'welt',
      at,
      why: 'the edge of the tool would meet the thread: the welt has to reach in past the stitches',
      keys: [],
      remedy: { field: 'welt', value: Math.ceil(p.margin + 4) },
      needs: reckon(
        {
          key: 'fit.welt',
          label: 'needs',
          formula: '{margin} margin + {inside} of leather inside it',
          source: '§20',
        },
        { margin: given('margin', p.margin), inside: given('inside', LAND) },
      ),
      has: present(reckon, 'fit.weltHas', 'welt', given('welt', p.welt), '§20'),
    },
  ]
}

function concerns(p: SheathParams, s: SheathSizes): Concern[] {
  const found: Concern[] = [
    {
      id: 'sheath-caution',
      rank: 'tip',
      panelId: 'front',
      at: point(s.mouth.value / 2, s.length.value / 2),
      what: 'A sheath for a blade can fail: nothing here certifies how well it holds',
      why: 'Try it with the tool over a bench before it is worn. Where a failure can hurt someone, have it tested by a qualified person and follow local law.',
    },
  ]
  if (p.loop !== 'none' && s.hangs.value < p.balance - 1e-9)
    found.push({
      id: 'balance-above',
      rank: 'stop',
      panelId: 'back',
      at: point(s.mouth.value / 2, 2),
      what: 'The tool balances above where the sheath hangs',
      why: 'It balances {balance} from its tip and hangs {hangs} from it: it tips over and falls out. Raise the loop, or let the tool in deeper.',
      lengths: { balance: p.balance, hangs: s.hangs.value },
      ...(p.loop === 'sewn'
        ? { remedy: { field: 'loop', value: 'wrap', said: 'a loop over the mouth' } }
        : {
            remedy: {
              field: 'rise',
              value: Math.min(200, Math.ceil(p.balance - p.deep + ABOVE_BALANCE)),
              said: 'a higher loop',
            },
          }),
    })
  return found
}

/** The layers of the welt, those that run out in the middle of the pile: a strip on either side. */
function weltSheets(s: SheathSizes, panels: readonly Panel[]): PanelSheet[] {
  const short = panels.some((q) => q.id === 'welt-short') ? s.short.value : 0
  const whole = s.layers.value - s.short.value
  const over = flipAbout(s.mouth.value / 2)
  const out = Array.from({ length: short }, (_, i) => [
    panelSheet(`welt-out-${i + 1}`, 'welt that runs out', 'welt-short', STAY, true),
    panelSheet(`welt-out-${i + 1}-over`, 'welt that runs out', 'welt-short', over, false),
  ])
  const round = Array.from({ length: whole }, (_, i) =>
    panelSheet(`welt-${i + 1}`, 'welt', 'welt', STAY, true),
  )
  return [...round.slice(0, 1), ...out.flat(), ...round.slice(1)]
}

/** A sheath in layers for a tool that hangs from a belt. */
export const sheath = defineKind({
  id: 'sheath',
  name: 'Layered sheath',
  about: 'front, back and a welt between them as thick as the tool; hangs from a belt',
  settings: SHEATH,
  roles: ROLES,
  brief: [
    'It takes a tool {wide} wide at the mouth and {tipWide} at its tip, {thick} thick; {deep} of it goes in, with {roomRound} of room round it.',
    'Its guard is {guard} wide[ and goes in {guardDeep}]; the welt is {welt} wide, its layers {welts}[: {tipThick} thick at the tip].',
    'For the belt: {loop}[, {loopWide} wide][, {rise} above the mouth][, leaning {cant} degrees].[ The tool balances {balance} from its tip; the belt is {belt} wide][ and {beltThick} thick.]',
  ],
  sentences: {
    back: [
      'Cut 1 from {leather-body}: {loop}[, {loopWide} wide][, {rise} above the mouth].',
      'Sides and tip sewn {margin} in with the {iron}; edges {finish}, cut {trim} over size.',
    ],
    front: [
      'Cut 1 from {leather-body}. Sides and tip sewn {margin} in; edges {finish}, cut {trim} over size.',
    ],
    welt: [
      'Cut from {leather-welt}, {welt} wide, in layers as thick as the tool: {thick}; {welts}[: {tipThick} at the tip].',
      'Its guard is {guard} wide[ and goes in {guardDeep}].',
    ],
    'welt-short': [
      'Cut from {leather-welt}, {welt} wide, running out to nothing: the tool is {thick} at the mouth and {tipThick} at its tip.',
    ],
    loop: [
      'Cut 1 from {leather-body}: {loop}, {loopWide} wide[, {rise} above the mouth], leaning {cant} degrees; for a belt {belt} wide and {beltThick} thick.',
    ],
  },
  master: (p, materials, reckon) => {
    const s = sheathSizes(p, materials, reckon)
    const w = s.mouth.value
    const panels = sheathPanels(p, s, materials)
    const front = foundIn(panels, (q) => q.id === 'front')
    const chain = chainOf(front)
    const welts = weltSheets(s, panels)
    const weltIds = welts.map((w) => w.id)
    const loop = loopOf(p, s, panels)
    const tool = outlineOf(
      [
        { x: 0, y: 0, edge: 'top' },
        { x: p.wide, y: 0, edge: 'right' },
        { x: (p.wide + Math.min(p.tipWide, p.wide)) / 2, y: p.deep, edge: 'tip' },
        { x: (p.wide - Math.min(p.tipWide, p.wide)) / 2, y: p.deep, edge: 'left' },
      ],
      finishedFate('burnished', 0, () => false),
    )
    return {
      panels,
      layups: [
        {
          id: 'open',
          name: 'put together',
          carrier: 'back',
          sheets: [
            ...loop.behind,
            panelSheet('back', 'back', 'back', STAY, false),
            ...welts,
            contentSheet('tool', 'the tool', tool.outline, p.thick, shift((w - p.wide) / 2, 0)),
            panelSheet('front', 'front', 'front', STAY, true),
            ...loop.before,
          ],
        },
      ],
      joins: [
        ...loop.joins,
        edgeSeam({
          id: 'edge',
          name: 'seam of the sheath',
          sheet: 'front',
          chain,
          margin: s.margin,
          trims: [p.margin, p.margin],
          through: ['back', ...weltIds, 'front'],
          glue: [{ sheet: 'front', chain, limit: p.welt }],
        }),
      ],
      matches: [],
      fits: fits(p, s, reckon),
      concerns: concerns(p, s),
      carries: [`a tool ${lengthSaid(p.wide)} wide, ${lengthSaid(p.deep)} of it inside`],
      sizes: [
        ...[s.mouth, s.tip, s.length].map((size) => ({ panelId: 'front', size })),
        ...[s.layers, s.weltThick].map((size) => ({ panelId: 'welt', size })),
        ...(panels.some((q) => q.id === 'welt-short')
          ? [s.short, s.runsTo].map((size) => ({ panelId: 'welt-short', size }))
          : []),
        ...(p.loop === 'none' ? [] : [{ panelId: hasOwnLoop(p) ? 'loop' : 'back', size: s.loop }]),
        { panelId: 'back', size: s.hangs },
      ],
    }
  },
})
