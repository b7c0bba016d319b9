import type { Schemas } from '@/lib/api/client'
import { askedAfter, inWords } from '@/lib/condition'

type Paper = Schemas['Paper']

/** Where to go on after a section on paper: what a route decides on a screen, in words for whoever has marked it. */
export function WaysOn({
  paper,
  section,
  written,
  numbers,
}: {
  paper: Paper
  section: Paper['sections'][number]
  /** its questions in the order that conditions count by */
  written: readonly string[]
  /** as they are printed, by entry */
  numbers: ReadonlyMap<string, number>
}) {
  const { route } = section
  if (!route) return null
  const asked = askedAfter(
    written.map((entry) => `question ${numbers.get(entry) ?? '?'}`),
    'your share of the marks in this part',
  )
  const goTo = (id: string, rounds?: number) => {
    const target = paper.sections.find((s) => s.id === id)
    if (!target) return 'you have reached the end.'
    const first = target.entries.map((e) => numbers.get(e.id)).find((n) => n !== undefined)
    const again = rounds === undefined ? '' : rounds === 1 ? ', once' : `, at most ${rounds} times`
    return `go on with “${target.title}”${first === undefined ? '' : `, question ${first}`}${again}.`
  }
  return (
    <section aria-label={`After ${section.title}`} className="mb-5 break-inside-avoid border border-black px-3 py-2">
      <p className="font-semibold">{route.exits.length > 0 ? 'When this part is marked' : 'After this part'}</p>
      <ul>
        {route.exits.map((exit, i) => (
          <li key={i}>
            If {inWords(exit.when, asked)}: {goTo(exit.to, exit.rounds)}
          </li>
        ))}
        <li>
          {route.exits.length > 0 ? 'If not: ' : ''}
          {goTo(route.else)}
        </li>
      </ul>
    </section>
  )
}
