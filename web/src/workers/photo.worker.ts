import { answering } from './answer.js'

/** Larger than this a photograph is made smaller, pixels. */
const SIDE = 1600

/** A photograph small enough to be kept by the thousand. Throws where it is no picture. */
answering(async (file: Blob): Promise<Blob> => {
  const bitmap = await createImageBitmap(file)
  const scale = Math.min(1, SIDE / Math.max(bitmap.width, bitmap.height))
  const canvas = new OffscreenCanvas(Math.round(bitmap.width * scale), Math.round(bitmap.height * scale))
  canvas.getContext('2d')!.drawImage(bitmap, 0, 0, canvas.width, canvas.height)
  bitmap.close()
  return canvas.convertToBlob({ type: 'image/jpeg', quality: 0.8 })
})
