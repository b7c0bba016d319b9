/**
 * What a sum comes to, as on a plain calculator: `+ − × ÷ ^ ( ) √ π sin cos tan`, angles in degrees, a point or a comma in
 * decimals, `2(3+4)` as a product. Binary floating point, shown to ten significant digits (IEEE 754, binary64).
 */
export type Sum = { value: string } | { fault: string } | null

const LONGEST = 200
const DIGITS = 10
const MOST_DEPTH = 50
const FUNCTIONS: Record<string, (x: number) => number> = {
  '√': Math.sqrt,
  sqrt: Math.sqrt,
  sin: (x) => exact(Math.sin(radians(x))),
  cos: (x) => exact(Math.cos(radians(x))),
  tan: (x) => (x % 180 === 90 || x % 180 === -90 ? NaN : exact(Math.tan(radians(x)))),
}
const radians = (x: number) => (x * Math.PI) / 180
/** What would be 0 or ½ but for the last bits. */
const exact = (x: number) => Number(x.toFixed(15)) + 0
const TOKEN = /\s*(\d+(?:[.,]\d*)?|[.,]\d+|sqrt|sin|cos|tan|pi|[-+−×÷*/^()√π])/iy

class Fault extends Error {}

/** Null where there is nothing to work out yet. */
export function calculate(text: string): Sum {
  if (text.trim() === '') return null
  if (text.length > LONGEST) return { fault: `Longer than ${LONGEST} signs.` }
  try {
    const value = new Reader(tokens(text)).all()
    if (Number.isNaN(value)) return { fault: 'This has no value.' }
    if (!Number.isFinite(value)) return { fault: 'This is too large, or divided by 0.' }
    // A comma in, a comma out.
    const written = String(Number(value.toPrecision(DIGITS)))
    return { value: text.includes(',') && !text.includes('.') ? written.replace('.', ',') : written }
  } catch (thrown) {
    if (thrown instanceof Fault) return { fault: thrown.message }
    throw thrown
  }
}

function tokens(text: string): string[] {
  const found: string[] = []
  TOKEN.lastIndex = 0
  while (TOKEN.lastIndex < text.trimEnd().length) {
    const at = TOKEN.lastIndex
    const token = TOKEN.exec(text)?.[1]
    if (token === undefined) throw new Fault(`“${text.slice(at).trim()[0]}” is no sign of this calculator.`)
    found.push(token.toLowerCase())
  }
  return found
}

/** Sums of products of powers; a minus in front binds less than a power. */
class Reader {
  private at = 0
  private depth = 0
  constructor(private readonly tokens: string[]) {}

  all(): number {
    const value = this.sum()
    if (this.peek() === ')') throw new Fault('A bracket is closed that was not opened.')
    if (this.peek() !== undefined) throw new Fault('Something is missing between two numbers.')
    return value
  }

  private peek = () => this.tokens[this.at]
  private takes(...signs: string[]): string | null {
    const next = this.peek()
    if (next === undefined || !signs.includes(next)) return null
    this.at += 1
    return next
  }

  private sum(): number {
    let value = this.product()
    for (let sign; (sign = this.takes('+', '-', '−'));)
      value = sign === '+' ? value + this.product() : value - this.product()
    return value
  }

  private product(): number {
    let value = this.signed()
    for (;;) {
      if (this.takes('×', '*')) value *= this.signed()
      else if (this.takes('÷', '/')) value /= this.signed()
      else if (/^(\(|π|pi|√|sqrt|sin|cos|tan)$/.test(this.peek() ?? '')) value *= this.power()
      else return value
    }
  }

  private signed(): number {
    this.depth += 1
    if (this.depth > MOST_DEPTH) throw new Fault('Too many brackets and signs in one another.')
    const value = this.takes('-', '−') ? -this.signed() : this.takes('+') ? this.signed() : this.power()
    this.depth -= 1
    return value
  }

  private power(): number {
    const base = this.part()
    return this.takes('^') ? base ** this.signed() : base
  }

  private part(): number {
    const token = this.tokens[this.at++]
    if (token === undefined) throw new Fault('Something is missing at the end.')
    const apply = FUNCTIONS[token]
    if (apply) return apply(this.power())
    if (token === 'π' || token === 'pi') return Math.PI
    if (token === '(') {
      const value = this.sum()
      // What is still to be closed at the end is closed there.
      if (this.peek() !== undefined && !this.takes(')')) throw new Fault('Something is missing between two numbers.')
      return value
    }
    const value = Number(token.replace(',', '.'))
    if (Number.isNaN(value)) throw new Fault(`Something is missing before “${token}”.`)
    return value
  }
}
