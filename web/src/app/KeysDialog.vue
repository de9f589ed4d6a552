<script setup lang="ts">
import { SCREENS } from './screens.js'
import { returnFocus } from './focus.js'

const open = defineModel<boolean>({ required: true })
returnFocus(open)
const KEYS = [
  ['/', 'find a piece, a setting or a finding'],
  ...SCREENS.flatMap((s) => (s.key ? [[s.key, s.label.toLowerCase()] as const] : [])),
  ['Ctrl Z · Ctrl Shift Z', 'undo · redo'],
  ['Ctrl P', 'the pattern at 1:1, as a PDF'],
  ['Tab', 'to the next piece, number or finding'],
  ['Enter', 'choose the piece; take the number as written'],
  ['↑ ↓ in a number', 'one step; with Shift a tenth, with Alt ten'],
  ['arrows on a transect end', '1 mm; with Shift 0.1 mm, with Alt 10 mm'],
  ['arrows on the zip', 'the next hole; with Alt ten on; Home and End the first and last'],
  ['arrows on the relief', 'read the next place: 1 mm; with Shift 0.1 mm, with Alt 10 mm'],
  ['arrows on a point or a handle', '1 mm; with Shift 0.1 mm, with Alt 10 mm'],
  ['Delete on a point', 'takes it out'],
  ['Alt while dragging a point', 'it snaps to nothing'],
  ['twice on the outline of a drawing', 'puts a point in'],
  ['arrows on the sheet', 'move the sheet'],
  ['+ − 0 on the sheet', 'nearer · farther · all of it'],
  ['Esc', 'leave a number as it was; close'],
  ['?', 'these keys'],
] as const
</script>

<template>
  <v-dialog v-model="open" aria-labelledby="keys-title" max-width="900" scrollable>
    <v-card>
      <h2 id="keys-title">Keys</h2>
      <dl>
        <template v-for="[key, does] in KEYS" :key="key"
          ><dt>{{ key }}</dt>
          <dd>{{ does }}</dd></template
        >
      </dl>
      <v-btn class="close" @click="open = false">Close</v-btn>
    </v-card>
  </v-dialog>
</template>

<style scoped>
.close {
  align-self: flex-start;
}
dl {
  display: grid;
  grid-template-columns: max-content minmax(0, 1fr);
  gap: 3px 18px;
  overflow-y: auto;
  margin: 14px 0 18px;
}
dt {
  font-family: var(--mono);
}
dd {
  margin: 0;
}
</style>
