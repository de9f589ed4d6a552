import { useTimeoutFn } from '@vueuse/core'
import { type ComputedRef, type Ref, computed, onMounted, ref, shallowRef } from 'vue'
import type { kindMaybe } from '@drumlin/core/kinds'
import type { Listed } from '../storage/records.js'

/** When what opens a job is fetched, after the shelf was drawn, ms. */
const AFTER_THE_SHELF = 600

export type SortBy = 'changed' | 'name' | 'kind'
export const SORTS: readonly { readonly value: SortBy; readonly label: string }[] = [
  { value: 'changed', label: 'last changed first' },
  { value: 'name', label: 'by name' },
  { value: 'kind', label: 'by kind' },
]

/** The jobs in their trays, sought and sorted. */
export function useTrays(jobs: Ref<readonly Listed[]>): {
  readonly sought: Ref<string>
  readonly sortBy: Ref<SortBy>
  readonly trays: ComputedRef<{ own: Listed[]; examples: Listed[]; away: Listed[] }>
} {
  const sought = ref('')
  const sortBy = ref<SortBy>('changed')
  // Kinds come with all that they reckon: fetched when the shelf has been drawn, and with them what the next click needs.
  const kinds = shallowRef<{ readonly kindMaybe: typeof kindMaybe }>()
  const fetchKinds = async (): Promise<void> => void (kinds.value = await import('@drumlin/core/kinds'))
  const { start } = useTimeoutFn(fetchKinds, AFTER_THE_SHELF, { immediate: false })
  onMounted(start)
  /** A kind this Drumlin does not know keeps its id; its card says so. */
  const kindName = (id: string): string => kinds.value?.kindMaybe(id)?.name ?? id
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
