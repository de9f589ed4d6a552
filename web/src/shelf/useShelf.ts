import type { Figures } from '@drumlin/core/learning'
import { onMounted, onScopeDispose, ref, shallowRef, watch } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import type { Design } from '@drumlin/core/design'
import { useTrouble } from '../app/trouble.js'
import { useBench } from '../job/bench.js'
import { useStores } from '../job/stores.js'
import { channel } from '../job/tabs.js'
import { saveDesign, saveRaw } from '../output/save.js'
import { readDesignFile } from '../reading/read.js'
import type { JobRecord } from '../storage/db.js'
import { bringExamples } from '../storage/examples.js'
import { type Listed, createJob, jobIds, listJobs, rawJob } from '../storage/records.js'
import { readSetting } from '../storage/settings.js'
import { type Taken, putAway, putBackJob, removeExamples, takeJob } from '../storage/shelving.js'
import { dropped } from './dropped.js'
import { freeId } from './ids.js'

/** How soon the shelf shows what another tab edits, ms. */
const SOON = 1000

/** What lies on the shelf, and what can be done there; what fails is said in the bar above. */
export function useShelf() {
  const router = useRouter()
  const route = useRoute()
  const stores = useStores()
  const trouble = useTrouble()
  const bench = useBench()
  const jobs = shallowRef<readonly Listed[]>([])
  const loaded = ref(false)
  const said = ref(typeof route.query.gone === 'string' ? 'That job is no longer on the shelf.' : '')
  const refused = ref('')

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

  /** What the workshop has learnt of its paces. */
  async function ownFigures(): Promise<Figures> {
    const ways = (await import('../ledger/ownWays.js')).useOwnWays()
    if (!ways.read) await ways.load()
    return ways.own
  }
  async function start(kind: string): Promise<void> {
    await trouble.attempt('The new job could not be kept', async () => {
      const { begun } = await import('./starting.js')
      const { design, asks } = begun(
        kind,
        jobs.value.map((j) => j.id),
        stores,
        await ownFigures(),
      )
      const kept = await createFree(design, false)
      told()
      // What is drawn by hand asks nothing first: it begins on the sheet.
      await router.push({ name: asks ? 'brief' : 'draft', params: { id: kept.id } })
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

  watch(
    dropped,
    (file) => {
      if (!file) return
      dropped.value = undefined
      void opened(file)
    },
    { immediate: true },
  )

  /** Keeps a design under its own name, or the next free one where another has it. */
  async function createFree(design: Design, example: boolean): Promise<JobRecord> {
    const taken = await jobIds()
    const id = taken.includes(design.id) ? freeId(design.id, taken) : design.id
    return createJob({ ...design, id }, example, Date.now())
  }

  /** What was removed last, until something else is said: it can be put back. */
  const taken = shallowRef<Taken>()
  watch(said, () => (taken.value = undefined), { flush: 'sync' })
  async function takeAway(job: Listed): Promise<void> {
    await trouble.attempt(`“${job.name}” could not be removed`, async () => {
      const was = await takeJob(job.id)
      bench.value?.letGo(job.id)
      said.value = ''
      said.value = `“${job.name}” was removed.`
      taken.value = was
      channel.tell({ what: 'removed', id: job.id })
      await load()
    })
  }
  async function putBack(): Promise<void> {
    const was = taken.value
    if (!was) return
    await trouble.attempt('It could not be put back', async () => {
      await putBackJob(was)
      said.value = ''
      told()
      await load()
    })
  }
  /** Something done to a job on the shelf, after which the shelf is read again. */
  const acting =
    (words: (job: Listed) => string, act: (job: Listed) => Promise<unknown>) =>
    async (job: Listed): Promise<void> => {
      await trouble.attempt(words(job), async () => {
        await act(job)
        told()
        await load()
      })
    }
  const setAway = acting(
    (job) => `“${job.name}” could not be laid elsewhere`,
    (job) => putAway(job.id, !job.away),
  )
  const copy = acting(
    (job) => `“${job.name}” could not be copied`,
    async (job) => {
      const id = freeId(job.id, await jobIds())
      const { copyJob } = await import('../storage/jobs.js')
      const made = await copyJob(job.id, { id, name: `${job.name}, copy`.slice(0, 80) }, Date.now())
      said.value = `“${made.design.name}” is on the shelf.`
    },
  )
  const rename = (job: Listed, name: string): Promise<void> =>
    acting(
      () => `“${job.name}” could not be renamed`,
      async () => (await import('../storage/jobs.js')).renameJob(job.id, name, Date.now()),
    )(job)
  const keepRaw = (job: Listed): Promise<boolean> =>
    trouble.attempt(`“${job.name}” could not be given as a file`, async () =>
      saveRaw(await rawJob(job.id), job.name),
    )
  async function clearExamples(): Promise<void> {
    const gone = jobs.value.filter((j) => j.example).map((j) => j.id)
    await trouble.attempt('The examples could not all be taken away', async () => {
      await removeExamples()
      said.value = 'The examples are gone; your own work is as it was.'
      for (const id of gone) {
        bench.value?.letGo(id)
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
    jobs,
    loaded,
    about,
    said,
    refused,
    reading,
    start,
    opened,
    taken,
    takeAway,
    putBack,
    setAway,
    copy,
    rename,
    keepRaw,
    clearExamples,
    fetchExamples,
  }
}
