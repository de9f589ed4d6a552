<script setup lang="ts">
import TakeTable from '../parts/TakeTable.vue'
import { computed, onMounted, ref } from 'vue'
import { moneySaid } from '@drumlin/core/money'
import { explainLine } from '@drumlin/core/working'
import { useSettings } from '../app/settings.js'
import { useJob } from '../job/job.js'
import { useBooks } from '../ledger/books.js'
import { saveText } from '../output/save.js'
import FoldPart from '../parts/FoldPart.vue'
import WorkAndSide from '../parts/WorkAndSide.vue'
import MeasureField from '../sentence/MeasureField.vue'
import MoneyField from '../sentence/MoneyField.vue'
import BillTable from './BillTable.vue'
import MadeBefore from './MadeBefore.vue'
import QuoteForm from './QuoteForm.vue'
import TradeSentences from './TradeSentences.vue'
import { useBills } from './bills.js'

/** What the work on the bench costs and what to ask for it; what an hour earns stands beside every price. */
defineProps<{ id: string }>()
const job = useJob()
const books = useBooks()
const settings = useSettings()
onMounted(() => void books.load())
const bills = useBills()
const { trade, failed, waiting } = bills
const many = ref(1)
function setMany(count: number): void {
  many.value = count
  bills.other.value = count
}
const bill = computed(() => bills.billFor(many.value))
/** What the maker thinks of asking for one; what it comes to until then. */
const asked = ref<number>()
const price = computed(() => asked.value ?? bill.value?.price.value)
const earns = computed(() =>
  bill.value && price.value !== undefined ? bills.earns(bill.value, price.value) : undefined,
)
const said = (value: number): string => moneySaid(value, trade.value.currency)
</script>

<template>
  <WorkAndSide label="The bill of it" side="Price it" title="Price">
    <template #head>
      <span v-if="bill" role="status"
        >{{ bills.madeBefore.value ? 'Made before' : 'Made for the first time' }}: one costs
        {{ said(bill.cost.value) }}, to ask {{ said(bill.price.value) }}</span
      >
    </template>
    <p v-if="failed" role="alert" class="none">The price could not be worked out: {{ failed }}.</p>
    <p v-else-if="job.derived && job.derived.panels.length === 0" class="none">
      Nothing is drawn yet: the bill follows from the pieces.
    </p>
    <p v-else-if="waiting && !bill" class="none" role="status">Working out the bill …</p>
    <div v-else class="table">
      <p v-if="bill && bill.missing.length > 0" role="status" class="lacks">
        Left out of the sum, since no price is known: {{ bill.missing.join(', ') }}.
      </p>
      <p class="take"><TakeTable name="The bill" /></p>
      <BillTable :bills="bills" />
    </div>
    <template #side>
      <section v-if="bill && earns && price !== undefined" class="earning" aria-label="What an hour earns">
        <p class="sentence">
          Of
          <MeasureField
            :value="many"
            label="how many are made together"
            sort="count"
            :min="1"
            :max="200"
            :step="1"
            @change="setMany"
          />
          made together, each for
          <MoneyField
            :value="price"
            label="price of one"
            :currency="trade.currency"
            @change="(v) => (asked = v)"
          />:
        </p>
        <p class="hour" :class="{ poor: earns.value < trade.rate - 0.005 }">
          an hour earns <strong>{{ said(earns.value) }}</strong>
        </p>
        <p v-if="earns.value < trade.rate - 0.005">
          That is {{ said(trade.rate - earns.value) }} an hour less than you want; it would have to be
          {{ said(bill.price.value) }}.
        </p>
        <p class="quiet">{{ explainLine(earns, settings.unit) }}</p>
        <v-btn v-if="asked !== undefined" @click="asked = undefined">As it is reckoned</v-btn>
      </section>
      <FoldPart title="How you reckon prices"
        ><TradeSentences :trade="trade" @change="bills.set" />
        <v-btn @click="saveText(JSON.stringify(trade, null, 2), 'trade', 'json')"
          >As a file, for the terminal</v-btn
        ></FoldPart
      >
      <FoldPart title="Quote"
        ><QuoteForm v-if="bill && price !== undefined" :bill="bill" :price="price" :bills="bills"
      /></FoldPart>
      <FoldPart title="Made before, and notes for next time" open><MadeBefore /></FoldPart>
    </template>
  </WorkAndSide>
</template>

<style scoped>
.take {
  margin: 0;
  text-align: right;
}
.table {
  overflow: auto;
  flex: 1;
  padding: 6px 20px 24px;
}
.lacks {
  color: var(--rowan);
}
.none {
  padding: 20px;
}
.earning {
  margin-bottom: 12px;
}
.hour {
  font-size: 18px;
}
.hour.poor strong {
  color: var(--rowan);
}
.quiet {
  color: var(--quiet);
}
</style>
