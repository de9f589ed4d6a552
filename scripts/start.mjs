// Builds the interface where it is missing or older than its sources, then serves it.
import { spawn, spawnSync } from 'node:child_process'
import { readdirSync, statSync } from 'node:fs'
import { dirname, join } from 'node:path'
import { fileURLToPath } from 'node:url'

const root = join(dirname(fileURLToPath(import.meta.url)), '..')
const newest = (path) => {
  const stat = statSync(path, { throwIfNoEntry: false })
  if (!stat) return 0
  if (!stat.isDirectory()) return stat.mtimeMs
  return Math.max(
    0,
    ...readdirSync(path)
      .filter((n) => n !== 'node_modules' && n !== 'dist')
      .map((n) => newest(join(path, n))),
  )
}

const sources = Math.max(...['web', 'core', 'package-lock.json'].map((p) => newest(join(root, p))))
const built = statSync(join(root, 'web/dist/index.html'), { throwIfNoEntry: false })?.mtimeMs ?? 0
if (built < sources) {
  console.log('Building …')
  const { status } = spawnSync('npm', ['run', '-s', 'build'], { cwd: root, stdio: ['ignore', 2, 2] })
  if (status !== 0) process.exit(status ?? 1)
}

const server = spawn(process.execPath, ['--import', 'tsx', 'server/src/main.ts', ...process.argv.slice(2)], {
  cwd: root,
  stdio: 'inherit',
})
for (const signal of ['SIGINT', 'SIGTERM']) process.on(signal, () => server.kill(signal))
server.on('exit', (code) => process.exit(code ?? 0))
