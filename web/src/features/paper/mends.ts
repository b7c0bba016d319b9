import type { Schemas } from '@/lib/api/client'
import { withoutEntry, withoutSection, withSection, type Paper } from './draft'
import { leadsBack } from './ways'

type Defect = Schemas['BankDefectView']

/** What mends a defect without further questions, and the paper after it; null where its writer has to think. */
export function mendOf(paper: Paper, defect: Defect): { label: string; paper: Paper } | null {
  switch (defect.mend) {
    case 'take out':
      return { label: 'Take it out', paper: withoutEntry(paper, defect.where) }
    case 'take section out':
      return paper.sections.length > 1
        ? { label: 'Take the section out', paper: withoutSection(paper, defect.where) }
        : null
    case 'one way': {
      const route = paper.sections.find((s) => s.id === defect.where)?.route
      return route
        ? {
            label: 'Make it one way',
            paper: withSection(paper, defect.where, { route: { exits: [], else: route.else } }),
          }
        : null
    }
    case 'rounds':
      return inRounds(paper)
    default:
      return null
  }
}

/** Every way that leads back is gone once; where only ways that ask for nothing lead back, somebody has to choose. */
function inRounds(paper: Paper): { label: string; paper: Paper } | null {
  const place = (id: string) => paper.sections.findIndex((s) => s.id === id)
  let changed = false
  const sections = paper.sections.map((section) => {
    if (!section.route) return section
    const exits = section.route.exits.map((exit) => {
      const back = place(exit.to) >= 0 && place(exit.to) <= place(section.id) && leadsBack(paper, section.id, exit.to)
      if (!back || exit.rounds) return exit
      changed = true
      return { ...exit, rounds: 1 }
    })
    return { ...section, route: { ...section.route, exits } }
  })
  return changed ? { label: 'Let them go round once', paper: { ...paper, sections } } : null
}
