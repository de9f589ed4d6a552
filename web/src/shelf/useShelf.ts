import { computed, onMounted, onScopeDispose, ref, shallowRef } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import { startingDesign } from '@drumlin/core/check'
import type { Design } from '@drumlin/core/design'
import { kindOf, startingHardware, startingLeathers } from '@drumlin/core/kinds'
import { useTrouble } from '../app/trouble.js'
import { useJob } from '../job/job.js'
import { useStores } from '../job/stores.js'
import { channel } from '../job/tabs.js'
import { saveDesign, saveRaw } from '../output/save.js'
import { readDesignFile } from '../reading/read.js'
import type { JobRecord } from '../storage/db.js'
import { bringExamples, removeExamples } from '../storage/examples.js'
import { type Listed, createJob, jobIds, listJobs, rawJob, removeJob } from '../storage/jobs.js'
import { readSetting } from '../storage/settings.js'
import { freeId } from './ids.js'

/** How soon the shelf shows what another tab edits, ms. */
const SOON = 1000

/** What lies on the shelf, and what can be done there; what fails is said in the bar above. */
export function useShelf() {
  const router = useRouter()
  const route = useRoute()
  const stores = useStores()
  const trouble = useTrouble()
  const bench = useJob()
  const jobs = shallowRef<readonly Listed[]>([])
  const loaded = ref(false)
  const said = ref(typeof route.query.gone === 'string' ? 'That job is no longer on the shelf.' : '')
  const refused = ref('')
  const removing = shallowRef<Listed>()
  const own = computed(() => jobs.value.filter((j) => !j.example))
  const examples = computed(() => jobs.value.filter((j) => j.example))

  const about = ref('')
  const load = (): Promise<boolean> =>
    trouble.attempt('What is on the shelf could not be read', async () => {
      about.value = (await readSetting<string>('examples.about')) ?? ''
      jobs.value = await listJobs()
      loaded.value = true
      await stores.load()
    })
  onMounted(load)
  /** What other tabs do shows here soon; of many edits in a row the last. */
  let soon: ReturnType<typeof setTimeout> | undefined
  const hearing = channel.listen(({ what }) => {
    clearTimeout(soon)
    if (what !== 'stores') soon = setTimeout(() => void load(), what === 'job' ? SOON : 0)
  })
  onScopeDispose(() => {
    hearing()
    clearTimeout(soon)
  })
  const told = (): void => channel.tell({ what: 'shelf' })

  async function start(id: string): Promise<void> {
    const [kind, shelf] = [kindOf(id), stores.own!]
    const taken = jobs.value.map((j) => j.id)
    const design = startingDesign(
      {
        id: freeId(id, taken),
        name: `New ${kind.name.toLowerCase()}`,
        kind: id,
        leathers: startingLeathers(kind, shelf.leathers),
        iron: shelf.irons[1] ?? shelf.irons[0]!,
        awl: shelf.awls[0]!,
        thread: shelf.threads[0]!,
        machine: shelf.machines[0]!,
        hardware: startingHardware(kind, stores.all.hardware),
      },
      shelf,
    )
    await trouble.attempt('The new job could not be kept', async () => {
      const kept = await createFree(design, false)
      told()
      // What is drawn by hand asks nothing first: it begins on the sheet.
      await router.push({ name: kind.brief.length > 0 ? 'brief' : 'draft', params: { id: kept.id } })
    })
  }

  /** The file that is being read, and what stops it. */
  const reading = shallowRef<{ readonly name: string; readonly stop: AbortController }>()
  async function opened(file: File): Promise<void> {
    refused.value = ''
    const stop = new AbortController()
    reading.value = { name: file.name, stop }
    const read = await readDesignFile(file, stop.signal)
    reading.value = undefined
    if (!read.ok) {
      refused.value = `${file.name}: ${read.why}`
      return
    }
    const { design } = read
    const keep = { label: 'Keep the file', save: () => saveDesign(design) }
    const what = `“${design.name}” was read but could not be kept`
    await trouble.attempt(
      what,
      async () => {
        const kept = await createFree(design, false)
        said.value =
          kept.id === design.id
            ? `“${design.name}” is on the shelf.`
            : `“${design.name}” was put beside the one already here.`
        told()
        await load()
      },
      keep,
    )
  }

  /** Keeps a design under its own name, or the next free one where another has it. */
  async function createFree(design: Design, example: boolean): Promise<JobRecord> {
    const taken = await jobIds()
    const id = taken.includes(design.id) ? freeId(design.id, taken) : design.id
    return createJob({ ...design, id }, example, Date.now())
  }

  async function takeAway(job: Listed): Promise<void> {
    removing.value = undefined
    await trouble.attempt(`“${job.name}” could not be removed`, async () => {
      await removeJob(job.id)
      bench.letGo(job.id)
      said.value = `“${job.name}” was removed.`
      channel.tell({ what: 'removed', id: job.id })
      await load()
    })
  }
  const keepRaw = (job: Listed): Promise<boolean> =>
    trouble.attempt(`“${job.name}” could not be given as a file`, async () =>
      saveRaw(await rawJob(job.id), job.name),
    )
  async function clearExamples(): Promise<void> {
    const gone = examples.value.map((j) => j.id)
    await trouble.attempt('The examples could not all be taken away', async () => {
      await removeExamples()
      said.value = 'The examples are gone; your own work is as it was.'
      for (const id of gone) {
        bench.letGo(id)
        channel.tell({ what: 'removed', id })
      }
      channel.tell({ what: 'stores' })
      await load()
    })
  }
  async function fetchExamples(): Promise<void> {
    await trouble.attempt('The examples could not be fetched', async () => {
      await bringExamples(Date.now())
      said.value = 'The examples are back on the shelf.'
      told()
      channel.tell({ what: 'stores' })
      await load()
    })
  }

  return {
    own,
    examples,
    jobs,
    loaded,
    about,
    said,
    refused,
    removing,
    reading,
    start,
    opened,
    takeAway,
    keepRaw,
    clearExamples,
    fetchExamples,
  }
}
