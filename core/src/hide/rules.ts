import { type Point, type Region, regionArea, regionOutlines } from '../geometry/index.js'
import type { Demand } from '../design/index.js'
import type { GroundSort } from './stands.js'

/** Seen areas smaller than this are no more than the gap beside what covers the rest, mm². */
const SPECK = 60

/**
 * Which part of a piece has to keep off a sort of ground: outlines in the piece’s own coordinates, none where it may lie there.
 * What shows needs clean grain only where that is seen; what bears a pull needs the firm; a cut on the flesh side matters where the
 * piece is skived. What is hidden keeps off the best where that is asked for.
 */
export function keepsOff(demand: Demand, sort: GroundSort, sparing: boolean): readonly (readonly Point[])[] {
  const { outline, shows, bears, leather } = demand
  const whole = [outline]
  const large = (region: Region): readonly (readonly Point[])[] =>
    regionOutlines(region).filter((o) => regionArea([o]) > SPECK)
  const seen = (): readonly (readonly Point[])[] => {
    const parts = large(demand.seen)
    return parts.length > 0 ? parts : whole
  }
  if (!leather) return sort === 'off' || sort === 'hole' ? whole : []
  switch (sort) {
    case 'off':
    case 'hole':
      return whole
    case 'edge':
    case 'wrinkled':
    case 'stretchy':
      return shows || bears ? whole : []
    case 'best':
      return sparing && !shows && !bears ? whole : []
    case 'scar':
    case 'brand':
      return bears ? whole : shows ? seen() : []
    case 'stain':
      return shows ? seen() : []
    case 'flesh cut':
      return large(demand.thinned)
  }
}
