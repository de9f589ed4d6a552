<script setup lang="ts">
import { useFileDialog } from '@vueuse/core'
import { computed, onMounted, ref } from 'vue'
import { offline } from '../app/offline.js'
import FoldPart from '../parts/FoldPart.vue'
import ChoiceField from '../sentence/ChoiceField.vue'
import { KEPT_FILE, allowFolder, chooseFolder, folderState, hasFolders, leaveFolder } from './folder.js'
import { reasonOf } from '../app/reason.js'
import { PART_WORDS } from './form.js'
import { useBackup } from './useBackup.js'

/** The whole workshop in one file: out, in again, and how long ago that was. */
const backup = useBackup()
const { last, changed, room, doing, failed, file, way, looked, changes } = backup
onMounted(backup.look)

const picker = useFileDialog({ accept: '.zip,application/zip', multiple: false, reset: true })
picker.onChange((files) => files?.[0] && void backup.opened(files[0]))

const size = (bytes: number): string =>
  bytes < 1e6
    ? `${Math.max(1, Math.round(bytes / 1e3))} kB`
    : bytes < 1e9
      ? `${(bytes / 1e6).toFixed(1)} MB`
      : `${(bytes / 1e9).toFixed(1)} GB`
const day = (at: number | string): string =>
  new Date(at).toLocaleString(undefined, { dateStyle: 'medium', timeStyle: 'short' })
const why = ref('')
async function folder(act: () => Promise<void>): Promise<void> {
  why.value = ''
  try {
    await act()
    await backup.look()
  } catch (error) {
    why.value = reasonOf(error)
  }
}
/** A file this old, or so many jobs that are in none, and one is reminded. */
const [OLD, MANY] = [14 * 86_400_000, 3]
const due = computed(
  () =>
    folderState.value.is !== 'kept' &&
    changed.value > 0 &&
    (last.value === undefined ? changed.value >= MANY : Date.now() - last.value.at > OLD),
)
const WAYS = [
  { value: 'merge' as const, label: 'beside what is here; of two the same job, the one changed last' },
  { value: 'replace' as const, label: 'in place of everything that is here' },
]
/** Only what would happen gets a column. */
const columns = computed(() =>
  (
    [
      ['fresh', 'new'],
      ['over', 'written over'],
      ['left', 'left as here'],
      ['same', 'the same'],
      ['gone', 'taken away'],
    ] as const
  ).filter(([key]) => changes.value?.some((c) => c[key] > 0)),
)
const nothing = computed(() => changes.value?.every((c) => c.fresh + c.over + c.gone === 0))
async function take(): Promise<void> {
  // What is on the screen was read before: it is read again.
  if (await backup.take()) location.reload()
}
</script>

<template>
  <p v-if="due" role="note" class="due">
    {{ changed }} {{ changed === 1 ? 'job lies' : 'jobs lie' }} in this browser only.
    {{
      last
        ? `The last file of everything was made ${day(last.at)} (${size(last.bytes)}).`
        : 'No file of everything was made yet.'
    }}
    <v-btn variant="plain" :disabled="doing !== undefined" @click="backup.save()">Save it now</v-btn>
  </p>
  <FoldPart title="Everything in one file" class="backup">
    <p>
      Jobs with their drafts and every step, shelves, makings, photographs, quotes and settings lie in this
      browser only.
      <span v-if="last"
        >The last file was made {{ day(last.at) }} ({{ size(last.bytes) }});
        {{
          changed === 0
            ? 'no job was changed since'
            : `${changed} ${changed === 1 ? 'job was' : 'jobs were'} changed since`
        }}.</span
      >
      <b v-else>No file of it was made yet.</b>
    </p>
    <p class="row">
      <v-btn variant="flat" :disabled="doing !== undefined" @click="backup.save()"
        >Save the whole workshop</v-btn
      >
      <v-btn :disabled="doing !== undefined" @click="picker.open()">Open such a file</v-btn>
    </p>
    <p v-if="hasFolders()">
      <template v-if="folderState.is === 'none'"
        >It can be kept up to date in a folder of yours:
        <v-btn @click="folder(chooseFolder)">Choose a folder</v-btn></template
      >
      <template v-else>
        <span role="status">{{
          folderState.is === 'kept'
            ? `${KEPT_FILE} in the folder “${folderState.name}” is kept up to date while Drumlin is open.`
            : folderState.is === 'asks'
              ? `The browser asks again before Drumlin may write into “${folderState.name}”.`
              : `${KEPT_FILE} in “${folderState.name}” could not be written: ${folderState.why}. What stood there is as it was.`
        }}</span>
        <v-btn v-if="folderState.is !== 'kept'" variant="flat" @click="folder(allowFolder)"
          >Write into it again</v-btn
        >
        <v-btn variant="plain" @click="folder(leaveFolder)">No longer</v-btn>
      </template>
    </p>
    <p v-if="why" role="alert" class="refused">The folder can’t be used: {{ why }}.</p>
    <p v-if="doing" role="status">
      <v-progress-linear :model-value="100 * doing.share" color="primary" :aria-label="doing.label" />
      {{ doing.label }} … <v-btn @click="backup.stop()">Stop</v-btn>
    </p>
    <p v-if="failed" role="alert" class="refused">
      {{ file ? `${file.name} was not taken` : 'The file could not be made' }}: {{ failed }}. Nothing here was
      changed.
    </p>
    <section v-if="looked && file" aria-label="What the file would change">
      <p>
        {{ file.name }} was made {{ day(looked.manifest.made) }}. Take it in
        <ChoiceField :value="way" label="take it in" :options="WAYS" @change="backup.setWay" />:
      </p>
      <v-table density="compact" class="changes">
        <thead>
          <tr>
            <th scope="col">what</th>
            <th v-for="[key, name] in columns" :key="key" scope="col">{{ name }}</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="c in changes" :key="c.part">
            <th scope="row">{{ PART_WORDS[c.part] }}</th>
            <td v-for="[key] in columns" :key="key">{{ c[key] }}</td>
          </tr>
        </tbody>
      </v-table>
      <p v-if="nothing">It would change nothing here.</p>
      <p class="row">
        <v-btn variant="flat" :disabled="nothing || doing !== undefined" @click="take">Take it in</v-btn>
        <v-btn @click="backup.leave()">Leave it</v-btn>
      </p>
    </section>
    <p class="quiet">
      {{
        offline.is === 'not kept'
          ? 'Without its server Drumlin does not open here yet.'
          : 'Drumlin opens and works without its server and without the network: all of it is kept in this browser.'
      }}
    </p>
    <p v-if="room" class="quiet">
      {{ size(room.used) }} of about {{ size(room.all) }} are used.
      {{
        room.kept
          ? 'The browser keeps them even when room gets scarce.'
          : 'The browser may clear them when room gets scarce.'
      }}
      <v-btn v-if="!room.kept" @click="backup.keepIt()">Ask it to keep them</v-btn>
    </p>
  </FoldPart>
</template>

<style scoped>
.backup {
  max-width: 820px;
  margin-top: 18px;
}
.due {
  max-width: 820px;
  margin: 14px 0 0;
  padding: 6px 12px;
  border-left: 3px solid var(--gorse-mark);
}
.row {
  display: flex;
  gap: 8px;
}
.refused {
  color: var(--rowan);
}
.changes {
  margin: 8px 0;
}
</style>
