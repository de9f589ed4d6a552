import { type EdgeSkive } from '../../master/index.js'
import { type Bag } from './bag.js'

/** What a seam's border is thinned to, if it is. */
export const seamSkives = (
  { p, margin }: Bag,
  chain: readonly string[],
  thickness: number,
  name: string,
): { skives?: readonly EdgeSkive[] } =>
  p.seamSkive === 'none'
    ? {}
    : {
        skives: [
          {
            key: `seam.${name}`,
            name: 'seam allowance',
            chain,
            width: margin.value + 2,
            start: thickness / 2,
            end: thickness / 2,
          },
        ],
      }
