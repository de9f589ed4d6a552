<script setup lang="ts">
import { ref, shallowRef, watch } from 'vue'
import { startingDesign } from '@drumlin/core/check'
import { kindIds, kindOf } from '@drumlin/core/kinds'
import type { Card } from '@drumlin/core/overview'
import { useStores } from '../job/stores.js'
import CardDrawing from './CardDrawing.vue'
import { cardOfDesign } from './cards.js'
import { startingParts } from './starting.js'
import { returnFocus } from '../app/focus.js'

/** What to make: every kind with a picture of it as it first comes and what it carries. */
const open = defineModel<boolean>({ required: true })
returnFocus(open)
const emit = defineEmits<{ start: [id: string] }>()
const stores = useStores()
const KINDS = kindIds().map(kindOf)
const cards = shallowRef<Readonly<Record<string, Card>>>({})
const failed = ref(false)
watch(
  open,
  async (now) => {
    if (!now) return
    try {
      for (const kind of KINDS) {
        if (cards.value[kind.id] || kind.brief.length + Object.keys(kind.sentences).length === 0) continue
        const design = startingDesign(
          { id: kind.id, name: kind.name, ...startingParts(kind, stores) },
          stores.own!,
        )
        const card = await cardOfDesign(design)
        if (card) cards.value = { ...cards.value, [kind.id]: card }
        if (!open.value) return
      }
    } catch {
      // Without pictures each kind still says what it is.
      failed.value = true
    }
  },
  { immediate: true },
)
function take(id: string): void {
  open.value = false
  emit('start', id)
}
</script>

<template>
  <v-dialog v-model="open" aria-labelledby="what-to-make" max-width="1080" scrollable>
    <v-card>
      <h2 id="what-to-make">What to make</h2>
      <ul class="kinds">
        <li v-for="kind in KINDS" :key="kind.id">
          <v-btn
            variant="plain"
            class="kind"
            :aria-label="`${kind.name}: ${kind.about}`"
            @click="take(kind.id)"
          >
            <span class="picture">
              <CardDrawing v-if="cards[kind.id]" :card="cards[kind.id]!" />
              <v-skeleton-loader v-else-if="!failed && kind.id !== 'by-hand'" type="image" max-height="110" />
            </span>
            <strong>{{ kind.name }}</strong>
            <span class="quiet about">{{ kind.about }}</span>
          </v-btn>
        </li>
      </ul>
      <v-btn class="leave" @click="open = false">Leave it</v-btn>
    </v-card>
  </v-dialog>
</template>

<style scoped>
.kinds {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(210px, 1fr));
  gap: 14px;
  margin: 14px 0;
  padding: 0;
  overflow-y: auto;
  list-style: none;
}
.v-btn.kind {
  display: block;
  width: 100%;
  height: 100%;
  padding: 10px 12px;
  border: 1px solid var(--hairline);
  border-radius: 6px;
}
.v-btn.kind:hover,
.v-btn.kind:focus-visible {
  border-color: var(--moss);
}
.picture {
  display: block;
  height: 110px;
  overflow: hidden;
  margin-bottom: 8px;
}
.kind strong,
.about {
  display: block;
}
.about {
  font-size: 13px;
}
.leave {
  align-self: flex-start;
}
</style>
