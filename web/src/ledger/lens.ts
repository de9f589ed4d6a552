import { type Entry, type Lens, dayOfEntry, seenThrough } from '@drumlin/core/ledger'
import { kindOf } from '@drumlin/core/kinds'
import { computed, reactive } from 'vue'
import { useBooks } from './books.js'

const unique = (all: readonly string[]): string[] => [...new Set(all)].toSorted()

/** Which makings are looked at: by year, kind, client and leather; the same on every page of the ledger. */
const lens = reactive<{ year: string; kind: string; client: string; leather: string }>({
  year: '',
  kind: '',
  client: '',
  leather: '',
})

export function useLens() {
  const books = useBooks()
  const asked = computed((): Lens => ({
    year: lens.year || undefined,
    kind: lens.kind || undefined,
    client: lens.client || undefined,
    leather: lens.leather || undefined,
  }))
  const seen = computed((): readonly Entry[] => seenThrough(books.entries, asked.value))
  const kindName = (id: string): string => {
    try {
      return kindOf(id).name
    } catch {
      return id
    }
  }
  const years = computed(() => unique(books.entries.map((e) => dayOfEntry(e).slice(0, 4))))
  const kinds = computed(() => unique(books.entries.map((e) => e.kind)))
  const leathers = computed(() => unique(books.entries.flatMap((e) => e.leathers)))
  return { lens, seen, years, kinds, leathers, kindName }
}
