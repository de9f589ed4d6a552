import {
  type CutDrawing,
  type Device,
  type Hand,
  type PrintedPage,
  cutDrawingSchema,
  devicesSchema,
  printedPageSchema,
} from '@drumlin/core/devices'

/** What a device was asked, done or not: why it was not, in its words. */
async function asked(path: string, init?: RequestInit): Promise<Response> {
  let response: Response
  try {
    response = await fetch(path, init)
  } catch {
    throw new Error('the server that it stands behind does not answer')
  }
  if (response.ok) return response
  const said = (await response.json().catch(() => ({}))) as { readonly message?: string }
  throw new Error(said.message ?? `the server answered ${response.status}`)
}

/** The devices as the server tells them; none where it tells something else. */
export function standInsRead(text: string): readonly Device[] {
  try {
    const read = devicesSchema.safeParse(JSON.parse(text))
    return read.success ? read.data : []
  } catch {
    return []
  }
}

/** A hand does something to a stand-in. */
export async function handle(id: string, act: Hand): Promise<void> {
  await asked(`/device/${id}/hand`, {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify(act),
  })
}

/** A PDF on the stand-in of a printer. */
export async function printOnStandIn(pdf: Blob): Promise<void> {
  await asked('/device/printer/print', {
    method: 'POST',
    headers: { 'content-type': 'application/pdf' },
    body: pdf,
  })
}

export async function printedPage(page: number): Promise<PrintedPage> {
  return printedPageSchema.parse(await (await asked(`/device/printer/page/${page}`)).json())
}
export async function cutDrawing(): Promise<CutDrawing> {
  return cutDrawingSchema.parse(await (await asked('/device/cutter/drawing')).json())
}
/** A photograph of what lies before the stand-in of a camera. */
export async function standInPhotograph(): Promise<File> {
  const picture = await (await asked('/device/camera/picture')).blob()
  return new File([picture], 'from the camera.png', { type: picture.type })
}
