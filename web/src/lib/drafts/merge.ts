/** What two people changed in the same place, each in their own way. */
export type Clash = { path: readonly string[]; base: unknown; mine: unknown; theirs: unknown }
export type Side = 'mine' | 'theirs'
export const placeOf = (path: readonly string[]) => path.join(' / ')

type Known = { id: string }
type Plain = Record<string, unknown>

const isPlain = (x: unknown): x is Plain => typeof x === 'object' && x !== null && !Array.isArray(x)
const areKnown = (x: unknown): x is Known[] =>
  Array.isArray(x) && x.every((one) => isPlain(one) && typeof one.id === 'string')

function same(a: unknown, b: unknown): boolean {
  if (Object.is(a, b)) return true
  if (Array.isArray(a) && Array.isArray(b)) return a.length === b.length && a.every((one, i) => same(one, b[i]))
  if (!isPlain(a) || !isPlain(b)) return false
  const keys = new Set([...Object.keys(a), ...Object.keys(b)])
  return [...keys].every((key) => same(a[key], b[key]))
}

/**
 * Brings two changes of one document together: what only one of them changed is taken from that one; lists whose parts have ids are
 * merged part by part, wherever they were moved. Where both changed the same in different ways it is a clash, and the side that
 * is picked for its place holds, one's own unless said otherwise.
 */
export function merged<T>(
  base: T,
  mine: T,
  theirs: T,
  picks: Readonly<Record<string, Side>> = {},
): { value: T; clashes: Clash[] } {
  const clashes: Clash[] = []
  const clash = (path: readonly string[], b: unknown, m: unknown, t: unknown) => {
    clashes.push({ path, base: b, mine: m, theirs: t })
    return picks[placeOf(path)] === 'theirs' ? t : m
  }
  const both = (b: unknown, m: unknown, t: unknown, path: readonly string[]): unknown => {
    if (same(m, t) || same(b, t)) return m
    if (same(b, m)) return t
    if (areKnown(b) && areKnown(m) && areKnown(t)) return list(b, m, t, path)
    if (!isPlain(b) || !isPlain(m) || !isPlain(t)) return clash(path, b, m, t)
    const value: Plain = {}
    for (const key of new Set([...Object.keys(m), ...Object.keys(t)])) {
      const part = both(b[key], m[key], t[key], [...path, key])
      if (part !== undefined) value[key] = part
    }
    return value
  }
  const list = (b: Known[], m: Known[], t: Known[], path: readonly string[]): Known[] => {
    const by = (of: Known[]) => new Map(of.map((one) => [one.id, one]))
    const [inBase, inMine, inTheirs] = [by(b), by(m), by(t)]
    const kept = new Map<string, Known>()
    for (const id of new Set([...inMine.keys(), ...inTheirs.keys()])) {
      const [was, own, other] = [inBase.get(id), inMine.get(id), inTheirs.get(id)]
      // Added by one, or taken out by one while the other left it as it was.
      const one =
        was && (!own || !other)
          ? gone(was, own, other, [...path, id])
          : was || (own && other)
            ? both(was ?? {}, own, other, [...path, id])
            : (own ?? other)
      if (one) kept.set(id, one as Known)
    }
    return inOrder(b, m, t)
      .filter((id) => kept.has(id))
      .map((id) => kept.get(id) as Known)
  }
  const gone = (was: Known, own: Known | undefined, other: Known | undefined, path: readonly string[]) =>
    same(own ?? other, was) ? undefined : clash(path, was, own, other)
  return { value: both(base, mine, theirs, []) as T, clashes }
}

/** One's own order where one has moved something, else theirs; what only the other has stands behind what it stood behind there. */
function inOrder(b: Known[], m: Known[], t: Known[]): string[] {
  const ids = (of: Known[]) => of.map((one) => one.id)
  const common = (of: Known[], other: Known[]) => ids(of).filter((id) => ids(other).includes(id))
  const moved = !same(common(m, b), common(b, m))
  const [first, second] = moved ? [ids(m), ids(t)] : [ids(t), ids(m)]
  const order = [...first]
  second.forEach((id, i) => {
    if (order.includes(id)) return
    const before = second.slice(0, i).findLast((one) => order.includes(one))
    order.splice(before === undefined ? 0 : order.indexOf(before) + 1, 0, id)
  })
  return order
}
