import { type Finding, sayFinding } from '@drumlin/core/check'
import type { Derived } from '@drumlin/core/derived'
import { type Field, fieldsOf } from '@drumlin/core/kinds'
import type { Units } from '@drumlin/core/measure'
import { ENTRIES } from '@drumlin/core/pocketbook'
import type { RouteLocationRaw } from 'vue-router'
import { type Hit, placeOf } from './found.js'
import { SCREENS } from './screens.js'

/** What can be done from anywhere. */
export interface Act {
  readonly title: string
  readonly words: string
  readonly act: () => void
}

interface Known {
  readonly jobId: string | undefined
  readonly derived: Derived | undefined
  readonly findings: readonly Finding[]
  readonly jobs: readonly { readonly id: string; readonly name: string }[]
  readonly stores: Readonly<
    Record<keyof typeof SHELVES, readonly { readonly id: string; readonly name: string }[]>
  >
  readonly unit: Units
  readonly acts: readonly Act[]
}

const wordsOf = (field: Field): string =>
  [
    field.hint ?? '',
    field.id,
    ...(field.type === 'choice' ? field.choices.map((c) => `${c.label} ${c.why}`) : []),
  ].join(' ')

function jobHits({ jobId, derived, findings, unit }: Known): Hit[] {
  if (!jobId || !derived) return []
  const params = { id: jobId }
  const draft = (query: Record<string, string>): RouteLocationRaw => ({ name: 'draft', params, query })
  return [
    ...derived.pieces.map((p): Hit => ({
      key: `piece ${p.id}`,
      title: p.name,
      type: 'piece',
      to: draft({ piece: p.id }),
    })),
    ...fieldsOf(derived.kind).map((f): Hit => {
      const idle = f.when !== undefined && !f.when(derived.design.params)
      return {
        key: `setting ${f.id}`,
        title: f.label,
        type: idle ? 'setting, plays no part now' : 'setting',
        words: wordsOf(f),
        to: { params, ...placeOf(derived, f) },
      }
    }),
    ...findings.map((f): Hit => ({
      key: `finding ${f.key}`,
      title: sayFinding(f, unit).what,
      type: 'finding',
      to: draft({ finding: f.key }),
    })),
    ...derived.runs.map((r): Hit => ({
      key: `run ${r.join.id}`,
      title: r.join.name,
      type: 'run of stitches',
      to: { name: 'seams', params, query: { run: r.join.id } },
    })),
  ]
}

/** The stores by their shelves, as they are called there. */
const SHELVES = {
  leathers: 'leather',
  irons: 'iron',
  awls: 'awl',
  threads: 'thread',
  machines: 'machine',
  hardware: 'hardware',
  things: 'thing to carry',
} as const

/** Everything that can be found from here, what is nearest to the work first. */
export function hitsOf(known: Known): Hit[] {
  const { jobId, jobs, stores, acts } = known
  return [
    ...SCREENS.filter((s) => s.of !== 'part' && (jobId || s.of === 'house')).map((s): Hit => ({
      key: `screen ${s.name}`,
      title: s.label,
      type: 'screen',
      words: s.words,
      to: { name: s.name, params: s.of === 'house' || !jobId ? {} : { id: jobId } },
    })),
    ...jobHits(known),
    ...acts.map((a): Hit => ({ key: `act ${a.title}`, type: 'to do', ...a })),
    ...jobs
      .filter((j) => j.id !== jobId)
      .map((j): Hit => ({
        key: `job ${j.id}`,
        title: j.name,
        type: 'job',
        to: { name: 'draft', params: { id: j.id } },
      })),
    ...(Object.keys(SHELVES) as (keyof typeof SHELVES)[]).flatMap((shelf) =>
      stores[shelf].map((one): Hit => ({
        key: `${shelf} ${one.id}`,
        title: one.name,
        type: `${SHELVES[shelf]} in the stores`,
        to: { name: 'stores', query: { good: one.id } },
      })),
    ),
    ...ENTRIES.map((e): Hit => ({
      key: `reckoner ${e.id}`,
      title: e.title,
      type: 'reckoner',
      words: e.says,
      to: { name: 'pocket-book', params: { entry: e.id } },
    })),
  ]
}
