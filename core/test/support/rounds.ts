/** So many rounds of work: the same on every machine, whatever its clock says. */
export const rounds = (most: number): (() => number) => {
  let done = 0
  return () => (done += 1) / most
}
