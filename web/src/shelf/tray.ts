import { type ComputedRef, type Ref, computed, ref } from 'vue'
import { kindOf } from '@drumlin/core/kinds'
import type { Listed } from '../storage/jobs.js'

export type SortBy = 'changed' | 'name' | 'kind'
export const SORTS: readonly { readonly value: SortBy; readonly label: string }[] = [
  { value: 'changed', label: 'last changed first' },
  { value: 'name', label: 'by name' },
  { value: 'kind', label: 'by kind' },
]

const kindName = (id: string): string => {
  try {
    return kindOf(id).name
  } catch {
    // Of a kind this Drumlin does not know; its card says so.
    return id
  }
}

/** The jobs in their trays, sought and sorted. */
export function useTrays(jobs: Ref<readonly Listed[]>): {
  readonly sought: Ref<string>
  readonly sortBy: Ref<SortBy>
  readonly trays: ComputedRef<{ own: Listed[]; examples: Listed[]; away: Listed[] }>
} {
  const sought = ref('')
  const sortBy = ref<SortBy>('changed')
  const trays = computed(() => {
    const words = sought.value.toLowerCase().split(/\s+/).filter(Boolean)
    const found = jobs.value
      .map((job) => ({ job, kind: kindName(job.kind) }))
      .filter(({ job, kind }) => words.every((w) => `${job.name} ${kind}`.toLowerCase().includes(w)))
      .sort((a, b) =>
        sortBy.value === 'changed'
          ? b.job.updated - a.job.updated
          : sortBy.value === 'name'
            ? a.job.name.localeCompare(b.job.name)
            : a.kind.localeCompare(b.kind) || a.job.name.localeCompare(b.job.name),
      )
      .map(({ job }) => job)
    return {
      own: found.filter((j) => !j.example && !j.away),
      examples: found.filter((j) => j.example && !j.away),
      away: found.filter((j) => j.away),
    }
  })
  return { sought, sortBy, trays }
}
