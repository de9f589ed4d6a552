/** What a plotter’s error numbers mean, as it answers when it is asked for them. */
const ERRORS: Readonly<Record<number, string>> = {
  1: 'it was told something that it does not understand',
  2: 'an instruction came with the wrong number of values',
  3: 'a value was out of the range it takes',
  5: 'it was asked for letters that it does not have',
  6: 'it was sent beyond its bed',
  7: 'more came at once than it can keep',
  8: 'a holder that it was told to take has no tool in it',
}

/** What a cutter is asked after a job: its error, if any. */
export const ASK_ERROR = 'OE;'

/** What a cutter answered: nothing wrong, or what is, as the end of a sentence. */
export type CutterAnswer = { readonly fine: true } | { readonly fine: false; readonly why: string }

/** Reads what a cutter answers to being asked for its error. */
export function cutterAnswer(line: string): CutterAnswer {
  const said = line.trim()
  if (!/^\d{1,3}$/.test(said))
    return { fine: false, why: `it answered “${said.slice(0, 40)}”, which is no number of an error` }
  const code = Number(said)
  if (code === 0) return { fine: true }
  const why = ERRORS[code] ?? 'its own manual says what that is'
  return { fine: false, why: `it complains (${code}): ${why}; what it cut so far may be wrong` }
}
