// The server for demo files, and the interface rebuilt as it is edited.
import { spawn } from 'node:child_process'

const children = [
  spawn(process.execPath, ['--import', 'tsx', '--watch', 'server/src/main.ts', ...process.argv.slice(2)], {
    stdio: 'inherit',
  }),
  spawn('npm', ['run', 'dev', '-w', 'web'], { stdio: 'inherit' }),
]
const stop = () => children.forEach((child) => child.kill())
for (const signal of ['SIGINT', 'SIGTERM']) process.on(signal, stop)
for (const child of children) child.on('exit', stop)
