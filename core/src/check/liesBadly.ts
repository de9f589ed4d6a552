import { askOf, layPiece, setField } from '../design/index.js'
import { type LyingFault, type Wanted, groupsOf, judgeOf, pieceName } from '../hide/index.js'
import { printLength, printWeight } from '../measure/index.js'
import { type Found, type Rank, check } from './finding.js'
import type { Derived } from '../derived/index.js'

interface Data {
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

const FLAW_WORDS = {
  hole: 'a hole',
  scar: 'a scar',
  brand: 'a brand',
  'flesh cut': 'a cut on the flesh side',
  stain: 'a stain',
} as const
const ZONE_WORDS = {
  edge: 'the edge that is rarely used',
  wrinkled: 'the wrinkled part',
  stretchy: 'the stretchy part',
} as const

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
    // Two that meet are told once.
    return all.filter((f, i) => all.findIndex((g) => g.key === f.key) === i)
  },
  say: ({ data: { fault, piece, other, gap } }, unit) => {
    switch (fault.what) {
      case 'near':
        return {
          what: `The ${piece} and the ${other ?? 'other piece'} lie over one another, or nearer than ${printLength(gap, unit)}.`,
          why: 'The knife needs that room between two pieces.',
        }
      case 'off':
        return {
          what: `The ${piece} reaches beyond the hide.`,
          why: 'There is no leather there to cut it from.',
        }
      case 'angle':
        return {
          what: `The ${piece} lies at another angle to the backbone than it asks for.`,
          why: 'Leather stretches least along the backbone: a piece cut at an angle twists.',
        }
      case 'flaw':
        return {
          what: `The ${piece} lies over ${FLAW_WORDS[fault.sort]}.`,
          why: 'It would show there, or give way; under what covers it or in an allowance nobody would mind.',
        }
      case 'zone':
        return {
          what: `The ${piece} lies on ${ZONE_WORDS[fault.sort]} of the hide.`,
          why: 'What shows or bears a pull is cut from the firm; what is hidden may lie there.',
        }
      case 'pair':
        return {
          what: `The ${piece} and its twin, the ${other ?? 'other'}, lie ${printLength(fault.by, unit)} more apart across the hide than a pair should.`,
          why: 'Both of a pair come from like places, so that they stretch and look alike.',
        }
      case 'thickness':
        return {
          what: `The hide is ${printWeight(fault.is.min, unit)} to ${printWeight(fault.is.max, unit)} thick where the ${piece} lies; ${printWeight(fault.reckoned, unit)} is reckoned with.`,
          why: 'Folds, turned edges and holes are reckoned with its thickness.',
        }
    }
  },
  fixes: ({ data: { fault, piece, panel, design, role } }, { design: saved }) => {
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
    if (fault.what === 'thickness') {
      const leather = role === undefined ? undefined : saved.leathers[role]
      const thickness = Math.round(fault.is.mean * 20) / 20
      return leather && role !== undefined
        ? [
            {
              label: 'Reckon with what was measured there',
              edit: setField(`${leather.name} as measured on the hide`, ['leathers', role], {
                ...leather,
                use: 'own',
                thickness,
              }),
            },
            off,
          ]
        : [off]
    }
    return [off]
  },
})
