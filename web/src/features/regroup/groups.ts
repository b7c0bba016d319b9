import type { Schemas } from '@/lib/api/client'

export type Group = Schemas['RegroupGroupView']

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
        ? { ...g, members: [...g.members, { ...member, reason }] }
        : g,
  )
}
