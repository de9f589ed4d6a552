<script setup lang="ts">
import { otherUnit, systemOf } from '@drumlin/core/measure'
import {
  mdiDotsVertical,
  mdiLightbulbOutline,
  mdiMagnify,
  mdiMenu,
  mdiRedo,
  mdiUndo,
  mdiWeatherSunny,
} from '@mdi/js'
import { computed } from 'vue'
import { RouterLink } from 'vue-router'
import { useDisplay } from 'vuetify'
import { useBench } from '../job/bench.js'
import NameField from '../sentence/NameField.vue'
import { SCREENS } from './screens.js'
import { useSettings } from './settings.js'
import UnitsMenu from './UnitsMenu.vue'

const props = defineProps<{ jobId: string | undefined }>()
const emit = defineEmits<{ find: []; keys: []; trail: [] }>()
const bench = useBench()
const settings = useSettings()
const { smAndDown, lgAndUp } = useDisplay()
/** The job of the address, once it is on the bench. */
const here = computed(() =>
  props.jobId !== undefined && bench.value?.record?.id === props.jobId ? bench.value : undefined,
)
const PAGES = SCREENS.filter((s) => s.of === 'job')
/** “saved” only where everything shown is kept. */
const state = computed(() => {
  const { desk, pending } = here.value ?? { desk: undefined, pending: 0 }
  if (desk?.gone || desk?.failure) return 'not saved'
  return pending > 0 || (desk && desk.waiting.length > 0) ? 'saving' : 'saved'
})
const step = (word: string, icon: string, name: string | undefined, act: () => unknown) => ({
  word,
  icon,
  name,
  act,
  says: name ? `${word} “${name}”` : word,
})
const steps = computed(() => [
  step('Undo', mdiUndo, here.value?.undoName, () => here.value?.undo()),
  step('Redo', mdiRedo, here.value?.redoName, () => here.value?.redo()),
])
const lightSays = computed(() => (settings.light === 'lamp' ? 'Daylight' : 'Lamp'))
const changeLight = (): void => settings.setLight(settings.light === 'lamp' ? 'chalk' : 'lamp')
</script>

<template>
  <div class="strip">
    <v-btn v-if="smAndDown" variant="plain" aria-label="The trail" @click="emit('trail')">
      <v-icon :icon="mdiMenu" />
    </v-btn>
    <RouterLink v-else to="/" class="mark" aria-label="Drumlin: to the shelf">
      <svg
        viewBox="0 0 28 18"
        width="28"
        height="18"
        fill="none"
        stroke="currentColor"
        stroke-width="1.6"
        aria-hidden="true"
      >
        <path d="M1 17C4 5 10 2 14 2s10 3 13 15" />
        <path d="M6 17c2-8 5-10 8-10s6 2 8 10" />
        <path d="M10.5 17c1-4 2-5 3.5-5s2.500 1 3.500 5" />
      </svg>
    </RouterLink>
    <template v-if="here?.design">
      <NameField
        class="name"
        :value="here.design.name"
        label="Name of the job"
        :max="80"
        @change="here.rename"
      />
      <NameField
        v-if="!smAndDown"
        class="draft quiet"
        :value="here.design.draft"
        label="Which draft this is"
        :max="40"
        @change="here.renameDraft"
      />
      <template v-if="lgAndUp">
        <RouterLink
          v-for="p in PAGES"
          :key="p.name"
          class="page"
          :to="{ name: p.name, params: { id: jobId } }"
          >{{ p.label }}</RouterLink
        >
      </template>
      <span class="quiet state" role="status">{{ here.record?.example ? 'example · ' : '' }}{{ state }}</span>
    </template>
    <span v-else class="name">Drumlin</span>
    <span class="space" />
    <template v-if="here">
      <v-btn
        v-for="s in steps"
        :key="s.word"
        variant="plain"
        class="step"
        :disabled="!s.name"
        :aria-label="s.says"
        @click="s.act()"
      >
        <v-icon :icon="s.icon" size="20" /><span v-if="lgAndUp">{{ s.word }}</span>
        <v-tooltip activator="parent" location="bottom" :text="s.says" />
      </v-btn>
    </template>
    <v-btn-toggle
      v-if="!smAndDown"
      :model-value="systemOf(settings.unit)"
      mandatory
      variant="text"
      aria-label="Units"
      @update:model-value="settings.setUnit"
    >
      <v-btn value="mm">mm</v-btn>
      <v-btn value="in">in</v-btn>
    </v-btn-toggle>
    <UnitsMenu v-if="!smAndDown" />
    <v-btn
      v-if="lgAndUp"
      variant="plain"
      class="step"
      :aria-pressed="settings.light === 'lamp'"
      @click="changeLight"
    >
      <v-icon :icon="settings.light === 'lamp' ? mdiWeatherSunny : mdiLightbulbOutline" size="20" />{{
        lightSays
      }}
    </v-btn>
    <v-btn variant="plain" class="step" aria-label="Find" @click="emit('find')">
      <v-icon :icon="mdiMagnify" size="20" /><template v-if="lgAndUp">Find <v-kbd>/</v-kbd></template>
    </v-btn>
    <v-btn v-if="lgAndUp" variant="plain" class="step" @click="emit('keys')">Keys <v-kbd>?</v-kbd></v-btn>
    <v-menu v-else>
      <template #activator="{ props: opener }">
        <v-btn v-bind="opener" variant="plain" class="step" aria-label="More">
          <v-icon :icon="mdiDotsVertical" size="20" />
        </v-btn>
      </template>
      <v-list role="dialog" aria-label="More">
        <template v-if="here">
          <v-list-item
            v-for="p in PAGES"
            :key="p.name"
            :to="{ name: p.name, params: { id: jobId } }"
            :title="p.label"
          />
        </template>
        <v-list-item
          v-if="smAndDown"
          :title="systemOf(settings.unit) === 'mm' ? 'Inches' : 'Millimetres'"
          @click="settings.setUnit(otherUnit(settings.unit))"
        />
        <v-list-item :title="lightSays" @click="changeLight" />
        <v-list-item title="Keys" @click="emit('keys')" />
      </v-list>
    </v-menu>
  </div>
</template>

<style scoped>
.strip {
  display: flex;
  flex: 1;
  align-items: center;
  gap: 14px;
  min-width: 0;
  padding: 0 16px;
  white-space: nowrap;
}
.mark {
  display: flex;
  flex: none;
  color: var(--moss);
}
.name {
  min-width: 60px;
  max-width: 26ch;
  color: var(--ink);
  font: 650 16px/1.2 var(--ui);
}
.draft {
  max-width: 16ch;
  color: var(--quiet);
  font: 400 15px/1.2 var(--ui);
}
.page {
  color: var(--loch);
}
.state {
  overflow: hidden;
  text-overflow: ellipsis;
}
.space {
  flex: 1;
}
.v-btn.step {
  display: inline-flex;
  flex: none;
  align-items: center;
  gap: 5px;
  min-width: 26px;
  min-height: 30px;
  color: var(--quiet);
}
.v-btn.step:hover:not(:disabled) {
  color: var(--ink);
}
.v-btn.step:disabled {
  opacity: 0.55;
}
</style>
