import { screen } from '@testing-library/react'
import { useState } from 'react'
import { describe, expect, it } from 'vitest'
import { pickFrom, show } from '@/testing/page'
import type { Paper } from './draft'
import { Outline } from './Outline'
import { severalPlaced } from './several'
import { SeveralForm } from './SeveralForm'
import { useSeveral } from './useSeveral'

const q = (id: string) => ({ id, kind: 'question' as const, item: `i-${id}`, points: '1' })
const paper: Paper = {
  version: 1,
  title: 'Tides',
  mastery: null,
  sections: [
    { id: 's1', title: 'First', route: null, entries: [q('a'), q('b'), q('c')] },
    { id: 's2', title: 'Second', route: null, entries: [q('d'), q('e')] },
  ],
}
const order = (p: Paper) => p.sections.map((s) => s.entries.map((e) => e.id).join(''))
let now: Paper

function Desk() {
  const [doc, setDoc] = useState(paper)
  const [selected, setSelected] = useState<string | null>(null)
  now = doc
  const ids = doc.sections.flatMap((s) => s.entries.map((e) => e.id))
  const { chosen, choose, letGo } = useSeveral(ids, selected, setSelected)
  const items = Object.fromEntries(ids.map((id) => [`i-${id}`, { title: `Question ${id}` }])) as never
  return (
    <>
      <Outline
        paper={doc}
        items={items}
        selected={selected}
        chosen={chosen}
        onSelect={choose}
        onChange={setDoc}
        blocked={new Set()}
      />
      {chosen.length > 0 ? <SeveralForm paper={doc} chosen={chosen} onChange={setDoc} onLetGo={letGo} /> : null}
    </>
  )
}
const row = (id: string) => screen.getByRole('button', { name: new RegExp(`^\\d+ Question ${id}`) })

describe('Several parts of a paper', () => {
  it('stand together where they are put, in the order that they had', () => {
    expect(order(severalPlaced(paper, ['e', 'a'], 's1', 'c'))).toEqual(['baec', 'd'])
    expect(order(severalPlaced(paper, ['a', 'c'], 's2', null))).toEqual(['b', 'deac'])
    expect(order(severalPlaced(paper, ['b', 'c'], 's1', 'c'))).toEqual(['abc', 'de'])
    expect(severalPlaced(paper, ['a'], 'gone', null)).toBe(paper)
  })

  it('are chosen one by one with Ctrl, or all between with Shift, and let go by a plain press', async () => {
    const user = show(<Desk />)
    await user.click(row('a'))
    expect(screen.queryByText(/chosen$/)).toBeNull()
    await user.keyboard('{Control>}')
    await user.click(row('c'))
    await user.keyboard('{/Control}')
    expect(screen.getByText('2 parts chosen')).toBeTruthy()
    await user.keyboard('{Shift>}')
    await user.click(row('e'))
    await user.keyboard('{/Shift}')
    expect(screen.getByText('4 parts chosen')).toBeTruthy()
    expect(row('d').textContent).toContain(', chosen')
    await user.keyboard('{Control>}')
    await user.click(row('d'))
    await user.keyboard('{/Control}')
    expect(screen.getByText('3 parts chosen')).toBeTruthy()
    await user.click(row('b'))
    expect(screen.queryByText(/parts chosen/)).toBeNull()
  })

  it('are moved, marked, pinned and taken out at one stroke', async () => {
    const user = show(<Desk />)
    await user.click(row('a'))
    await user.keyboard('{Control>}')
    await user.click(row('b'))
    await user.keyboard('{/Control}')
    await pickFrom(user, screen.getByLabelText('Move them to the end of'), 'Second')
    expect(order(now)).toEqual(['c', 'deab'])
    await user.clear(screen.getByLabelText('Marks for each of 2 questions'))
    await user.type(screen.getByLabelText('Marks for each of 2 questions'), '3')
    await user.click(screen.getByLabelText('Pinned'))
    expect(
      now.sections[1]!.entries.map((e) => (e.kind === 'question' ? [e.id, e.points, e.pinned ?? false] : [])),
    ).toEqual([
      ['d', '1', false],
      ['e', '1', false],
      ['a', '3', true],
      ['b', '3', true],
    ])
    await user.click(screen.getByRole('button', { name: 'Take 2 parts out' }))
    expect(order(now)).toEqual(['c', 'de'])
    expect(screen.queryByText(/chosen$/)).toBeNull()
  })
})
