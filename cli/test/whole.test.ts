import { spawn, spawnSync } from 'node:child_process'
import {
  existsSync,
  linkSync,
  mkdirSync,
  mkdtempSync,
  readFileSync,
  readdirSync,
  symlinkSync,
  writeFileSync,
} from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { fileURLToPath } from 'node:url'
import { describe, expect, test } from 'vitest'
import { run } from '../src/run.js'

const demo = fileURLToPath(new URL('../../demo/designs/deckhands-fold.drumlin.json', import.meta.url))
const root = fileURLToPath(new URL('../../', import.meta.url))
const scratch = mkdtempSync(join(tmpdir(), 'drumlin-whole-'))
const at = (name: string): string => join(scratch, name)
const FORMS = ['pdf', 'svg', 'dxf', 'json'] as const
const exported = (to: string, out: string, ...more: string[]) =>
  run(['export', demo, '--to', to, '--out', out, ...more])
const oneLine = (text: string | undefined): void => {
  expect(text).toMatch(/^drumlin: .+/)
  expect(text).not.toContain('\n')
  expect(text!.length).toBeLessThan(400)
}

describe('what is written', () => {
  test.each(FORMS)('a %s of its own is written over, another’s only when asked to', async (form) => {
    const mine = at(`mine.${form}`)
    expect((await exported(form, mine)).code).toBe(0)
    expect((await exported(form, mine)).code).toBe(0)
    const theirs = at(`theirs.${form}`)
    writeFileSync(theirs, 'somebody’s letter')
    const refused = await exported(form, theirs)
    expect([refused.code, readFileSync(theirs, 'utf8')]).toEqual([2, 'somebody’s letter'])
    expect(refused.error).toContain(`is there already and no ${form} of Drumlin’s; add --replace`)
    expect((await exported(form, theirs, '--replace')).code).toBe(0)
    expect(readFileSync(theirs).length).toBeGreaterThan(1000)
  })

  test('never over what it reads, by whatever name that goes', async () => {
    const own = at('own.drumlin.json')
    writeFileSync(own, readFileSync(demo))
    symlinkSync(own, at('alias.json'))
    linkSync(own, at('twin.json'))
    for (const name of [own, at('alias.json'), at('twin.json')])
      for (const more of [[], ['--replace']]) {
        const { code, error } = await run(['export', own, '--to', 'svg', '--out', name, ...more])
        expect([code, readFileSync(own, 'utf8')]).toEqual([2, readFileSync(demo, 'utf8')])
        expect(error).toContain('is the design that is read')
      }
  })

  test('whole or not at all: a place that can’t be written leaves nothing behind', async () => {
    mkdirSync(at('folder'))
    for (const out of [at('folder'), at('none/x.svg'), '/proc/x.svg'])
      oneLine((await exported('svg', out)).error)
    expect(readdirSync(scratch).filter((f) => f.startsWith('.drumlin'))).toEqual([])
    expect(existsSync(at('none'))).toBe(false)
  })
})

/** The command as it is typed. */
const typed = (...words: string[]) =>
  spawnSync(process.execPath, ['--import', 'tsx', 'cli/src/main.ts', ...words], {
    cwd: root,
    encoding: 'utf8',
  })

describe('whatever goes wrong is one line and 2', () => {
  const LONG = 'x'.repeat(50_000)
  test.each([
    ['no file', ['derive', at('gone.json')]],
    ['a folder', ['derive', scratch]],
    ['something without end', ['derive', '/dev/zero']],
    ['a very long name', ['derive', LONG]],
    ['a very long command', [LONG]],
    ['a very long option', ['export', demo, `--${LONG}`, 'x']],
    ['a name with ends of lines in it', ['derive', 'a\nb\u001b[31mc']],
    ['a number in another base', ['reckon', 'turned-edge', '--width', '0x10']],
    ['no number at all', ['reckon', 'turned-edge', '--width', 'Infinity']],
  ])('%s', async (_, words) => {
    const { code, error } = await run(words)
    expect(code).toBe(2)
    oneLine(error)
    // eslint-disable-next-line no-control-regex
    expect(error).not.toMatch(/[\u0000-\u001f]/)
  })

  test('a file that is no design says what it is in few words, however long it is', async () => {
    writeFileSync(at('long.json'), JSON.stringify({ format: LONG, [LONG]: 1 }))
    oneLine((await run(['derive', at('long.json')])).error)
    writeFileSync(at('odd.json'), readFileSync(demo, 'utf8').replace('"draft"', `"${LONG}"`))
    oneLine((await run(['derive', at('odd.json')])).error)
  })

  test('a full disk is told on one line, with 2', () => {
    if (!existsSync('/dev/full')) return
    const out = spawnSync(
      'sh',
      ['-c', `"${process.execPath}" --import tsx cli/src/main.ts derive "${demo}" > /dev/full`],
      {
        cwd: root,
        encoding: 'utf8',
      },
    )
    expect([out.status, out.stderr]).toEqual([
      2,
      'drumlin: this could not be done (what was asked for cannot be printed: ENOSPC)\n',
    ])
    const file = typed('export', demo, '--to', 'svg', '--out', '/dev/full')
    expect([file.status, file.stderr]).toEqual([2, 'drumlin: /dev/full cannot be written (ENOSPC)\n'])
  })

  test('whoever reads may stop reading', async () => {
    const child = spawn(process.execPath, ['--import', 'tsx', 'cli/src/main.ts', 'derive', demo], {
      cwd: root,
    })
    let said = ''
    child.stderr.on('data', (text: Buffer) => (said += text.toString()))
    child.stdout.once('data', () => child.stdout.destroy())
    const code = await new Promise((resolve) => child.on('exit', resolve))
    expect([code, said]).toEqual([0, ''])
  })
})
