<script setup lang="ts">
import { useFigures } from '../app/figures.js'
import { computed, nextTick, onBeforeUnmount, onMounted, ref, shallowRef, useTemplateRef, watch } from 'vue'
import { hangingOf, thingsInside, turningOf } from '@drumlin/core/derived'
import { printLength } from '@drumlin/core/measure'
import { gapsOf, namesInside, pictureOf } from '@drumlin/core/space'
import { useSettings } from '../app/settings.js'
import { useOpenFindings } from '../job/about.js'
import { useJob } from '../job/job.js'
import { savePicture } from '../output/save.js'
import WorkingBox from '../sentence/WorkingBox.vue'
import type { RoundScene } from './scene.js'
import { reasonOf } from '../app/reason.js'
import FindingNote from '../parts/FindingNote.vue'
import SidePane from '../parts/SidePane.vue'
import RoundBar from './RoundBar.vue'

const figure = useFigures()
defineProps<{ id: string }>()
const job = useJob()
const settings = useSettings()
const derived = computed(() => job.derived!)
const bag = computed(() => derived.value.master.standing !== undefined)
const opened = ref(bag.value ? 0 : 0.35)
const straps = ref(true)
const through = ref(false)
const canvas = useTemplateRef<HTMLCanvasElement>('canvas')
const frame = useTemplateRef<HTMLElement>('frame')
const scene = shallowRef<RoundScene>()
const failed = ref('')
const hasStraps = computed(
  () => derived.value.master.standing?.(0).stood.some((s) => s.group === 'straps') ?? false,
)

const packed = computed(() => thingsInside(derived.value, opened.value))
const carried = computed(() => {
  const [open] = derived.value.works
  return open ? namesInside(derived.value.master, open, packed.value) : []
})
const picture = computed(() => {
  const [open] = derived.value.works
  return open
    ? pictureOf(derived.value, open, opened.value, through.value ? packed.value : undefined)
    : undefined
})
const gaps = computed(() => {
  const [open] = derived.value.works
  return open ? gapsOf(derived.value.master, derived.value.runs, open, opened.value) : []
})
/** Thread draws edges together over their own thickness; what is further apart is shown. */
const apart = computed(() => gaps.value.filter((g) => g.open))
const outside = computed(() => derived.value.master.outside)
/** What has no stated outside is told by its first sizes: width and height as it is carried. */
const sizes = computed(() => derived.value.master.sizes.slice(0, 2).map(({ size }) => size))
const inside = computed(() => derived.value.master.room)
const turning = computed(() => turningOf(derived.value))
const hangs = computed(() => hangingOf(derived.value))
const found = useOpenFindings('round')

const token = (name: string): string =>
  getComputedStyle(document.documentElement).getPropertyValue(name).trim()
function show(): void {
  if (!scene.value || !picture.value) return
  scene.value.show(
    picture.value,
    apart.value.flatMap((g) => g.pairs),
    {
      ground: token('--surface') || '#fbfbf7',
      ink: token('--line') || '#1f2d33',
      thread: derived.value.design.thread.colour,
      stop: token('--rowan') || '#b4431f',
      metal: '#b9bcb4',
      thing: token('--loch') || '#2f6f7e',
    },
    straps.value,
  )
}
watch([picture, straps, () => settings.light], show)

let watching: ResizeObserver | undefined
onMounted(async () => {
  try {
    // The drawing library is fetched only by who looks at this.
    const { roundScene } = await import('./scene.js')
    await nextTick()
    if (!canvas.value || !frame.value) return
    scene.value = roundScene(canvas.value)
    const fit = (): void => {
      const { clientWidth, clientHeight } = frame.value!
      scene.value?.resize(clientWidth, clientHeight)
    }
    watching = new ResizeObserver(fit)
    watching.observe(frame.value)
    fit()
    show()
    scene.value.frame()
  } catch (error) {
    failed.value = reasonOf(error)
  }
})
onBeforeUnmount(() => {
  watching?.disconnect()
  scene.value?.dispose()
})

