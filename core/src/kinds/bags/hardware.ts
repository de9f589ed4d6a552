import type { HardwareRole } from '../kind.js'
import type { BagParams } from './params.js'

/** Hardware a bag may ask for. */
export const BAG_HARDWARE: readonly HardwareRole<BagParams>[] = [
  { id: 'snap', label: 'Snap', sort: 'snap', usual: 12.5, when: (p) => p.closure === 'snap' },
  { id: 'magnet', label: 'Magnet', sort: 'magnet', usual: 18, when: (p) => p.closure === 'magnet' },
  { id: 'lock', label: 'Lock', sort: 'lock', usual: 34, when: (p) => p.closure === 'lock' },
  { id: 'zip', label: 'Zip', sort: 'zip', usual: 32, when: (p) => p.closure === 'zip' },
  {
    id: 'rivet',
    label: 'Rivets',
    sort: 'rivet',
    usual: 9,
    when: (p) => p.handle !== 'none' && p.handle !== 'ring' && p.handleFix === 'riveted',
  },
  {
    id: 'ring',
    label: 'Rings of the strap',
    sort: 'ring',
    usual: 35,
    when: (p) => p.strap !== 'none',
  },
  {
    id: 'handle-ring',
    label: 'Rings of the handle',
    sort: 'ring',
    usual: 25,
    when: (p) => p.handle === 'ring',
  },
  {
    id: 'hook',
    label: 'Swivel hooks',
    sort: 'hook',
    usual: 35,
    when: (p) => p.strap === 'shoulder' && p.strapEnds === 'hooks',
  },
  { id: 'buckle', label: 'Buckle', sort: 'buckle', usual: 35, when: (p) => p.strap !== 'none' },
  { id: 'foot', label: 'Feet', sort: 'foot', usual: 10, when: (p) => p.feet === 'feet' },
]
