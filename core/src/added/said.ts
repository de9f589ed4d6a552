import type { Panel } from '../master/index.js'
import { type Field, type Sentence, choice, length, number } from '../settings/index.js'
import { AGAINST, REACH, asideWay, waySaid } from './place.js'
import type { Added } from './schema.js'
import { sortOf } from './sorts.js'
import { required } from '../lists/index.js'

const SIDE = choice('which side of it', 'grain', [
  ['grain', 'on the grain side', 'what is seen of the leather'],
  ['flesh', 'on the flesh side', 'behind it'],
])
const BOTH = choice('once or twice', 'once', [
  ['once', 'once', 'there only'],
  ['mirrored', 'and once more as far to the other side', 'for what stands in pairs'],
])
const INWARD = length('how far in from the edge', ...REACH.inward, 20)
const ASIDE = length('how far aside of its middle', ...REACH.aside, 0)
const TURNED = number('degrees turned', -180, 180, 0, 5)

/** The settings of a part where it lies on its panel, each at its place in the saved design. */
export function addedFields(id: string, part: Added, panel: Panel | undefined): readonly Field[] {
  const sort = sortOf(part.sort)
  const at = (key: string): string[] => ['added', id, key]
  const way = panel && asideWay(panel, part.edge)
  const edge: Field = {
    type: 'choice',
    id: 'edge',
    label: 'which edge',
    path: at('edge'),
    choices: (panel?.edges ?? []).map((e) => ({
      value: e.id,
      label: e.name,
      why: `of the ${required(panel, 'panel').name.toLowerCase()}`,
    })),
  }
  const place: Field[] = [
    edge,
    INWARD.field('inward', at('inward')),
    {
      ...ASIDE.field('aside', at('aside')),
      ...(way
        ? {
            label: `how far ${waySaid(way)} its middle`,
            hint: `less than nothing is ${waySaid(AGAINST[way])} it`,
          }
        : {}),
    },
    TURNED.field('turned', at('turned')),
    BOTH.field('both', at('both')),
    SIDE.field('side', at('side')),
  ]
  const own = sort.settings.fields.map((f): Field => ({ ...f, path: ['added', id, ...f.path] }))
  const leathers = sort.leathers.map((l): Field => ({
    type: 'leather',
    id: `leather${l.suffix}`,
    label: `leather of the ${l.label}`,
    path: ['leathers', `${id}${l.suffix}`],
    role: `${id}${l.suffix}`,
    ...(l.when ? { when: l.when } : {}),
  }))
  const hardware = (sort.hardware ?? []).map((own): Field => ({
    type: 'hardware',
    id: `hardware${own.suffix}`,
    label: sort.name,
    path: ['hardware', `${id}${own.suffix}`],
    role: `${id}${own.suffix}`,
    sort: own.sort,
    ...(own.when ? { when: own.when } : {}),
  }))
  return [...place, ...own, ...leathers, ...hardware]
}

/** Where a part lies, in a sentence. */
function placeSentence(part: Added, panel: Panel | undefined): Sentence {
  const sort = sortOf(part.sort)
  const way = waySaid(panel ? asideWay(panel, part.edge) : 'right of')
  if (sort.takes === 'edge') return `Along the {edge}${sort.sided ? ', {side}' : ''}.`
  if (sort.takes === 'rim') return `At the {edge}, {aside} ${way} its middle, {both}.`
  const side = sort.sided ? ', {side}' : ''
  return `{inward} from the {edge}, {aside} ${way} its middle, turned by {turned} degrees, {both}${side}.`
}

/** What is said of a part of this sort, with its settings in place. */
export function addedSentences(part: Added, panel: Panel | undefined): readonly Sentence[] {
  const sort = sortOf(part.sort)
  const materials = [
    ...(sort.leathers.some((l) => l.suffix === '') ? ['Of {leather}[, lined with {leather-lining}].'] : []),
    ...(sort.leathers.some((l) => l.suffix === '-cover') ? ['[Its cover of {leather-cover}.]'] : []),
    ...(sort.hardware ?? []).map((own) => `[Hardware: {hardware${own.suffix}}.]`),
  ]
  return [
    ...materials.map((m) =>
      sort.leathers.some((l) => l.suffix === '-lining')
        ? m
        : m.replace('[, lined with {leather-lining}]', ''),
    ),
    ...sort.says,
    placeSentence(part, panel),
  ]
}

const OWN = { '-lining': 'Lining', '-cover': 'Cover' } as const

/** Leathers a part is cut from, by role, and how they are called. */
export const addedLeathers = (id: string, part: Added): readonly { role: string; label: string }[] =>
  sortOf(part.sort)
    .leathers.filter((l) => l.when?.(part.params) ?? true)
    .map((l) => ({
      role: `${id}${l.suffix}`,
      label: l.suffix === '' ? part.name : `${OWN[l.suffix]} of the ${part.name.toLowerCase()}`,
    }))
