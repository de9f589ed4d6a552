<script setup lang="ts">
import { computed, ref } from 'vue'
import { moneySaid } from '@drumlin/core/money'
import type { Bill } from '@drumlin/core/price'
import { useSettings } from '../app/settings.js'
import { useJob } from '../job/job.js'
import { useBooks } from '../ledger/books.js'
import { daySaid } from '../make/words.js'
import { quoteSheet, saveQuote } from '../output/save.js'
import WritingState from '../output/WritingState.vue'
import { useWriting } from '../output/writing.js'
import { sheetOf } from '../storage/books.js'
import type { Bills } from './bills.js'
import { quoteOf } from './quoting.js'

/** A quote: for whom, with which words and terms; numbered, written on paper and kept as it was sent. */
const props = defineProps<{ bill: Bill; price: number; bills: Bills }>()
const job = useJob()
const books = useBooks()
const settings = useSettings()
const writing = useWriting()
const [forWhom, words] = [ref(''), ref('')]
const trade = computed(() => props.bills.trade.value)
const example = computed(() => props.bills.whose.value === 'examples')
const people = computed(() => books.clientsAll.filter((c) => c.example === example.value).map((c) => c.name))
const mine = computed(() => books.quotesAll.filter((q) => q.job === job.design?.id))
function send(): void {
  const { derived } = job
  if (!derived) return
  const client = books.clientsAll.find((c) => c.name === forWhom.value.trim())
  const quote = quoteOf(
    derived,
    props.bill,
    { trade: trade.value, quotes: books.quotesAll, unit: settings.unit, example: example.value },
    { forWhom: forWhom.value.trim(), client: client?.id, words: words.value.trim(), price: props.price },
  )
  void writing.write('quote', async (signal) => {
    const sheet = await quoteSheet(derived.design, quote, settings, signal)
    await books.keepQuote(quote, sheet)
    saveQuote(quote, sheet)
  })
}
async function again(id: string): Promise<void> {
  const quote = mine.value.find((q) => q.id === id)
  const sheet = await sheetOf(id)
  if (quote && sheet) saveQuote(quote, sheet)
}
const STATES = { sent: 'sent', taken: 'taken', declined: 'declined' } as const
</script>

<template>
  <section class="quote" aria-label="Quote">
    <p>
      {{ bill.count > 1 ? `${bill.count} pieces at` : 'One at' }} {{ moneySaid(price, trade.currency) }},
      valid for {{ trade.validDays }} days.
    </p>
    <v-combobox
      v-model="forWhom"
      :items="people"
      label="For whom"
      maxlength="120"
      density="compact"
      hide-details
      clearable
    />
    <v-textarea
      v-model="words"
      label="Words to it"
      rows="2"
      auto-grow
      maxlength="2000"
      density="compact"
      hide-details
    />
    <v-textarea
      :model-value="trade.terms"
      label="Terms, on every quote"
      rows="2"
      auto-grow
      maxlength="2000"
      density="compact"
      hide-details
      @change="(e: Event) => bills.set({ terms: (e.target as HTMLTextAreaElement).value })"
    />
    <v-textarea
      :model-value="trade.maker"
      label="The workshop: name and address"
      rows="2"
      auto-grow
      maxlength="400"
      density="compact"
      hide-details
      @change="(e: Event) => bills.set({ maker: (e.target as HTMLTextAreaElement).value })"
    />
    <v-btn variant="flat" :disabled="writing.working.value !== undefined" @click="send"
      >Write the quote</v-btn
    >
    <WritingState :writing="writing" />
    <ul v-if="mine.length > 0" aria-label="Quotes of it">
      <li v-for="q in mine" :key="q.id">
        {{ q.number }}, {{ daySaid(q.day) }}{{ q.forWhom ? `, for ${q.forWhom}` : '' }}: {{ q.count }} ×
        {{ moneySaid(q.price, q.currency) }}, {{ STATES[q.state] }}.
        <v-btn variant="plain" class="link" :aria-label="`The sheet of ${q.number}`" @click="again(q.id)"
          >the sheet</v-btn
        >
        <template v-if="q.state === 'sent'"
          >,
          <v-btn
            variant="plain"
            class="link"
            :aria-label="`${q.number} was taken`"
            @click="books.setQuote(q.id, 'taken')"
            >it was taken</v-btn
          >,
          <v-btn
            variant="plain"
            class="link"
            :aria-label="`${q.number} was declined`"
            @click="books.setQuote(q.id, 'declined')"
            >declined</v-btn
          ></template
        >
      </li>
    </ul>
  </section>
</template>

<style scoped>
.quote {
  display: grid;
  gap: 8px;
}
ul {
  padding-left: 16px;
}
</style>
