/** What each role may do, in words. */
export const ROLES = {
  lead: 'everything a teacher may, and keeps the team: colleagues, the step of marks',
  teacher: 'writes, hands out, marks, reads results and regroups',
  marker: 'marks open answers, and nothing else',
} as const
export type Role = keyof typeof ROLES
