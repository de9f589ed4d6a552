import { setField } from '../design/index.js'
import { fieldsOf } from '../kinds/index.js'
import { printLength } from '../measure/index.js'
import { packingOf, sideMade } from '../wholeWork.js'
import type { Check, Fix } from './finding.js'

const SLACK = 0.05
const SIDES = [
  ['wide', 'width'],
  ['high', 'height'],
  ['deep', 'depth'],
] as const

/** What is to go in does not fit, or does not go through the mouth. */
export const contentsFit: Check = {
  code: 'contents-fit',
  find: (derived) => {
    const { room } = derived.master
    const packing = packingOf(derived)
    if (!room || !packing || packing.packed.length === 0) return []
    const at = { panelId: room.panelId, at: { x: 30, y: 30 } }
    const short = SIDES.filter(([side]) => packing.needs[side] > room[side].value + SLACK)
    const inside = short.map(([side, word]) => ({
      key: `contents-fit:${side}`,
      code: 'contents-fit',
      rank: 'stop' as const,
      places: [at],
      numbers: { needs: packing.needs[side], has: room[side].value },
      words: { side, word, mouth: '' },
    }))
    const stuck = packing.packed
      .filter((q) => q.wide > room.mouthWide.value + SLACK || q.deep > room.mouthDeep.value + SLACK)
      .map((q) => ({
        key: `contents-fit:mouth:${q.thing.id}`,
        code: 'contents-fit',
        rank: 'stop' as const,
        places: [at],
        numbers: { needs: Math.max(q.wide, q.deep), has: room.mouthWide.value },
        words: { side: 'wide', word: 'mouth', mouth: q.thing.name },
      }))
    return [...inside, ...(short.length === 0 ? stuck : [])]
  },
  say: ({ numbers, words }, unit) =>
    words.mouth
      ? {
          what: `The ${words.mouth} does not go through the mouth, which is ${printLength(numbers.has!, unit)} wide.`,
          why: 'It fits inside, but can’t be put in or pulled out.',
        }
      : {
          what: `What goes in needs ${printLength(numbers.needs!, unit)} of ${words.word}; there are ${printLength(numbers.has!, unit)}.`,
          why: 'Room round it is counted. Make the bag larger, or carry less.',
        },
  fixes: ({ numbers, words }, derived, _tryOut, unit): Fix[] => {
    const { master, kind } = derived
    const side = SIDES.map(([one]) => one).find((one) => one === words.side)
    if (!side || !master.room || words.mouth) return []
    const changes = sideMade(derived, side, numbers.needs!)
    const field = fieldsOf(kind).find((f) => f.id === changes[0]!.path[1])
    if (!field) return []
    const larger = `the ${field.label} ${printLength(Number(changes[0]!.value), unit)}`
    const walls =
      side === 'deep' && master.room.dividers.count > 0
        ? fieldsOf(kind).find((f) => f.id === 'divider')
        : undefined
    return [
      { label: `Make ${larger}`, edit: { name: larger.slice('the '.length), changes } },
      ...(walls
        ? [{ label: 'Leave the divider out', edit: setField('no divider', walls.path, 'none') }]
        : []),
    ]
  },
}
