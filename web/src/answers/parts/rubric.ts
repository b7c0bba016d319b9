import type { Schemas } from '@/lib/api/client'

/** A new rubric with the levels that most need; its writer says what is looked for. */
export const startRubric = (name: string): Schemas['Criterion'][] => [
  {
    name,
    levels: [
      { points: '0', descriptor: 'Nothing of it', misconception: null },
      { points: '1', descriptor: 'Part of it', misconception: null },
      { points: '2', descriptor: 'All of it', misconception: null },
    ],
  },
]

/** What is the same of all types that a person marks. */
export const byRubric = {
  keyLines: () => [],
  criteria: (rule: { criteria: Schemas['Criterion'][] }) => rule.criteria,
  byHand: true,
  accepting: null,
}

export const namesOf = (rule: { criteria: Schemas['Criterion'][] }) => rule.criteria.map((c) => c.name)