const STEP = Math.PI / 24
function key(event: KeyboardEvent): void {
  const fine = event.shiftKey ? 0.2 : 1
  const acts: Record<string, () => void> = {
    ArrowLeft: () => scene.value?.turn(-STEP * fine, 0),
    ArrowRight: () => scene.value?.turn(STEP * fine, 0),
    ArrowUp: () => scene.value?.turn(0, STEP * fine),
    ArrowDown: () => scene.value?.turn(0, -STEP * fine),
    '+': () => scene.value?.near(1.15),
    '=': () => scene.value?.near(1.15),
    '-': () => scene.value?.near(1 / 1.15),
    '0': () => scene.value?.frame(),
    ' ': () => (opened.value = opened.value > 0.5 ? 0 : 1),
  }
  const act = acts[event.key]
  if (!act) return
  event.preventDefault()
  act()
}
async function save(): Promise<void> {
  if (scene.value) savePicture(derived.value.design, await scene.value.png())
}
const mm = (value: number): string => printLength(value, settings.unit)
</script>

<template>
  <div class="round">
    <div ref="frame" class="frame">
      <canvas
        ref="canvas"
        tabindex="0"
        role="img"
        :aria-label="`${derived.design.name} in the round, put together from its pieces; arrows turn it, space opens and shuts it`"
        @keydown="key"
      />
      <p v-if="failed" role="alert" class="failed">
        The picture needs WebGL, which this browser does not give ({{ failed }}). The sizes beside it hold all
        the same.
      </p>
      <RoundBar
        v-model:opened="opened"
        v-model:straps="straps"
        v-model:through="through"
        :has-straps="hasStraps"
        :carries="carried.length > 0"
        :ready="scene !== undefined"
        @all="scene?.frame()"
        @png="save"
      />
    </div>
    <SidePane label="The finished thing"
      ><div class="side">
        <h1>In the round</h1>
        <p class="quiet">
          Put together from the pieces as they are cut, each in its own thickness. Edges that should meet and
          don’t are joined by red lines.
        </p>
        <template v-if="outside">
          <h2>Outside</h2>
          <WorkingBox v-for="s in [outside.wide, outside.high, outside.deep]" :key="s.key" :reckoned="s" />
        </template>
        <template v-else-if="sizes.length > 0">
          <h2>Its size</h2>
          <WorkingBox v-for="s in sizes" :key="s.key" :reckoned="s" />
        </template>
        <template v-if="inside">
          <h2>Inside</h2>
          <WorkingBox v-for="s in [inside.wide, inside.high, inside.deep]" :key="s.key" :reckoned="s" />
        </template>
        <p v-if="through && carried.length > 0">
          Seen through the leather:
          {{ carried.map((c) => (c.count > 1 ? `${c.count} × ${c.name}` : c.name)).join(', ') }}.
        </p>
        <template v-if="turning">
          <h2>Turning it</h2>
          <p>
            Rated <strong class="figure">{{ turning.rating }}</strong>: it {{ turning.why }}. Inside out while
            it is sewn: {{ derived.master.turning!.inside.join(', ') }}.
          </p>
          <WorkingBox :reckoned="turning.pull" />
        </template>
        <template v-if="hangs.length > 0">
          <h2>How it hangs</h2>
          <p v-for="h in hangs" :key="h.name">
            From its {{ h.name }}: {{ Math.round(h.leather) }} g of leather and {{ Math.round(h.contents) }} g
            inside;
            <template v-if="Math.abs(h.tilt) < 1">level.</template>
            <template v-else
              >leans <span class="figure">{{ figure(Math.abs(h.tilt), 1) }}°</span> to the
              {{ h.tilt > 0 ? 'front' : 'back' }}.</template
            >
          </p>
        </template>
        <template v-if="gaps.length > 0">
          <h2>Seams</h2>
          <p v-if="apart.length === 0">All {{ gaps.length }} seams meet.</p>
          <p v-for="g in apart" :key="g.run" class="apart">
            <strong>The {{ g.name }}</strong> stands open by up to {{ mm(g.max) }}.
          </p>
        </template>
        <FindingNote v-for="f in found" :key="f.key" :finding="f" /></div
    ></SidePane>
  </div>
</template>

<style scoped>
.round {
  flex: 1;
  min-height: 0;
  display: flex;
}
.frame {
  position: relative;
  flex: 1;
  min-width: 0;
  min-height: 0;
}
canvas {
  position: absolute;
  inset: 0;
  width: 100%;
  height: 100%;
  touch-action: none;
}
.failed {
  position: absolute;
  top: 20px;
  left: 20px;
  max-width: 40ch;
}
.side {
  overflow-y: auto;
  padding: 16px 18px;
}
h1 {
  font-size: 20px;
}
h2 {
  font-size: 16px;
  margin: 16px 0 4px;
}
.apart {
  border-left: 4px solid var(--rowan);
  padding-left: 10px;
}
</style>
