import { firstOf, lastOf } from '../../../lists/index.js'
import { point, polyline, type Path, type Point } from '../../../geometry/index.js'
import { type Join } from '../../../master/index.js'
import { lineSeam } from '../../parts/seams.js'
import { type Bag } from '../bag.js'
import { apexOf, rays, type Fan } from './fanSide.js'
import { type Profile } from './profile.js'
import { TOP_IN } from '../seam.js'

/** Sides that fold, sewn to front and back; those to each other along the foot; a second row where there is one. */
export function fanSeams(bag: Bag, profile: Profile, fan: Fan): Join[] {
  return [
    ...rowsAt(bag, profile, fan, 0),
    ...(bag.second === undefined ? [] : rowsAt(bag, profile, fan, bag.second)),
  ]
}

/** All rows `by` out in the allowances. */
function rowsAt({ margin }: Bag, profile: Profile, fan: Fan, by: number): Join[] {
  const m = margin.value
  const wide = profile.span + 2 * m
  const [suffix, words] = by > 0 ? ['-second', ', second row'] : ['', '']
  const apex = apexOf(fan, m)
  const all = rays(fan)
  const [first, last] = [firstOf(all), lastOf(all)]
  /** Down along the first or last fold line of a flat side, so far out beside it. */
  const edgeLine = (ray: Point): Path => {
    const aside = ray === first ? -by : by
    const at = (r: number) => point(apex.x + ray.x * r - ray.y * aside, apex.y + ray.y * r + ray.x * aside)
    return polyline([at(fan.rise - TOP_IN), at(0)])
  }
  const side = (face: 'front' | 'back', at: 'right' | 'left', sheet: string, ray: Point): Join => {
    const x = at === 'right' ? wide - m + by : m - by
    return {
      ...lineSeam({
        id: `${face}-${at}${suffix}`,
        ...(by > 0 ? { beside: `${face}-${at}` } : {}),
        name: `${at} seam of the ${face}${words}`,
        sheet: face,
        points: [point(x, TOP_IN), point(x, profile.rise)],
        through: [face, sheet],
        twin: `${face}-${at === 'right' ? 'left' : 'right'}${suffix}`,
        pairName: `side seams of the ${face}${words}`,
      }),
      mate: { type: 'line', sheet, line: edgeLine(ray) },
    }
  }
  const foot = profile.rise + by
  return [
    side('front', 'right', 'side-right', first),
    side('front', 'left', 'side-left', last),
    side('back', 'right', 'side-left', first),
    side('back', 'left', 'side-right', last),
    {
      ...lineSeam({
        id: `foot-seam${suffix}`,
        ...(by > 0 ? { beside: 'foot-seam' } : {}),
        name: `foot seam${words}`,
        sheet: 'front',
        points: [point(wide - m, foot), point(m, foot)],
        through: ['front', 'back'],
      }),
      mate: { type: 'line', sheet: 'back', line: polyline([point(m, foot), point(wide - m, foot)]) },
    },
  ]
}
