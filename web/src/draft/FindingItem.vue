<script setup lang="ts">
import { computed, onScopeDispose, ref, shallowRef, watch } from 'vue'
import { type Finding, type Fix, overruledFor, sayFinding } from '@drumlin/core/check'
import type { Derived } from '@drumlin/core/derived'
import { heed, overrule } from '@drumlin/core/design'
import { useSettings } from '../app/settings.js'
import { reasonOf } from '../app/reason.js'
import { fixesFor } from '../job/findings.js'
import { RANKS } from '../parts/ranks.js'
import { useJob } from '../job/job.js'
import { useStores } from '../job/stores.js'
import { wasStopped } from '../workers/ask.js'
import FoldPart from '../parts/FoldPart.vue'

const props = defineProps<{ finding: Finding; settled: Derived }>()
const emit = defineEmits<{ show: [finding: Finding] }>()
const job = useJob()
const settings = useSettings()
const stores = useStores()
const saying = computed(() => sayFinding(props.finding, settings.unit))
const reason = computed(() => overruledFor(props.settled, props.finding))
const fixes = shallowRef<readonly Fix[]>()
const failed = ref('')
const overruling = ref(false)
const written = ref('')

/** Fixes are tried on the real design, which takes a moment: after the screen has settled, not while dragging. */
let waiting: ReturnType<typeof setTimeout> | undefined
watch(
  () => [props.settled, settings.unit] as const,
  ([settled]) => {
    clearTimeout(waiting)
    if (reason.value !== undefined) return
    waiting = setTimeout(() => void seek(settled), 250)
  },
  { immediate: true },
)
onScopeDispose(() => clearTimeout(waiting))
async function seek(settled: Derived): Promise<void> {
  failed.value = ''
  try {
    const found = await fixesFor(props.finding, settled.design, settings.unit, stores.all)
    if (props.settled === settled) fixes.value = found
  } catch (error) {
    if (props.settled === settled && !wasStopped(error)) failed.value = reasonOf(error)
  }
}
const previewing = (fix: Fix): boolean => job.preview === fix.edit
function look(fix: Fix): void {
  job.preview = previewing(fix) ? undefined : fix.edit
}
function setAside(): void {
  const text = written.value.trim()
  if (text === '') return
  job.edit(overrule(props.settled.design, props.finding.key, text))
  overruling.value = false
}
</script>

<template>
  <li class="finding" :class="finding.rank" :data-finding="finding.code">
    <FoldPart v-if="reason !== undefined" quiet :title="`overruled: “${reason}”`">
      <p>{{ saying.what }}</p>
      <v-btn @click="job.edit(heed(settled.design, finding.key))">Heed it again</v-btn>
    </FoldPart>
    <template v-else>
      <p>
        <strong class="rank">{{ RANKS[finding.rank] }}</strong> {{ saying.what }}
        <span class="quiet">{{ saying.why }}</span>
      </p>
      <div v-for="fix in fixes" :key="fix.label" class="fix">
        <span>{{ fix.label }}</span>
        <v-btn :aria-pressed="previewing(fix)" @click="look(fix)">
          {{ previewing(fix) ? 'Leave it' : 'Try it' }}
        </v-btn>
        <v-btn v-if="previewing(fix)" variant="flat" @click="job.edit(fix.edit)">Take it</v-btn>
      </div>
      <p v-if="failed" class="quiet" role="status">
        Ways out could not be sought: {{ failed }}.
        <v-btn variant="plain" class="link" @click="seek(settled)">Try again</v-btn>
      </p>
      <p class="more">
        <v-btn v-if="finding.places.length > 0" variant="plain" class="link" @click="emit('show', finding)">
          show where
        </v-btn>
        <v-btn variant="plain" class="link" :aria-expanded="overruling" @click="overruling = !overruling">
          overrule
        </v-btn>
      </p>
      <v-form v-if="overruling" class="fix" @submit.prevent="setAside">
        <v-text-field v-model="written" label="Reason" maxlength="400" />
        <v-btn type="submit" :disabled="written.trim() === ''">Overrule</v-btn>
      </v-form>
    </template>
  </li>
</template>

<style scoped>
.finding {
  padding: 10px 0;
  border-top: 1px solid var(--hairline);
}
p {
  margin: 0 0 6px;
}
.rank {
  color: var(--loch);
}
.stop .rank {
  color: var(--rowan);
}
.look .rank {
  color: var(--gorse);
}
.fix {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 6px 8px;
  margin-bottom: 6px;
}
.fix > span {
  flex: 1 1 150px;
}
.more {
  display: flex;
  gap: 16px;
}
</style>
