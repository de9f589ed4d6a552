<script setup lang="ts">
import { useFigures } from '../app/figures.js'
import { computed } from 'vue'
import { moneySaid } from '@drumlin/core/money'
import type { Bill, BillLine, UnitPrice } from '@drumlin/core/price'
import { explainLine } from '@drumlin/core/working'
import { useSettings } from '../app/settings.js'
import PackPrice from './PackPrice.vue'
import type { Bills } from './bills.js'

const figure = useFigures()
/** The bill of one piece, line by line, beside each other for several numbers made together; a line opens to its working. */
const props = defineProps<{ bills: Bills }>()
const settings = useSettings()
const all = computed(() => props.bills.bills.value)
const trade = computed(() => props.bills.trade.value)
interface Row {
  readonly key: string
  readonly what: string
  readonly lines: readonly (BillLine | undefined)[]
}
const rows = computed((): Row[] => {
  const keys = [...new Map(all.value.flatMap((b) => b.lines.map((l) => [l.key, l.what] as const)))]
  return keys.map(([key, what]) => ({
    key,
    what,
    lines: all.value.map((b) => b.lines.find((l) => l.key === key)),
  }))
})
const headers = computed(() => [
  { title: 'Line', key: 'what', align: 'start' as const, sortable: false },
  ...all.value.map((b, i) => ({
    title: b.count === 1 ? '1 piece' : `each of ${b.count}`,
    key: `n${i}`,
    align: 'end' as const,
    sortable: false,
  })),
])
const said = (value: number): string => moneySaid(value, trade.value.currency)
const rangeSaid = (l: BillLine): string => (l.high - l.low < 0.005 ? '' : `${said(l.low)} to ${said(l.high)}`)
const missingOf = (row: Row): BillLine['missing'] => row.lines.find((l) => l?.missing)?.missing
const write = (what: string, price: UnitPrice): void =>
  props.bills.set({ prices: { ...trade.value.prices, [what]: price } })
const working = (b: Bill, row: Row): string => {
  const line = b.lines.find((l) => l.key === row.key)
  return line?.value ? explainLine(line.value, settings.unit) : ''
}
const total = (b: Bill): string => explainLine(b.price, settings.unit)
</script>

<template>
  <v-data-table
    :headers="headers"
    :items="rows"
    item-value="key"
    :items-per-page="-1"
    class="compared named bill"
    density="compact"
    expand-on-click
    fixed-header
    hide-default-footer
    aria-label="The bill"
  >
    <template #[`item.what`]="{ item, internalItem, isExpanded, toggleExpand }">
      <v-btn
        variant="plain"
        class="label"
        :aria-expanded="isExpanded(internalItem) ? 'true' : 'false'"
        @click.stop="toggleExpand(internalItem)"
        ><span aria-hidden="true">{{ isExpanded(internalItem) ? '▾' : '▸' }} </span>{{ item.what }}</v-btn
      >
      <span v-if="missingOf(item)" class="missing">
        {{ missingOf(item)!.why }}:
        <PackPrice
          :what="item.what"
          :unit="missingOf(item)!.unit"
          :currency="trade.currency"
          @click.stop
          @change="(p) => write(item.what, p)"
        />
      </span>
    </template>
    <template v-for="(_, i) in all" :key="i" #[`item.n${i}`]="{ item }">
      <span v-if="item.lines[i]?.value" class="figure" :title="rangeSaid(item.lines[i]!)">{{
        said(item.lines[i]!.value!.value)
      }}</span>
      <span v-else-if="item.lines[i]" class="none">not known</span>
      <span v-else class="none">–</span>
    </template>
    <template #expanded-row="{ item, columns }">
      <tr class="working">
        <td :colspan="columns.length">
          <p v-for="b in all" :key="b.count">
            <template v-if="working(b, item)"
              ><span class="quiet">{{ b.count === 1 ? 'one:' : `of ${b.count}:` }}</span>
              {{ working(b, item) }}</template
            >
          </p>
          <PackPrice
            v-if="trade.prices[item.what]"
            :what="item.what"
            :unit="trade.prices[item.what]!.unit"
            :currency="trade.currency"
            :known="trade.prices[item.what]"
            @change="(p) => write(item.what, p)"
          />
        </td>
      </tr>
    </template>
    <template #[`body.append`]>
      <tr class="sum">
        <th scope="row">Cost</th>
        <td v-for="b in all" :key="b.count">{{ said(b.cost.value) }}</td>
      </tr>
      <tr class="sum price">
        <th scope="row">To ask</th>
        <td v-for="b in all" :key="b.count" :title="total(b)">{{ said(b.price.value) }}</td>
      </tr>
      <tr class="range">
        <th scope="row">it may come to</th>
        <td v-for="b in all" :key="b.count">{{ said(b.low) }} to {{ said(b.high) }}</td>
      </tr>
      <tr class="range">
        <th scope="row">hours for one</th>
        <td v-for="b in all" :key="b.count">{{ figure(b.hours, 1) }} h</td>
      </tr>
      <tr class="range">
        <th scope="row">an hour earns at that price</th>
        <td v-for="b in all" :key="b.count">{{ said(bills.earns(b, b.price.value).value) }}</td>
      </tr>
    </template>
  </v-data-table>
</template>

<style scoped>
.bill {
  background: none;
}
.label {
  text-align: left;
}
.missing {
  display: block;
  color: var(--rowan);
  font-size: 14px;
}
.figure,
.sum td,
.range td {
  font-family: var(--mono);
  text-align: right;
  white-space: nowrap;
}
.none {
  color: var(--quiet);
}
.working td {
  padding: 6px 16px 10px;
  background: var(--ground);
}
.working p {
  margin: 2px 0;
}
.quiet {
  color: var(--quiet);
}
th {
  text-align: left;
}
.sum th,
.sum td {
  font-weight: 650;
  border-top: 1px solid var(--ink);
}
.price td {
  font-size: 18px;
}
.range th {
  font-weight: 400;
}
</style>
