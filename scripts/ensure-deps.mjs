// Runs before start, dev, test and the command line, when nothing may be installed yet: node: modules only.
import { execFileSync } from 'node:child_process'
import { existsSync } from 'node:fs'
import { dirname, join } from 'node:path'
import { fileURLToPath } from 'node:url'

const root = join(dirname(fileURLToPath(import.meta.url)), '..')
const run = (command, args) => execFileSync(command, args, { cwd: root, stdio: ['ignore', 2, 2] })

if (!existsSync(join(root, 'node_modules/.package-lock.json'))) {
  console.error('Installing what is missing (npm ci) …')
  run('npm', ['ci', '--no-audit', '--no-fund'])
}

/** Debian packages the tests use: a browser to drive, and other people's readers to check our files with. */
const DEBIAN = [
  ['/usr/bin/chromium', 'chromium'],
  ['/usr/bin/pdftocairo', 'poppler-utils'],
  ['/usr/bin/rsvg-convert', 'librsvg2-bin'],
  ['/usr/bin/hp2xx', 'hp2xx'],
  ['/usr/lib/python3/dist-packages/ezdxf', 'python3-ezdxf'],
]

if (process.argv.includes('--browser')) {
  const missing = DEBIAN.filter(([file]) => !existsSync(file)).map(([, name]) => name)
  const mayInstall =
    process.platform === 'linux' && process.getuid?.() === 0 && existsSync('/usr/bin/apt-get')
  if (missing.length > 0 && mayInstall) {
    console.error(`Installing ${missing.join(', ')} (apt-get) …`)
    run('apt-get', ['update', '-qq'])
    run('apt-get', ['install', '-y', '-qq', '--no-install-recommends', ...missing])
  } else if (missing.length > 0) {
    console.error(
      `Not installed: ${missing.join(', ')}. As an administrator: apt-get install ${missing.join(' ')}`,
    )
    if (missing.includes('chromium')) process.exit(1)
  }
}
