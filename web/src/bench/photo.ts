/** Larger than this a photograph is made smaller, pixels; and what is not read at all, bytes. */
const [SIDE, LARGEST] = [1600, 60_000_000] as const

export type Shrunk =
  { readonly ok: true; readonly picture: Blob } | { readonly ok: false; readonly why: string }

/** A photograph small enough to be kept by the thousand. */
export async function shrunk(file: Blob & { readonly name?: string }): Promise<Shrunk> {
  const name = file.name ?? 'the photograph'
  if (file.size > LARGEST)
    return {
      ok: false,
      why: `${name} has ${Math.round(file.size / 1e6)} MB; up to ${LARGEST / 1e6} MB are read`,
    }
  try {
    const bitmap = await createImageBitmap(file)
    const scale = Math.min(1, SIDE / Math.max(bitmap.width, bitmap.height))
    const canvas = new OffscreenCanvas(Math.round(bitmap.width * scale), Math.round(bitmap.height * scale))
    canvas.getContext('2d')!.drawImage(bitmap, 0, 0, canvas.width, canvas.height)
    bitmap.close()
    return { ok: true, picture: await canvas.convertToBlob({ type: 'image/jpeg', quality: 0.8 }) }
  } catch {
    return { ok: false, why: `${name} is no picture that can be read` }
  }
}
