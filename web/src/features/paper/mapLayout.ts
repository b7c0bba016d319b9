import dagre from '@dagrejs/dagre'
import type { Schemas } from '@/lib/api/client'
import type { Paper } from './draft'
import { END, inShort, waysOf } from './ways'

const BOX = { width: 168, height: 96 }
const END_BOX = { width: 72, height: 36 }
/** Words beside a way, three lines of them. */
const LABEL = { width: 132, height: 56 }
const WIDEST = 56
const LEAST = 3

/** Room over a box for a way that leads back to it. */
const LOOP = 64

export type Box = { id: string; x: number; y: number; width: number; height: number }
export type Ribbon = {
  id: string
  from: string
  to: string
  at: number
  /** the condition in short */
  says: string
  /** who goes this way: “26 of 100”, “never taken” */
  who: string
  state: 'open' | 'never' | 'always'
  /** pixels */
  width: number
  /** of those who leave the section, 0 to 1; null where nobody has rehearsed it */
  share: number | null
  rounds: number | null
  /** nothing to choose, so that it needs no words */
  only: boolean
  /** where it bends on its way, and where its words stand */
  bends: Point[]
  label: Point
}
type Point = { x: number; y: number }

type Proof = Schemas['PaperProofView']
type Found = Pick<Schemas['PaperRehearsalView'], 'students' | 'ways' | 'routes'>

/** How many of the made-up students go from one section to the next: of the route, or all who come by. */
function gone(found: Found, sectionId: string, at: number): { students: number; of: number } {
  const route = found.routes.find((r) => r.sectionId === sectionId)
  if (route) return { students: route.exits[at]?.students.count ?? 0, of: route.students }
  const by = found.ways.reduce(
    (sum, way) => sum + way.students.count * way.sections.filter((id) => id === sectionId).length,
    0,
  )
  return { students: by, of: by }
}

/** The sections as boxes and the ways between them as ribbons, as wide as the share of students that go there. */
export function mapOf(paper: Paper, proof: Proof, found: Found | undefined): { boxes: Box[]; ribbons: Ribbon[] } {
  const graph = new dagre.graphlib.Graph({ multigraph: true })
  graph.setGraph({
    rankdir: 'LR',
    nodesep: 30,
    edgesep: 14,
    ranksep: 46,
    marginx: 16,
    marginy: 16,
    acyclicer: 'greedy',
  })
  graph.setDefaultEdgeLabel(() => ({}))
  for (const section of paper.sections) {
    const loops = waysOf(paper, section).some((way) => way.to === section.id)
    graph.setNode(section.id, { width: BOX.width, height: BOX.height + (loops ? 2 * LOOP : 0) })
  }
  const ribbons: Ribbon[] = []
  for (const section of paper.sections) {
    const ways = waysOf(paper, section)
    for (const way of ways) {
      if (way.to === END) graph.setNode(END, { ...END_BOX })
      const proved = proof.exits.find((e) => e.section === section.id)?.exits[way.at]
      const state =
        proved?.says === 'never' || proved?.says === 'taken above'
          ? 'never'
          : proved?.says === 'always' && ways.length > 1
            ? 'always'
            : 'open'
      const count = found ? gone(found, section.id, way.at) : null
      const share = count && count.of > 0 ? count.students / count.of : null
      const flow = count && found ? count.students / found.students : null
      ribbons.push({
        id: `${section.id} ${way.at}`,
        from: section.id,
        to: way.to,
        at: way.at,
        says: inShort(section, way, ways.length === 1),
        who:
          state === 'never'
            ? 'never taken'
            : state === 'always'
              ? 'everybody'
              : count && share !== null && ways.length > 1
                ? `${Math.round(share * 100)} of 100`
                : '',
        state,
        width: state === 'never' ? 2 : Math.max(LEAST, Math.min(1, flow ?? 0.15) * WIDEST),
        share,
        rounds: way.rounds ?? null,
        only: ways.length === 1,
        bends: [],
        label: { x: 0, y: 0 },
      })
      if (way.to !== section.id && (graph.hasNode(way.to) || way.to === END))
        graph.setEdge(
          section.id,
          way.to,
          {
            weight: way.when === null ? 2 : 1,
            labelpos: 'c',
            ...(ways.length === 1 ? { width: 30, height: 20 } : LABEL),
          },
          `${section.id} ${way.at}`,
        )
    }
  }
  dagre.layout(graph)
  const boxes = graph.nodes().map((id) => {
    const { x, y, width, height } = graph.node(id)
    // Room for loops is left on both sides, so that a box stands where its ways arrive.
    const tall = id === END ? height : BOX.height
    return { id, x: x - width / 2, y: y - tall / 2, width, height: tall }
  })
  for (const ribbon of ribbons) {
    const edge = graph.edge({ v: ribbon.from, w: ribbon.to, name: ribbon.id }) as
      { points: Point[]; x?: number; y?: number } | undefined
    if (!edge) continue
    ribbon.bends = edge.points.slice(1, -1)
    ribbon.label = { x: edge.x ?? 0, y: edge.y ?? 0 }
  }
  return { boxes, ribbons: ribbons.filter((r) => boxes.some((b) => b.id === r.to)) }
}

