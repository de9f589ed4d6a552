/**
 * Follows a working with a pencil: reads the words of a line as a maker does and reckons what they say. Throws where
 * they can't be followed.
 */
export function pencilled(words: string): number {
  const said = words.split(';')[0]!.replaceAll('−', '-').trim()
  return new Pencil(tokensOf(said)).whole()
}

type Token = number | string
function tokensOf(said: string): Token[] {
  const tokens: Token[] = []
  const pattern = /(\d+(?:\.\d+)?)(°?)|(π)|([()+\-×/√²,])|([\p{L}’'–-]+)|\s+|\./gu
  let last = 0
  for (const m of said.matchAll(pattern)) {
    if (m.index !== last) throw new Error(`can’t read “${said.slice(last, m.index)}” in “${said}”`)
    last = m.index + m[0].length
    if (m[1] !== undefined) {
      tokens.push(Number(m[1]))
      if (m[2] === '°') tokens.push('°')
    } else if (m[3]) tokens.push(Math.PI)
    else if (m[4]) tokens.push(m[4])
    else if (m[5]) tokens.push(m[5])
  }
  if (last !== said.length) throw new Error(`can’t read “${said.slice(last)}”`)
  return tokens
}

class Pencil {
  private at = 0
  constructor(private readonly tokens: readonly Token[]) {}

  private get next(): Token | undefined {
    return this.tokens[this.at]
  }
  private sees(...words: string[]): boolean {
    return words.every((w, i) => this.tokens[this.at + i] === w)
  }
  private takes(...words: string[]): boolean {
    if (!this.sees(...words)) return false
    this.at += words.length
    return true
  }

  whole(): number {
    let value = this.sum()
    while (this.next !== undefined) value = this.after(value)
    return value
  }

  /** What may follow a sum: a bound, a rounding, or plain words. */
  private after(value: number): number {
    this.remarks()
    if (!this.takes(',')) {
      if (this.next === undefined) return value
      throw new Error(`stuck at “${this.tokens.slice(this.at).join(' ')}”`)
    }
    if (this.takes('rounded', 'up') || this.takes('whole', 'layers')) return Math.ceil(value - 1e-6)
    if (this.takes('no', 'nearer', 'than')) return Math.max(value, this.sum())
    if (this.takes('at', 'most')) return Math.min(value, this.sum())
    if (typeof this.next === 'number') {
      const bound = this.sum()
      if (this.takes('at', 'least') || this.leastSaid) return Math.max(value, bound)
      throw new Error('a number after a comma says what it is')
    }
    this.remarks()
    if (this.sees('/') || this.sees('×')) return this.timesOn(value)
    return value
  }
  private leastSaid = false

  /** Words that say what a number is. */
  private remarks(): void {
    this.leastSaid = false
    while (typeof this.next === 'string' && /^[\p{L}]/u.test(this.next)) {
      if (this.sees('at', 'least')) this.leastSaid = true
      if (this.sees('the', 'larger', 'of') || this.sees('the', 'smaller', 'of')) return
      this.at += 1
    }
  }

  private sum(): number {
    let value = this.product()
    for (;;) {
      this.remarks()
      if (this.takes('+')) value += this.product()
      else if (this.takes('-')) value -= this.product()
      else return value
    }
  }

  private timesOn(start: number): number {
    let value = start
    for (;;) {
      if (this.takes('×')) value *= this.factor()
      else if (this.takes('/')) value /= this.factor()
      else return value
    }
  }

  private product(): number {
    let value = this.factor()
    for (;;) {
      const before = this.at
      this.remarks()
      if (this.takes('×')) value *= this.factor()
      else if (this.takes('/')) value /= this.factor()
      else if (typeof this.next === 'number' && this.next === Math.PI) value *= this.factor()
      else {
        // “30 × 8, deep ones counted longer, / 90 a minute”: a remark between commas.
        const comma = this.at
        if (this.takes(',')) {
          this.remarks()
          if (this.takes(',') && (this.sees('/') || this.sees('×'))) continue
        }
        this.at = comma
        if (before === this.at) return value
        return value
      }
    }
  }

  private list(): number[] {
    const values = [this.sum()]
    for (;;) {
      this.remarks()
      if (this.takes(',')) values.push(this.sum())
      else if (this.lastWordWasAnd()) values.push(this.sum())
      else return values
    }
  }
  private lastWordWasAnd(): boolean {
    return (
      this.tokens[this.at - 1] === 'and' &&
      (typeof this.next === 'number' || this.sees('(') || this.sees('the'))
    )
  }

  private factor(): number {
    if (this.takes('the', 'larger', 'of') || this.takes('the', 'largest', 'of'))
      return Math.max(...this.list())
    if (this.takes('the', 'smaller', 'of') || this.takes('the', 'smallest', 'of'))
      return Math.min(...this.list())
    if (this.takes('half', 'of')) return this.factor() / 2
    if (this.takes('a', 'third', 'of')) return this.factor() / 3
    if (this.takes('sin')) return Math.sin(this.factor())
    if (this.takes('cos')) return Math.cos(this.factor())
    if (this.takes('tan')) return Math.tan(this.factor())
    if (this.takes('sine', 'of')) {
      this.takes('its')
      this.takes('slant')
      return Math.sin(this.factor())
    }
    if (this.takes('cosine', 'of')) return Math.cos(this.factor())
    if (this.takes('the', 'angle', 'whose', 'tangent', 'is')) return Math.atan(this.product())
    if (this.takes('the', 'angle', 'whose', 'cosine', 'is')) return Math.acos(this.product())
    if (this.takes('√')) return Math.sqrt(this.factor())
    if (this.takes('-')) return -this.factor()
    if (this.takes('(')) {
      const value = this.sum()
      if (!this.takes(')'))
        throw new Error(`no end of brackets before “${this.tokens.slice(this.at).join(' ')}”`)
      return this.squared(value)
    }
    while (typeof this.next === 'string' && /^\p{L}/u.test(this.next)) this.at += 1
    const value = this.next
    if (typeof value !== 'number') throw new Error(`a number is wanted before “${String(value)}”`)
    this.at += 1
    if (this.takes('°')) {
      this.takes('in', 'radians')
      return (value * Math.PI) / 180
    }
    return this.squared(value)
  }

  private squared(value: number): number {
    return this.takes('²') ? value * value : value
  }
}
