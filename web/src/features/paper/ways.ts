import { askedAfter, inWords } from '@/lib/condition'
import { withSection, type Paper, type Section } from './draft'

export const END = 'end'
/** How often one student may take a way that leads back, at most. */
export const MOST_ROUNDS = 5
const MOST_EXITS = 8

type Route = NonNullable<Section['route']>
type Exit = Route['exits'][number]

/** One way on from a section: an exit with its condition, or the last way, which has none. */
export type Way = { at: number; to: string; when: string | null; rounds?: number }

/** Where a student goes who stays in the written order. */
const following = (paper: Paper, sectionId: string) =>
  paper.sections[paper.sections.findIndex((s) => s.id === sectionId) + 1]?.id ?? END

export function waysOf(paper: Paper, section: Section): Way[] {
  const { route } = section
  if (!route) return [{ at: 0, to: following(paper, section.id), when: null }]
  return [...route.exits.map((exit, at) => ({ at, ...exit })), { at: route.exits.length, to: route.else, when: null }]
}

export const nameOf = (paper: Paper, id: string) =>
  id === END ? 'the end' : (paper.sections.find((s) => s.id === id)?.title ?? '?') || 'Section'

/** What the conditions after a section may ask for. */
export const askedOf = (section: Section) =>
  askedAfter(section.entries.filter((e) => e.kind === 'question').map((_, i) => `question ${i + 1}`))

/** A way's condition as it stands beside it: below 50 %. */
export const inShort = (section: Section, { when }: Way, first: boolean) =>
  when === null ? (first ? 'then' : 'else') : inWords(when, askedOf(section)).replace(/^share here is /, '')

/** Whether a way can bring a student back to where it leaves, by whatever ways there are. */
export function leadsBack(paper: Paper, from: string, to: string): boolean {
  const seen = new Set<string>()
  const todo = [to]
  while (todo.length > 0) {
    const id = todo.pop()!
    const section = paper.sections.find((s) => s.id === id)
    if (!section || seen.has(id)) continue
    if (id === from) return true
    seen.add(id)
    todo.push(...waysOf(paper, section).map((way) => way.to))
  }
  return false
}

const withRoute = (paper: Paper, section: Section, route: Route) =>
  withSection(paper, section.id, {
    // What goes on in the written order, and asks for nothing, is no route.
    route: route.exits.length === 0 && route.else === following(paper, section.id) ? null : route,
  })
const routeOf = (paper: Paper, section: Section): Route =>
  section.route ?? { exits: [], else: following(paper, section.id) }

/** One more way, for those below half of the marks. */
export function withFurtherWay(paper: Paper, section: Section): Paper {
  const when = 'share < 1/2'
  const next = following(paper, section.id)
  // The section that follows is for those who need it; the others pass it.
  if (!section.route)
    return withSection(paper, section.id, {
      route: { exits: [{ when, to: next }], else: next === END ? END : following(paper, next) },
    })
  const { exits } = section.route
  if (exits.length >= MOST_EXITS) return paper
  const gone = new Set(waysOf(paper, section).map((way) => way.to))
  const to = paper.sections.slice(paper.sections.indexOf(section) + 1).find((s) => !gone.has(s.id))?.id ?? next
  return withSection(paper, section.id, { route: { ...section.route, exits: [...exits, { when, to }] } })
}
export const mayHaveMore = (section: Section) => (section.route?.exits.length ?? 0) < MOST_EXITS

/** Another condition, aim or bound of a way; of the last one, another aim. */
export function withWay(paper: Paper, section: Section, at: number, change: Partial<Exit>): Paper {
  const route = routeOf(paper, section)
  if (at >= route.exits.length) return withRoute(paper, section, { ...route, else: change.to ?? route.else })
  const exits = route.exits.map((exit, i) => {
    if (i !== at) return exit
    const { rounds, ...next } = { ...exit, ...change }
    if (!leadsBack(paper, section.id, next.to)) return next
    // Whatever leads back needs an end.
    return { ...next, rounds: rounds ?? 1 }
  })
  return withRoute(paper, section, { ...route, exits })
}

export function withoutWay(paper: Paper, section: Section, at: number): Paper {
  const route = routeOf(paper, section)
  return withRoute(paper, section, { ...route, exits: route.exits.filter((_, i) => i !== at) })
}

export function withWayUp(paper: Paper, section: Section, at: number): Paper {
  const route = routeOf(paper, section)
  const exits = [...route.exits]
  const [one] = exits.splice(at, 1)
  if (one) exits.splice(Math.max(0, at - 1), 0, one)
  return withRoute(paper, section, { ...route, exits })
}
