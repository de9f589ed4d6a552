import { askedOf, packStrip } from '@drumlin/core/packing'
import type { PackedBy, PackerAsked } from './pack.js'

// A process of its own: packs by one seed for so many seconds, tells what came of it, and ends.
process.once('message', (message) => {
  const { instance, seed, seconds } = message as PackerAsked
  const start = performance.now()
  const { layout, length } = packStrip(
    askedOf(instance, seed).asked,
    () => (performance.now() - start) / 1000 / seconds,
  )
  process.send?.({ layout, length } satisfies PackedBy, () => process.exit(0))
})
