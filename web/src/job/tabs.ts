/** Tells other tabs that a job was written, and hears it from them. */
export const channel = (() => {
  const wire = typeof BroadcastChannel === 'undefined' ? undefined : new BroadcastChannel('drumlin')
  return {
    tell: (jobId: string): void => wire?.postMessage({ jobId }),
    listen: (heard: (jobId: string) => void): void => {
      wire?.addEventListener('message', ({ data }: MessageEvent<{ jobId: string }>) => heard(data.jobId))
    },
  }
})()
