import { DEFAULT_PLACES, buildApp } from './app.js'

const DEFAULT_PORT = 4317
const port = Number(process.env.PORT ?? DEFAULT_PORT)
if (!Number.isInteger(port) || port < 0 || port > 65535) {
  console.error(`PORT must be a whole number from 0 to 65535, got ${process.env.PORT}`)
  process.exit(2)
}

const app = await buildApp({ ...DEFAULT_PLACES, examples: !process.argv.includes('--empty') })
try {
  const address = await app.listen({ port, host: 'localhost' })
  console.log(`Drumlin is open at ${address.replace('127.0.0.1', 'localhost').replace('[::1]', 'localhost')}`)
} catch (error) {
  console.error(
    error instanceof Error && 'code' in error && error.code === 'EADDRINUSE'
      ? `Port ${port} is taken: set PORT to another, as in PORT=4318 npm start.`
      : error,
  )
  process.exit(1)
}
