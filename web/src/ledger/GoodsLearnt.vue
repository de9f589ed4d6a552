<script setup lang="ts">
import { computed } from 'vue'
import { type Spread, leatherLessons, stretchBy, threadFactors, wasteBy } from '@drumlin/core/learning'
import type { Leather } from '@drumlin/core/stores'
import { useStores } from '../job/stores.js'
import { countSaid } from '../make/words.js'
import { useBooks } from './books.js'
import { useLens } from './lens.js'
import { useOwnWays } from './ownWays.js'

/** What was left over, wasted and measured: the thread factor, stretch and skive of a leather, the waste of hides. */
const books = useBooks()
const stores = useStores()
const ways = useOwnWays()
const { kindName } = useLens()
interface Row {
  readonly key: string
  readonly says: string
  readonly spread: Spread
  readonly now: string
  readonly take: (() => void) | undefined
}
const percent = (v: number): string => `${Math.round(1000 * v) / 10} %`
const leatherOf = (name: string): Leather | undefined => stores.all.leathers.find((l) => l.name === name)
const own = (leather: Leather): boolean => !stores.isExample(leather.id)
/** Taken with what it was before, so that it can be given back. */
const put = (what: string, leather: Leather, path: readonly string[], now: number, then: number) => () =>
  void ways.take(what, [{ path: ['leather', leather.id, ...path], now, then }])
const differs = ({ low, high }: Spread, now: number): boolean => low > now || high < now

const threads = computed((): Row[] => {
  const taken = books.entries.flatMap((e) =>
    e.record.threads.flatMap((t) =>
      t.cut === undefined || t.left === undefined ? [] : [{ ...t, taken: t.cut - t.left }],
    ),
  )
  return [...threadFactors(taken)].flatMap(([name, spread]) => {
    const leather = leatherOf(name)
    if (!leather) return []
    const then = Math.round(100 * spread.value) / 100
    return [
      {
        key: `thread ${name}`,
        says: `${name}: a seam takes ${then} times the thread of the formula`,
        spread,
        now: String(leather.threadFactor),
        take:
          own(leather) && differs(spread, leather.threadFactor) && then >= 0.7 && then <= 1.5
            ? put(`thread factor of ${name}`, leather, ['threadFactor'], leather.threadFactor, then)
            : undefined,
      },
    ]
  })
})
const stretches = computed((): Row[] => {
  const straps = books.entries.flatMap((e) =>
    e.record.sizes.flatMap((s) =>
      s.strap && s.measured !== undefined ? [{ ...s.strap, reckoned: s.reckoned, measured: s.measured }] : [],
    ),
  )
  return [...stretchBy(straps)].flatMap(([key, spread]) => {
    const [name, way] = key.split('|') as [string, 'along' | 'across']
    const leather = leatherOf(name)
    if (!leather) return []
    const then = Math.max(0, Math.min(0.5, Math.round(1000 * spread.value) / 1000))
    return [
      {
        key: `stretch ${key}`,
        says: `${name}: straps ${way} the backbone lengthen by ${percent(spread.value)}`,
        spread,
        now: percent(leather.stretch[way]),
        take:
          own(leather) && differs(spread, leather.stretch[way])
            ? put(`stretch of ${name} ${way}`, leather, ['stretch', way], leather.stretch[way], then)
            : undefined,
      },
    ]
  })
})
const trials = computed((): Row[] => {
  const by = new Map<string, { leather: Leather; trials: Leather['trials'] }>()
  for (const t of books.entries.flatMap((e) => e.record.trials)) {
    const leather = leatherOf(t.leather)
    if (!leather) continue
    const found = by.get(leather.id) ?? { leather, trials: [] }
    found.trials.push(t.trial)
    by.set(leather.id, found)
  }
  const KEYS = [
    ['neutral', 'of its thickness keeps its length in a fold'],
    ['turn', 'of its thickness keeps its length in a turned edge'],
    ['atEdge', 'mm are left at an edge skived to nothing'],
  ] as const
  return [...by.values()].flatMap(({ leather, trials: measured }) => {
    const found = leatherLessons(leather, measured)
    return KEYS.flatMap(([key, words]): Row[] => {
      const learnt = found[key]
      if (!learnt) return []
      const then = Math.round(100 * learnt.value) / 100
      const spread = {
        value: learnt.value,
        low: learnt.value - 2 * learnt.error,
        high: learnt.value + 2 * learnt.error,
        makings: learnt.count,
      }
      return [
        {
          key: `${key} ${leather.id}`,
          says: `${leather.name}: ${then} ${words}`,
          spread,
          now: String(leather[key]),
          take:
            own(leather) && differs(spread, leather[key])
              ? put(`${key} of ${leather.name}`, leather, [key], leather[key], then)
              : undefined,
        },
      ]
    })
  })
})
const waste = computed((): Row[] => {
  const cut = books.entries.flatMap((e) => e.record.hides.map((h) => ({ ...h, kind: kindName(e.kind) })))
  return [...wasteBy(cut)].map(([key, spread]) => ({
    key: `waste ${key}`,
    says: `${key}: ${percent(spread.value)} of what is used up is waste`,
    spread,
    now: percent(books.trade.waste),
    take:
      spread.makings >= 3 && differs(spread, books.trade.waste)
        ? () =>
            void ways.take('waste of hides', [
              {
                path: ['trade', books.whose, 'waste'],
                now: books.trade.waste,
                then: Math.max(0, Math.min(0.9, Math.round(100 * spread.value) / 100)),
              },
            ])
        : undefined,
  }))
})
const rows = computed(() => [...threads.value, ...stretches.value, ...trials.value, ...waste.value])
const isSure = ({ low, high }: Spread): boolean => Number.isFinite(high - low)
</script>

<template>
  <section v-if="rows.length > 0" aria-label="Thread, leather and hides">
    <h2>Thread, leather and hides</h2>
    <ul>
      <li v-for="r in rows" :key="r.key">
        {{ r.says }}
        <span class="quiet"
          >({{ countSaid(r.spread.makings, 'reading', 'readings')
          }}{{ isSure(r.spread) ? '' : ', too few to tell how far it may be off' }}; reckoned with
          {{ r.now }})</span
        >
        <v-btn v-if="r.take" class="small" :aria-label="`Reckon with it: ${r.says}`" @click="r.take"
          >Reckon with it</v-btn
        >
      </li>
    </ul>
  </section>
</template>

<style scoped>
h2 {
  font-size: 17px;
  margin: 14px 0 4px;
}
ul {
  padding-left: 18px;
}
.quiet {
  color: var(--quiet);
}
</style>
