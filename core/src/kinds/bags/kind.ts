import { type Kind, type Role, defineKind } from '../kind.js'
import { type Sentence, offering, settings } from '../../settings/index.js'
import { BAG_HARDWARE } from './hardware.js'
import { IN_PLAY } from './inPlay.js'
import { bagMaster } from './master.js'
import { BAG, type BagChoice, type BagParams } from './params.js'
import { BAG_OFFERS, BAG_SENTENCES } from './words.js'

const needsInner = (p: BagParams): boolean =>
  p.pocket !== 'none' ||
  p.divider !== 'none' ||
  p.organiser !== 'none' ||
  p.slip !== 'none' ||
  p.closure === 'zip' ||
  p.base === 'board' ||
  p.base === 'cushioned' ||
  p.strapPad === 'pad'

const ROLES: readonly Role<BagParams>[] = [
  {
    id: 'body',
    label: 'Body',
    why: 'front, back and flap; soft enough to turn, firm enough to stand',
    usual: 1.8,
  },
  { id: 'gusset', label: 'Gusset', why: 'sides and foot; a little lighter than the body', usual: 1.4 },
  { id: 'inner', label: 'Inside', why: 'pockets, divider and covers; light', usual: 0.9, when: needsInner },
  { id: 'lining', label: 'Lining', why: 'thin; glued in', usual: 0.8, when: (p) => p.lining === 'lined' },
  {
    id: 'straps',
    label: 'Straps',
    why: 'handles, straps and tabs: firm, and cut along the backbone',
    usual: 2.5,
    when: (p) => p.handle !== 'none' || p.strap !== 'none' || p.closure === 'strap',
  },
]

interface BagKind {
  readonly id: string
  readonly name: string
  readonly about: string
  /** Values of settings that suit it; all where left out. */
  readonly suits: Partial<Record<BagChoice, readonly string[]>>
  readonly usual: Partial<BagParams>
  readonly brief: readonly Sentence[]
}

const FIRST: readonly Sentence[] = [
  'Inside it is {wide} wide, {high} high and {deep} deep; {ease} of room is kept round what goes in.',
]
const CARRIED: readonly Sentence[] = [
  'For the hand: {handle}[, how many: {handles}]. For the shoulder: {strap}[, {carried} from ring to ring].',
]

/** The settings of a bag of which a kind takes what suits it. */
const suited = (suits: BagKind['suits']): typeof BAG => ({
  ...BAG,
  ...Object.fromEntries(
    Object.entries(suits).map(([id, values]) => [id, offering(BAG[id as BagChoice], values)]),
  ),
})

/** What else a bag can carry that none of these sentences asks, in one. */
function offersBeside(asked: readonly Sentence[]): Sentence[] {
  const left = Object.entries(BAG_OFFERS).flatMap(([id, offer]) =>
    asked.some((s) => s.includes(`{${id}}`)) ? [] : [offer],
  )
  // One that may say nothing brings its own space.
  return left.length > 0 ? [left.reduce((said, one) => said + (one.startsWith('[ ') ? one : ` ${one}`))] : []
}

/** A kind of bag: all of them are built of the same parts, each with what suits it and its own usual sizes. */
export const bagKind = ({ id, name, about, suits, usual, brief }: BagKind): Kind =>
  defineKind({
    id,
    name,
    about,
    settings: settings(suited(suits), { inPlay: IN_PLAY, usual }),
    roles: ROLES,
    hardware: BAG_HARDWARE,
    brief: [...FIRST, ...brief, ...CARRIED, ...offersBeside([...FIRST, ...brief, ...CARRIED])],
    sentences: BAG_SENTENCES,
    master: bagMaster,
  })
