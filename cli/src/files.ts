import {
  type FileHandle,
  mkdtemp,
  open,
  readFile,
  realpath,
  rename,
  rm,
  stat,
  writeFile,
} from 'node:fs/promises'
import { basename, dirname, join } from 'node:path'
import type { Format } from '@drumlin/core/exchange/formats'
import { shortly } from './words.js'

/** The largest file that is read, bytes. */
const LARGEST = 20_000_000

/** Why something could not be read or written, in a word the system gives. */
export const codeOf = (error: unknown): string =>
  (error as NodeJS.ErrnoException).code ?? (error instanceof Error ? error.name : 'unknown')

/** The text of a file; throws an `Error` whose message says why not. Reads no more than 20 MB, whatever it is. */
export async function readText(file: string): Promise<string> {
  let handle: FileHandle | undefined
  try {
    handle = await open(file, 'r')
    const parts: Buffer[] = []
    let size = 0
    for (;;) {
      const { bytesRead, buffer } = await handle.read(Buffer.alloc(1 << 16), 0, 1 << 16, null)
      if (bytesRead === 0) break
      size += bytesRead
      if (size > LARGEST) throw new Error(`holds more than ${LARGEST / 1e6} MB`)
      parts.push(buffer.subarray(0, bytesRead))
    }
    return Buffer.concat(parts).toString('utf8')
  } catch (error) {
    const { code } = error as NodeJS.ErrnoException
    throw new Error(`${shortly(file)} ${code ? `cannot be read (${code})` : (error as Error).message}`, {
      cause: error,
    })
  } finally {
    await handle?.close()
  }
}

export interface ToWrite {
  readonly file: string
  readonly contents: string | Uint8Array
  readonly format: { readonly id: string } & Pick<Format, 'isOurs'>
  /** The file that was read: never written over. */
  readonly input: string
  /** Whether a file that is not Drumlin's own may be written over. */
  readonly replace: boolean
}

/** Writes beside the place and moves it there, so that it is whole or not there at all. Throws an `Error` whose message says why not. */
export async function writeWhole({ file, contents, format, input, replace }: ToWrite): Promise<void> {
  const there = await stat(file).catch(() => undefined)
  if (there && (await isSame(file, input)))
    throw new Error(`${shortly(file)} is the design that is read; give --out another name`)
  if (there?.isDirectory())
    throw new Error(`${shortly(file)} is a folder; give --out the name of a file in it`)
  if (there?.isFile() && !replace && !(await format.isOurs(await readFile(file))))
    throw new Error(
      `${shortly(file)} is there already and no ${format.id} of Drumlin’s; add --replace to write over it`,
    )
  try {
    // A device or a pipe is written to as it is: there is nothing to move over.
    if (there && !there.isFile()) await writeFile(file, contents)
    else await moved(there ? await realpath(file) : file, contents)
  } catch (error) {
    throw new Error(`${shortly(file)} cannot be written (${codeOf(error)})`, { cause: error })
  }
}

async function moved(file: string, contents: string | Uint8Array): Promise<void> {
  const folder = await mkdtemp(join(dirname(file), '.drumlin-'))
  try {
    const draft = join(folder, basename(file))
    const handle = await open(draft, 'w')
    try {
      await handle.writeFile(contents)
      await handle.sync()
    } finally {
      await handle.close()
    }
    await rename(draft, file)
  } finally {
    await rm(folder, { recursive: true, force: true })
  }
}

async function isSame(a: string, b: string): Promise<boolean> {
  const [one, other] = await Promise.all([stat(a), stat(b).catch(() => undefined)])
  return other !== undefined && one.dev === other.dev && one.ino === other.ino
}
