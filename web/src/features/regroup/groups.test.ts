import { describe, expect, it } from 'vitest'
import { type Group, movedTo } from './groups'

const group = (name: string, ...ids: string[]) =>
  ({ name, members: ids.map((studentId) => ({ studentId, name: studentId, reason: 'by rung' })) }) as unknown as Group
const ids = (groups: Group[]) => groups.map((g) => g.members.map((m) => m.studentId))

describe('moving a student by hand', () => {
  const groups = [group('footing', 'adaeze', 'bento'), group('clear', 'clio')]

  it('puts them last in the other group and says where they came from', () => {
    const after = movedTo(groups, 'adaeze', 1)
    expect(ids(after)).toEqual([['bento'], ['clio', 'adaeze']])
    expect(after[1]?.members[1]?.reason).toBe('Moved here by hand, from "footing".')
    expect(ids(groups), 'undo needs the groups as they were').toEqual([['adaeze', 'bento'], ['clio']])
  })
  it('changes nothing for their own group, an unknown group or an unknown student', () => {
    expect(movedTo(groups, 'adaeze', 0)).toBe(groups)
    expect(movedTo(groups, 'adaeze', 7)).toBe(groups)
    expect(movedTo(groups, 'nobody', 1)).toBe(groups)
  })
})
