/** With DRUMLIN_LONG=1 nets are as wide as they can be; else they leave a hurried run its minutes. */
const LONG = process.env.DRUMLIN_LONG !== undefined

/** How many random designs a net asks of. */
export const many = (hurried: number, long: number): number => (LONG ? long : hurried)

/** Every one of a list, or in a hurry each so manieth of it. */
export const some = <T>(all: readonly T[], each: number): readonly T[] =>
  LONG ? all : all.filter((_, i) => i % each === 0)
