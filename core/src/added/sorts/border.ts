import { type Path, offsetLargestMaybe, pathLength, pathPart, pathStart } from '../../geometry/index.js'
import { type Panel, insetChainMaybe } from '../../master/index.js'
import { choice, length, settings } from '../../settings/index.js'
import { given } from '../../working/index.js'
import { type AddedSort, defineSort } from '../sort.js'

const SETTINGS = settings({
  along: choice('where it runs', 'edge', [
    ['edge', 'along this edge', 'from one corner of it to the other'],
    ['round', 'all round the piece', 'as far in everywhere'],
  ]),
  inset: length('from the edge to the middle of the border', 2, 80, 9),
  broad: length('breadth of the border', 1, 30, 5),
  stamp: length('length of one stamp', 1, 40, 6),
})

/** The line so far inside an edge, its ends as far from the neighbouring ones; undefined where no room is left. */
function insideLine(
  host: Panel,
  edge: string,
  round: boolean,
  inset: number,
  ends: number,
): Path | undefined {
  if (round) return offsetLargestMaybe(host.outline, -inset)
  const whole = insetChainMaybe(host, [edge], inset)
  const left = whole ? pathLength(whole) - 2 * ends : 0
  return whole && left > 1 ? pathPart(whole, ends, ends + left) : undefined
}

/** A border of stamps inside an edge, in whole stamps that come out even. */
export const border: AddedSort = defineSort({
  id: 'border',
  name: 'border',
  about: 'a border of stamps inside an edge, in whole stamps; keep skives, seams and rivets off it',
  takes: 'edge',
  sided: false,
  settings: SETTINGS,
  leathers: [],
  says: ['It runs {along}, its middle {inset} in, {broad} broad, of a stamp {stamp} long.'],
  make: ({ id, name, p, host, edge, reckon }) => {
    const round = p.along === 'round'
    const line = (inset: number) => insideLine(host, edge, round, inset, p.inset)
    const along = line(p.inset)
    if (!along) return { concerns: [noRoom(id, name, host)] }
    const long = given('border', pathLength(along))
    const count = reckon(
      {
        key: `${id}.count`,
        label: 'stamps in the border',
        formula: '{long} / {stamp}, rounded, at least 1',
        source: '§7',
        quantity: 'count',
      },
      { long, stamp: given('stamp', p.stamp) },
    )
    const pitch = reckon(
      { key: `${id}.pitch`, label: 'from stamp to stamp', formula: '{long} / {count}', source: '§7' },
      { long, count },
    )
    return {
      sizes: [count, pitch].map((size) => ({ panelId: host.id, size })),
      marks: (_spot, markId) => [
        {
          type: 'lines',
          id: markId,
          at: pathStart(along),
          paths: [line(p.inset - p.broad / 2), line(p.inset + p.broad / 2)].flatMap((l) => l ?? []),
          said: `${name.toLowerCase()}: ${count.value} stamps`,
          stamped: { along, broad: p.broad, name: name.toLowerCase() },
        },
      ],
    }
  },
})

/** Where no line is left so far in. */
const noRoom = (id: string, name: string, host: Panel) => ({
  id: `${id}-no-room`,
  rank: 'look' as const,
  panelId: host.id,
  at: pathStart(host.outline),
  what: `The ${name.toLowerCase()} has no room on the ${host.name.toLowerCase()}`,
  why: 'So far in from that edge no line is left. Let it run nearer to the edge, or along a longer one.',
})
