// Everything that has to hold, in the order that fails soonest. Stops at the first that does not. What only reads runs side by side, two at a time.
import { spawn } from 'node:child_process'

const READING = ['types', 'lint', 'imports', 'unused']
const STEPS = ['unit', 'build', 'browser']

/** Runs one script: at once what it prints, or all of it when it has ended. */
function run(step, aside) {
  const started = Date.now()
  return new Promise((resolve) => {
    const child = spawn('npm', ['run', '-s', step], {
      stdio: ['ignore', aside ? 'pipe' : 'inherit', aside ? 'pipe' : 'inherit'],
    })
    const said = []
    for (const stream of aside ? [child.stdout, child.stderr] : [])
      stream.on('data', (chunk) => said.push(chunk))
    child.on('close', (status) => {
      if (aside) {
        console.log(`\n== ${step}`)
        process.stdout.write(Buffer.concat(said))
      }
      if (status === 0) console.log(`== ${step} held (${Math.round((Date.now() - started) / 1000)} s)`)
      else console.error(`\n${step} failed.`)
      resolve(status ?? 1)
    })
  })
}

const waiting = [...READING]
let worst = 0
const worker = async () => {
  for (let step = waiting.shift(); step && worst === 0; step = waiting.shift()) {
    const status = await run(step, true)
    worst = Math.max(worst, status)
  }
}
await Promise.all([worker(), worker()])
if (worst !== 0) process.exit(worst)

for (const step of STEPS) {
  console.log(`\n== ${step}`)
  const status = await run(step, false)
  if (status !== 0) process.exit(status)
}
