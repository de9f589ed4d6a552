<script setup lang="ts">
import { computed } from 'vue'
import { mdiPlus } from '@mdi/js'
import { type AddedSort, inOrder, offeredFor } from '@drumlin/core/added'
import type { Derived } from '@drumlin/core/derived'
import { putOn } from '@drumlin/core/design'
import type { Panel } from '@drumlin/core/master'
import { takenOn } from '@drumlin/core/overview'
import { useJob } from '../job/job.js'
import { useStores } from '../job/stores.js'
import FoldPart from '../parts/FoldPart.vue'
import { useAddedPictures } from '../sentence/pictures.js'
import AddedDrawing from './AddedDrawing.vue'
import AddedPart from './AddedPart.vue'

/** What is put on a piece, and what can be. Along the chosen edge, where one is. */
const props = defineProps<{ panel: Panel; derived: Derived; edge: string | undefined }>()
const job = useJob()
const stores = useStores()
const all = computed(() => inOrder(props.derived.design.added))
const belongs = (id: string): boolean => props.panel.id === id || props.panel.id.startsWith(`${id}-`)
const self = computed(() => all.value.filter(([id]) => belongs(id)))
const on = computed(() => all.value.filter(([, part]) => part.on === props.panel.id))
const offered = computed(() => offeredFor(props.panel))
const { pictures, draw } = useAddedPictures()

function opened(open: boolean): void {
  const { design } = job
  if (open && design)
    void draw({
      design,
      panel: props.panel.id,
      hardware: stores.all.hardware,
      ...(props.edge === undefined ? {} : { edge: props.edge }),
    })
}
function put(sort: AddedSort): void {
  const { design } = job
  if (design)
    job.edit(
      putOn(design, sort, props.panel, stores.all, {
        edge: props.edge,
        taken: takenOn(props.derived, props.panel.id),
      }),
    )
}
</script>

<template>
  <AddedPart v-for="[id, part] in self" :id="id" :key="id" :part="part" :derived="derived" />
  <FoldPart v-if="offered.length > 0" title="Put on it" :open="on.length > 0">
    <AddedPart v-for="[id, part] in on" :id="id" :key="id" :part="part" :derived="derived" />
    <v-menu @update:model-value="opened">
      <template #activator="{ props: opener }">
        <v-btn v-bind="opener"><v-icon :icon="mdiPlus" size="18" start />Add to this piece</v-btn>
      </template>
      <v-list max-height="460" max-width="470" lines="two">
        <v-list-item v-for="s in offered" :key="s.id" :title="s.name" :subtitle="s.about" @click="put(s)">
          <template #prepend>
            <span class="picture"><AddedDrawing v-if="pictures?.[s.id]" :drawing="pictures[s.id]!" /></span>
          </template>
        </v-list-item>
      </v-list>
    </v-menu>
  </FoldPart>
</template>

<style scoped>
.picture {
  display: block;
  width: 84px;
  height: 60px;
  margin-right: 12px;
}
</style>
