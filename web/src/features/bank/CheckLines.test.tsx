import { screen } from '@testing-library/react'
import { useState } from 'react'
import { describe, expect, it } from 'vitest'
import { blankItem } from '@/answers/registry'
import type { Item } from '@/answers/kinds'
import { pickFrom, show } from '@/testing/page'
import { CheckLines } from './CheckLines'

let now: Item
function Sheet({ first }: { first: Item }) {
  const [item, setItem] = useState(first)
  now = item
  return <CheckLines item={item} onChange={setItem} faults={{}} />
}
const check = (when: string) => ({ when, credit: '0', feedback: '', misconception: null })

describe('A check from parts', () => {
  it('is the same line that could be typed', async () => {
    const user = show(<Sheet first={blankItem('number')} />)
    await user.click(screen.getByRole('button', { name: 'Put a check together from parts' }))
    await pickFrom(user, screen.getByLabelText('How, check 1'), 'lies near')
    await user.clear(screen.getByLabelText('What, check 1'))
    await user.type(screen.getByLabelText('What, check 1'), 'h - l')
    await user.click(screen.getByRole('button', { name: 'Add a part to check 1' }))
    await pickFrom(user, screen.getByLabelText('Of what, check 1, part 2'), 'question 1, as typed')
    await user.type(screen.getByLabelText('What, check 1, part 2'), 'ebb')
    expect(now.checks).toEqual([check('within(answer, h - l, 0.05) and same(q1.text, "ebb")')])
    await user.click(screen.getByRole('button', { name: 'Type check 1' }))
    expect((screen.getByLabelText('When, of check 1') as HTMLInputElement).value).toBe(now.checks![0]!.when)
    await user.click(screen.getByRole('button', { name: 'Put check 1 together from parts' }))
    await user.click(screen.getByRole('button', { name: 'Remove check 1, part 1' }))
    expect(now.checks).toEqual([check('same(q1.text, "ebb")')])
  })

  it('names what a type is answered by: options, cells, gaps', async () => {
    const user = show(<Sheet first={{ ...blankItem('choice'), checks: [check('answer = "b"')] }} />)
    expect(screen.getByLabelText('What, check 1').textContent).toBe('B')
    await pickFrom(user, screen.getByLabelText('What, check 1'), 'C')
    expect(now.checks![0]!.when).toBe('answer = "c"')
  })

  it('that says more than parts can is typed, and stays as it is', () => {
    show(<Sheet first={{ ...blankItem('number'), checks: [check('answer < 0 or answer > 9')] }} />)
    expect((screen.getByLabelText('When, of check 1') as HTMLInputElement).value).toBe('answer < 0 or answer > 9')
    expect(screen.queryByRole('button', { name: /together from parts$/ })?.textContent).toBe(
      'Put a check together from parts',
    )
  })
})
