import type { Move } from '../geometry/index.js'
import type { Clip, Concern, Fit, Join, MasterSize, Panel, PanelMark } from '../master/index.js'
import type { RawParams, Sentence, Settings } from '../settings/index.js'
import type { Hardware, HardwareSort, Leather } from '../stores/index.js'
import type { Reckon, Reckoned } from '../working/index.js'
import type { Spot } from './place.js'

/** What a part that is put on a panel may know: the panel, where it is put, and what it is made of. */
export interface Asked<P = RawParams> {
  readonly id: string
  readonly name: string
  readonly p: P
  readonly host: Panel
  readonly side: 'grain' | 'flesh'
  readonly edge: string
  /** One place, or two that mirror each other; at least one. */
  readonly spots: readonly Spot[]
  /** Thickness of what the host is cut from, mm. */
  readonly thickness: number
  readonly leathers: Readonly<Record<string, Leather>>
  readonly hardware: Readonly<Record<string, Hardware>>
  readonly reckon: Reckon
}

/** What a sort with these settings is asked with. */
export type AskedBy<S> = S extends Settings<infer P> ? Asked<P> : never

/** Sheets a part lies on or among, and what to call its seam there. */
export interface Names {
  readonly own: string
  readonly host: string
  readonly id: string
  readonly name: string
  /** Sheets behind the host at that place that were put there before it. */
  readonly behind: readonly string[]
}

/** A sheet of a piece: where it lies on its host, and what of it where it is folded. */
export interface Laid {
  /** Tells the parts of a folded piece apart; nothing for the one on top. */
  readonly suffix: string
  /** From the piece's coordinates to those of the host. */
  readonly move: Move
  readonly clips: readonly Clip[]
  /** Its other side up: folded back, or on the other side of the host without being turned over itself. */
  readonly turned?: boolean
  /** Through a slot of the host: it lies on the host's other side. */
  readonly beneath?: boolean
  /** Hangs there free: not sewn in with what lies under it. */
  readonly loose?: true
}

/** A piece that a part brings, where it lies on its host, and how it is held there. */
export interface Lying {
  readonly panel: Panel
  readonly side: 'grain' | 'flesh'
  /** Its sheets, those nearest to the host first. */
  readonly lies: (spot: Spot) => readonly Laid[]
  readonly joins: (names: Names) => readonly Join[]
  /** It goes round its host, over the seams that are there: they don't go through it. */
  readonly over?: boolean
  /** What of it lies there has to lie on the host; without it only a piece that lies whole has to. */
  readonly within?: boolean
}

/** A piece that lies flat and whole. */
export const flat = (move: Move): readonly Laid[] => [{ suffix: '', move, clips: [] }]

/** Hardware that a part brings, at each of its places. */
export interface Holding {
  /** Set through what lies there of the host, what was put on it, and all else where so wanted. */
  readonly through: 'host' | 'all' | 'none'
  /** Which of the part's hardware it is; nothing for the only one. */
  readonly suffix?: string
  readonly half?: 'upper' | 'lower'
  /** What has to be known of it to set it. */
  readonly said?: string
  /** Set before this seam of the part is sewn: what follows `added-1-seam` in its id. */
  readonly before?: string
  /** The part's own piece that covers it later: it is not set through that. */
  readonly under?: string
  /** Length of a zip, mm. */
  readonly length?: Reckoned
}

/** All that a part brings to the work. */
export interface Brought {
  readonly pieces?: readonly Lying[]
  readonly holding?: Holding
  /** What it makes of the panel it is put on. */
  readonly host?: (panel: Panel) => Panel
  /** Edges of the host that it parted: by the edge's id those it is now, in the order of the outline. */
  readonly parted?: Readonly<Record<string, readonly string[]>>
  /** Marks on the host and, where `through`, on all that lies there, in the host's coordinates. */
  readonly marks?: (spot: Spot, id: string) => readonly PanelMark[]
  readonly through?: boolean
  readonly sizes?: readonly MasterSize[]
  readonly fits?: readonly Fit[]
  readonly concerns?: readonly Concern[]
}

/** A leather of its own that a part is cut from; `suffix` tells it from another of the same part. */
export interface OwnLeather<P> {
  readonly suffix: '' | '-lining' | '-cover'
  readonly label: string
  readonly when?: (params: P) => boolean
}

/** Hardware of its own that a part brings; `suffix` tells it from what it brings instead with other settings. */
export interface OwnHardware<P> {
  readonly suffix: string
  readonly sort: HardwareSort
  readonly when?: (params: P) => boolean
}

/** A sort of thing that can be put on any panel: one file each. */
export interface AddedSort<P = RawParams> {
  readonly id: string
  /** As it is offered and first called: “patch”. */
  readonly name: string
  /** What it is for, in a line. */
  readonly about: string
  /** At a place of the panel, at a place of one of its edges, or all along one. */
  readonly takes: 'spot' | 'rim' | 'edge'
  /** Whether it may be on either side of the panel. */
  readonly sided: boolean
  readonly settings: Settings<P>
  readonly leathers: readonly OwnLeather<P>[]
  readonly hardware?: readonly OwnHardware<P>[]
  readonly says: readonly Sentence[]
  /** Where it is put if nobody said: mm in from the edge and aside of its middle. */
  readonly usual?: {
    /** Settings that say how large it is: it comes smaller where there is less room. */
    readonly size?: readonly string[]
    readonly inward?: number
    readonly side?: 'grain' | 'flesh'
  }
  readonly make: (asked: Asked<P>) => Brought
}

/** A sort with its own settings closed over: what is saved of it is read before it is made. */
export function defineSort<P extends RawParams>(sort: AddedSort<P>): AddedSort {
  const { read } = sort.settings
  const closed = <Own extends { readonly when?: (params: P) => boolean }>(own: Own) => {
    const { when, ...rest } = own
    return { ...rest, ...(when ? { when: (raw: RawParams) => when(read(raw)) } : {}) }
  }
  return {
    ...sort,
    settings: { ...sort.settings, proposed: (raw) => sort.settings.proposed(read(raw)) },
    leathers: sort.leathers.map(closed),
    hardware: (sort.hardware ?? []).map(closed),
    make: (asked) => sort.make({ ...asked, p: read(asked.p) }),
  }
}
