import { NOT_STARTED } from './notStarted.js'

/** What a thread can be started for: each comes with its own part, what they share is fetched and kept once. */
const PARTS = {
  backup: () => import('./backup.worker.js'),
  findings: () => import('./findings.worker.js'),
  fit: () => import('./fit.worker.js'),
  hide: () => import('./hide.worker.js'),
  ledger: () => import('./ledger.worker.js'),
  make: () => import('./make.worker.js'),
  measured: () => import('./measured.worker.js'),
  photo: () => import('./photo.worker.js'),
  pictures: () => import('./pictures.worker.js'),
  read: () => import('./read.worker.js'),
  relief: () => import('./relief.worker.js'),
  write: () => import('./write.worker.js'),
} as const

export type ThreadName = keyof typeof PARTS

const isName = (name: string): name is ThreadName => Object.hasOwn(PARTS, name)

/** What is asked before the part is there waits for it. */
const waiting: MessageEvent[] = []
const keep = (event: MessageEvent): void => {
  event.stopImmediatePropagation()
  waiting.push(event)
}

async function begin(name: string): Promise<void> {
  if (!isName(name)) throw new RangeError(`no thread is called “${name}”`)
  self.addEventListener('message', keep)
  await PARTS[name]()
  self.removeEventListener('message', keep)
  for (const { data, ports } of waiting)
    self.dispatchEvent(new MessageEvent('message', { data, ports: [...ports] }))
}

// A part that can’t be fetched is an error of the thread: whoever waits is told.
begin(self.name).catch(() => {
  setTimeout(() => {
    throw new Error(NOT_STARTED)
  })
})