export type Line = { path: string; label: Point }

/**
 * A ribbon's middle line: from the right edge of one box to the left edge of another, past the boxes between them; what leads back goes over
 * them. Ribbons that leave, or arrive at, one box lie beside each other, in the order in which they lie further on.
 */
export function linesOf(boxes: readonly Box[], ribbons: readonly Ribbon[]): Map<string, Line> {
  const byId = new Map(boxes.map((b) => [b.id, b]))
  const isBack = (r: Ribbon) => r.from === r.to || byId.get(r.to)!.x < byId.get(r.from)!.x
  const middle = (ribbon: Ribbon, side: 'from' | 'to') => {
    const box = byId.get(ribbon[side])!
    const beside = ribbons
      .filter((r) => r[side] === ribbon[side] && !isBack(r))
      .sort((a, b) =>
        side === 'from'
          ? (a.bends[0]?.y ?? 0) - (b.bends[0]?.y ?? 0)
          : (a.bends.at(-1)?.y ?? 0) - (b.bends.at(-1)?.y ?? 0),
      )
    const total = beside.reduce((sum, r) => sum + r.width + GAP, -GAP)
    let y = box.y + box.height / 2 - total / 2
    for (const one of beside) {
      if (one === ribbon) return y + one.width / 2
      y += one.width + GAP
    }
    return y
  }
  return new Map(
    ribbons.map((ribbon): [string, Line] => {
      const from = byId.get(ribbon.from)!
      const to = byId.get(ribbon.to)!
      if (isBack(ribbon)) return [ribbon.id, over(from, to)]
      const points = [
        { x: from.x + from.width, y: middle(ribbon, 'from') },
        ...ribbon.bends,
        { x: to.x, y: middle(ribbon, 'to') },
      ]
      const path = points.slice(1).reduce((drawn, { x, y }, i) => {
        const { x: x0, y: y0 } = points[i]!
        const bend = x0 + (x - x0) / 2
        return `${drawn} C${bend} ${y0} ${bend} ${y} ${x} ${y}`
      }, `M${points[0]!.x} ${points[0]!.y}`)
      return [ribbon.id, { path, label: ribbon.label }]
    }),
  )
}
const GAP = 4

/** From the top of one box over to the top of another, or of itself. */
function over(from: Box, to: Box): Line {
  const itself = from === to
  const [x1, x2] = itself
    ? [from.x + from.width * 0.62, from.x + from.width * 0.22]
    : [from.x + from.width / 2, to.x + to.width / 2]
  const [out, back] = itself ? [36, -36] : [0, 0]
  const top = Math.min(from.y, to.y) - (itself ? LOOP : LOOP + 10)
  return {
    path: `M${x1} ${from.y} C${x1 + out} ${top} ${x2 + back} ${top} ${x2} ${to.y}`,
    label: itself
      ? { x: from.x + from.width * 0.98, y: from.y - LOOP / 2 - 4 }
      : { x: (x1 + x2) / 2, y: top + LOOP / 4 },
  }
}
