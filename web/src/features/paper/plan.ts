import type { Paper } from './draft'

/** Marks that are planned for a skill; null where none are. */
export const planned = (paper: Paper, skill: string): string | null =>
  paper.plan?.find((p) => p.skill === skill)?.marks ?? null

const NUMBER = /^\d{1,3}(?:\.\d{1,3}|\/[1-9]\d{0,2})?$/

/** The plan with other marks for a skill. What is no number changes nothing; an emptied field plans none, and the line stays. */
export function withPlanned(paper: Paper, skill: string, typed: string): Paper {
  const marks = typed.trim() === '' ? '0' : typed.trim()
  const plan = paper.plan ?? []
  if (!NUMBER.test(marks)) return paper
  return {
    ...paper,
    plan: plan.some((p) => p.skill === skill)
      ? plan.map((p) => (p.skill === skill ? { skill, marks } : p))
      : [...plan, { skill, marks }],
  }
}

export function withoutPlanned(paper: Paper, skill: string): Paper {
  const next = { ...paper, plan: (paper.plan ?? []).filter((p) => p.skill !== skill) }
  if (next.plan.length === 0) delete (next as Partial<Paper>).plan
  return next
}
