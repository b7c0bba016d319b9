/** A piece that lies on its ground, in thousandths of its width and height. */
export type Laid = { id: string; piece: number; x: number; y: number }
type At = { x: number; y: number }

const inside = (n: number) => Math.round(Math.min(1000, Math.max(0, n)))
/** Beyond the edge by so much, it is off. */
const OFF = 30
/** Room that a piece takes, about. */
const WIDE = 180
const HIGH = 150

/** How many of a kind lie there. */
export const laid = (lie: readonly Laid[], piece: number) => lie.filter((l) => l.piece === piece).length

/** One more of a kind, at a place that is free; null when all of them lie there. */
export function fromTray(
  pieces: readonly { copies: number }[],
  lie: readonly Laid[],
  piece: number,
  to: At,
): { all: readonly Laid[]; id: string } | null {
  if (laid(lie, piece) >= (pieces[piece]?.copies ?? 0)) return null
  const taken = new Set(lie.map((l) => l.id))
  let n = 1
  while (taken.has(`${piece}-${n}`)) n++
  let { x, y } = to
  // Two that lie on each other look like one: each goes below the last, and then beside.
  for (let i = 0; i < lie.length && lie.some((l) => Math.abs(l.x - x) < WIDE && Math.abs(l.y - y) < HIGH); i++) {
    y += HIGH
    if (y > 950) {
      y = HIGH
      x = (x + WIDE) % 1000
    }
  }
  return { all: [...lie, { id: `${piece}-${n}`, piece, x: Math.round(x), y: Math.round(y) }], id: `${piece}-${n}` }
}

/** @param kept whether it stays on the ground wherever it is moved to */
export const moved = (lie: readonly Laid[], id: string, to: At, kept: boolean): readonly Laid[] =>
  lie.map((l) => (l.id === id ? { ...l, x: kept ? inside(to.x) : to.x, y: kept ? inside(to.y) : to.y } : l))

/** Where it was let go beyond the edge it is off; otherwise it lies there. */
export const takenOff = (lie: readonly Laid[], id: string): readonly Laid[] =>
  lie.flatMap((l) => {
    if (l.id !== id) return [l]
    const off = Math.max(-l.x, l.x - 1000, -l.y, l.y - 1000) > OFF
    return off ? [] : [{ ...l, x: inside(l.x), y: inside(l.y) }]
  })

export const whereInWords = ({ x, y }: At) => `${Math.round(x / 10)} % across, ${Math.round(y / 10)} % down`
