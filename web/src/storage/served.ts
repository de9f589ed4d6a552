/** How long the server is waited for, ms. */
const SERVED_WITHIN = 15_000

/** What the server has under a path; throws where it does not answer in time, or with a refusal. */
export const fetched = async (path: string): Promise<Response> => {
  const response = await fetch(path, { signal: AbortSignal.timeout(SERVED_WITHIN) })
  if (!response.ok) throw new Error(`${path} was not served (${response.status})`)
  return response
}
