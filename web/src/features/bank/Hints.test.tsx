import { screen } from '@testing-library/react'
import { useState } from 'react'
import { describe, expect, it } from 'vitest'
import { blankItem } from '@/answers/registry'
import type { Item } from '@/answers/kinds'
import { pickFrom, show } from '@/testing/page'
import { Hints } from './Hints'

let now: Item
function Sheet({ first }: { first: Item }) {
  const [item, setItem] = useState(first)
  now = item
  return <Hints item={item} onChange={setItem} />
}
const held = () => ({ hint: now.hint, hints: now.hints ?? [] })

describe('Hints in steps', () => {
  it('stand in their order; a free first one as a question held it before', async () => {
    const user = show(<Sheet first={{ ...blankItem('choice'), hint: '<p>Look.</p>' }} />)
    await user.click(screen.getByRole('button', { name: 'Add a further hint' }))
    expect(held()).toEqual({ hint: '<p>Look.</p>', hints: [{ text: '', cost: '0' }] })
    await pickFrom(user, screen.getByLabelText('What hint 2 costs'), 'costs half of the marks')
    expect(held().hints).toEqual([{ text: '', cost: '1/2' }])
    await pickFrom(user, screen.getByLabelText('What hint 1 costs'), 'costs a quarter of the marks')
    expect(held()).toEqual({
      hint: '',
      hints: [
        { text: '<p>Look.</p>', cost: '1/4' },
        { text: '', cost: '1/2' },
      ],
    })
    await user.click(screen.getByRole('button', { name: 'Take hint 1 out' }))
    expect(held()).toEqual({ hint: '', hints: [{ text: '', cost: '1/2' }] })
  })

  it('are five at most', async () => {
    const hints = Array.from({ length: 5 }, () => ({ text: '<p>x</p>', cost: '1/10' }))
    show(<Sheet first={{ ...blankItem('choice'), hints }} />)
    expect(screen.queryByRole('button', { name: /Add/ })).toBeNull()
  })
})
