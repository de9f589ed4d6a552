// Everything that has to hold, in the order that fails soonest. Stops at the first that does not.
import { spawnSync } from 'node:child_process'

const STEPS = ['types', 'lint', 'imports', 'unused', 'unit', 'build', 'browser']

for (const step of STEPS) {
  const started = Date.now()
  console.log(`\n== ${step}`)
  const { status } = spawnSync('npm', ['run', '-s', step], { stdio: ['ignore', 'inherit', 'inherit'] })
  if (status !== 0) {
    console.error(`\n${step} failed.`)
    process.exit(status ?? 1)
  }
  console.log(`== ${step} held (${Math.round((Date.now() - started) / 1000)} s)`)
}
