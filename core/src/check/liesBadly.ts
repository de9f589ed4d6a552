import { askOf, layPiece, leatherAsMeasured, setField } from '../design/index.js'
import { type LyingFault, type Wanted, groupsOf, judgeOf, pieceName, sayFault } from '../hide/index.js'
import { type Found, type Rank, check } from './finding.js'
import type { Derived } from '../derived/index.js'

export interface Data {
  readonly fault: LyingFault
  readonly piece: string
  readonly other: string | undefined
  readonly gap: number
  readonly panel: string
  readonly design: string
  readonly role: string | undefined
}

const RANKS: Readonly<Record<LyingFault['what'], Rank>> = {
  near: 'stop',
  off: 'stop',
  flaw: 'look',
  zone: 'look',
  angle: 'look',
  pair: 'look',
  thickness: 'look',
}

const keyOf = (fault: LyingFault): string => {
  const more = 'other' in fault ? [fault.id, fault.other].toSorted().join('+') : fault.id
  return `lies-badly:${fault.what}:${more}${'sort' in fault ? `:${fault.sort}` : ''}`
}

function foundOf(derived: Derived, fault: LyingFault, wanted: readonly Wanted[]): Found<Data> {
  const named = (id: string): string => {
    const one = wanted.find((w) => w.id === id)
    return one ? pieceName(one, wanted) : id
  }
  const [design, panel] = [fault.id.replace(/\/.*$/, ''), fault.id.replace(/^.*?\//, '').replace(/#\d+$/, '')]
  const own = design === derived.design.id ? derived.panels.find((p) => p.id === panel) : undefined
  const start = own?.outline.segments[0]?.from
  return {
    key: keyOf(fault),
    rank: RANKS[fault.what],
    places: own && start ? [{ panelId: own.id, at: start }] : [],
    about: named(fault.id),
    data: {
      fault,
      piece: named(fault.id),
      other: 'other' in fault ? named(fault.other) : undefined,
      gap: derived.design.cutting.gap,
      panel,
      design,
      role: own?.role,
    },
  }
}

/** More faults than this are no slip of the hand: the pieces have changed since they were laid. */
const FEW = 3
const isAmiss = ({ rank }: Found<Data>): boolean => rank === 'stop'

/** A piece that lies where it may not: over another, off the hide, at an angle, on a flaw or a poor part, unlike its twin. */
export const liesBadly = check({
  code: 'lies-badly',
  screen: 'hide',
  find: (derived): readonly Found<Data>[] => {
    if (derived.design.cutting.hides.length === 0) return []
    const all = groupsOf(derived).flatMap(({ asked, wanted }) =>
      asked.lying.length === 0
        ? []
        : judgeOf(asked)
            .all()
            .map((fault) => foundOf(derived, fault, wanted)),
    )
    // Two that meet are told once; where the whole layout no longer holds that is told once.
    const once = all.filter((f, i) => all.findIndex((g) => g.key === f.key) === i)
    return once.filter(isAmiss).length > FEW
      ? once.map((f) => (isAmiss(f) ? { ...f, cause: { id: 'layout', severity: 1 } } : f))
      : once
  },
  say: ({ data: { fault, piece, other, gap } }, unit) => sayFault(fault, { piece, other, gap, unit }),
  fixes: ({ data: { fault, piece, panel, design, role }, cause }, { design: saved }) => {
    if (cause)
      return [
        {
          label: 'Take everything off, to lay it out anew',
          edit: setField('take everything off the hides', ['cutting', 'lying'], {}),
        },
      ]
    const off = {
      label: 'Take it off the hide',
      edit: layPiece(`take the ${piece} off the hide`, fault.id, undefined),
    }
    if (fault.what === 'angle')
      return [
        {
          label: 'Let it lie at any angle',
          edit: askOf(`let the ${piece} lie at any angle`, design, panel, {
            ...saved.cutting.asks[`${design}/${panel}`],
            lies: 'any',
          }),
        },
        off,
      ]
    if (fault.what === 'thickness' && role !== undefined) {
      const edit = leatherAsMeasured(saved, role, fault.is.mean)
      return edit ? [{ label: 'Reckon with what was measured there', edit }, off] : [off]
    }
    return [off]
  },
})
