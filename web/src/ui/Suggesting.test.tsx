import { fireEvent, screen, waitFor } from '@testing-library/react'
import { useState } from 'react'
import { expect, it, vi } from 'vitest'
import { show } from '@/testing/page'
import { TextField } from './Field'
import { Suggesting } from './Suggesting'

const names = [
  { name: 'draught', says: 'a number of their own' },
  { name: 'round', says: 'to so many places', called: true },
]
function Page({ onEnter = () => undefined as void }) {
  const [text, setText] = useState('')
  return (
    <Suggesting names={names} only={(typed) => typed.startsWith('=')}>
      <TextField
        label="Value"
        value={text}
        onChange={(e) => setText(e.target.value)}
        onKeyDown={(e) => e.key === 'Enter' && onEnter()}
      />
    </Suggesting>
  )
}
const field = () => screen.getByLabelText<HTMLInputElement>('Value')

it('names are offered while one types, and taken by keys', async () => {
  const user = show(<Page />)
  await user.type(field(), '= dr')
  const option = screen.getByRole('option', { name: /draught/ })
  fireEvent.keyDown(field(), { key: 'ArrowDown' })
  expect(field().getAttribute('aria-activedescendant')).toBe(option.id)
  fireEvent.keyDown(field(), { key: 'Enter' })
  await waitFor(() => expect(field().value).toBe('= draught'))
  expect(screen.queryByRole('listbox')).toBeNull()
})

it('a press takes one too, and the field keeps the focus', async () => {
  const user = show(<Page />)
  await user.type(field(), '= 2 * ro')
  fireEvent.mouseDown(screen.getByRole('option', { name: /round/ }))
  await waitFor(() => expect(field().value).toBe('= 2 * round('))
  expect(document.activeElement).toBe(field())
})

it('nothing else about the field changes: Enter goes where it went, and words are not formulas', async () => {
  const onEnter = vi.fn()
  const user = show(<Page onEnter={onEnter} />)
  await user.type(field(), 'dr')
  expect(screen.queryByRole('listbox')).toBeNull()
  await user.clear(field())
  await user.type(field(), '= dr{Enter}')
  expect(onEnter).toHaveBeenCalledTimes(1)
  await user.type(field(), 'a{Escape}')
  expect(screen.queryByRole('listbox')).toBeNull()
  expect(field().value).toBe('= dra')
})
