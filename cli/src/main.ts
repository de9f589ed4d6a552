import { codeOf } from './files.js'
import { run } from './run.js'
import { shortly } from './words.js'

/** Says why nothing came of it, on one line, and ends with 2: 1 means that a finding is a stop. */
function end(error: unknown): never {
  const why = error instanceof Error ? error.message : String(error)
  try {
    process.stderr.write(`drumlin: this could not be done (${shortly(why, 200)})\n`)
  } finally {
    process.exit(2)
  }
}
process.on('uncaughtException', end)
process.on('unhandledRejection', end)

/** Writes all of it. Whoever reads may stop reading: that is their end of it, not a failure. */
const written = (stream: NodeJS.WriteStream, text: string): Promise<void> =>
  new Promise((resolve, reject) => {
    const failed = (error: unknown): void => {
      if (codeOf(error) === 'EPIPE') resolve()
      else reject(new Error(`what was asked for cannot be printed: ${codeOf(error)}`))
    }
    stream.once('error', failed)
    stream.write(text, (error) => (error ? failed(error) : resolve()))
  })

const result = await run(process.argv.slice(2))
if (result.out) await written(process.stdout, result.out)
if (result.error) await written(process.stderr, `${result.error}\n`)
process.exitCode = result.code
