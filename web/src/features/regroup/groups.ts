import type { Schemas } from '@/lib/api/client'

export type Group = Schemas['RegroupGroupView']
export type Member = Group['members'][number]
export type Plan = Required<
  Pick<Schemas['RegroupPlanInput'], 'groups' | 'least' | 'most' | 'apart' | 'together' | 'classes'>
>

/** The first two find their own number of groups; the others form groups by a plan. */
export const AIMS = [
  { id: 'misconception', label: 'By misconception' },
  { id: 'rung', label: 'By rung' },
  { id: 'alike', label: 'Alike in level' },
  { id: 'mixed', label: 'Mixed on purpose' },
  { id: 'by misconception', label: 'By misconception, sizes kept' },
  { id: 'by next step', label: 'By next step' },
] as const
export type Aim = (typeof AIMS)[number]['id']
export const isPlanned = (aim: Aim) => aim !== 'misconception' && aim !== 'rung'
export const aimWords = (aim: string) => (AIMS.find((a) => a.id === aim)?.label ?? aim).toLowerCase()

export const firstPlan: Plan = { groups: 6, least: 1, most: 0, apart: [], together: [], classes: false }

/** Sizes as even as the number of groups allows. */
export const evenSizes = (students: number, groups: number) => ({
  least: Math.max(1, Math.floor(students / groups)),
  most: Math.ceil(students / groups),
})

/** Which group each student is in, by place. */
export const placesOf = (groups: Group[]): Record<string, number> =>
  Object.fromEntries(groups.flatMap((g, i) => g.members.map((m) => [m.studentId, i])))

/** Moves a student into another group, last in line; says that a person did it. */
export function movedTo(groups: Group[], studentId: string, to: number): Group[] {
  const from = groups.findIndex((g) => g.members.some((m) => m.studentId === studentId))
  const member = groups[from]?.members.find((m) => m.studentId === studentId)
  if (!member || from === to || !groups[to]) return groups
  const reason = `Moved here by hand, from "${groups[from]?.name ?? ''}".`
  return groups.map((g, i) =>
    i === from
      ? { ...g, members: g.members.filter((m) => m !== member) }
      : i === to
        ? { ...g, members: [...g.members, { ...member, reason, rate: null }] }
        : g,
  )
}

/** What a student's bar shows: how often they show what the group is about, else their share of the marks. */
export const measureOf = (member: Member): number | null => member.rate?.value ?? member.share ?? null

/** Where an arrow leads from a student: the group there, and the student who stands at the same height or nearest to it. */
export function boardStep(groups: Group[], studentId: string, key: string): { group: number; student?: string } | null {
  const group = groups.findIndex((g) => g.members.some((m) => m.studentId === studentId))
  if (group < 0) return null
  const own = groups[group]!.members
  const at = own.findIndex((m) => m.studentId === studentId)
  const clamped = (members: Member[], i: number) => members[Math.max(0, Math.min(members.length - 1, i))]?.studentId
  switch (key) {
    case 'ArrowUp':
      return { group, student: clamped(own, at - 1) }
    case 'ArrowDown':
      return { group, student: clamped(own, at + 1) }
    case 'Home':
      return { group, student: clamped(own, 0) }
    case 'End':
      return { group, student: clamped(own, own.length - 1) }
    case 'ArrowLeft':
    case 'ArrowRight': {
      const to = group + (key === 'ArrowLeft' ? -1 : 1)
      return groups[to] ? { group: to, student: clamped(groups[to].members, at) } : null
    }
    default:
      return null
  }
}
