/** Whether this browser lets a page ask for a camera. */
export const hasCamera = 'mediaDevices' in navigator

/** A camera is given so long to see anything, ms: the first pictures of many are black. */
const WARMS_UP = 400

/** A photograph by a camera of this machine; the browser asks for leave. Throws where there is none or it is not let. */
export async function ownPhotograph(): Promise<File> {
  const stream = await navigator.mediaDevices.getUserMedia({
    video: { facingMode: 'environment', width: { ideal: 4096 }, height: { ideal: 3072 } },
  })
  try {
    const video = document.createElement('video')
    video.muted = true
    video.srcObject = stream
    await video.play()
    await new Promise((resolve) => setTimeout(resolve, WARMS_UP))
    const canvas = document.createElement('canvas')
    canvas.width = video.videoWidth
    canvas.height = video.videoHeight
    canvas.getContext('2d')!.drawImage(video, 0, 0)
    const picture = await new Promise<Blob | null>((resolve) => canvas.toBlob(resolve, 'image/jpeg', 0.92))
    if (!picture) throw new Error('it gave no picture')
    return new File([picture], 'from the camera.jpg', { type: picture.type })
  } finally {
    for (const track of stream.getTracks()) track.stop()
  }
}
