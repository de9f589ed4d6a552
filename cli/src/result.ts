/** What a call prints and the code it ends with: 0 done, 1 a finding is a stop, 2 it could not be done. */
export interface Result {
  readonly code: 0 | 1 | 2
  readonly out?: string
  readonly error?: string
}
