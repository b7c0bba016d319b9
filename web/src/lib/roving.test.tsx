import { render, screen } from '@testing-library/react'
import userEvent from '@testing-library/user-event'
import { useState } from 'react'
import { afterEach, expect, it, vi } from 'vitest'
import { roving } from './roving'

const ids = ['one', 'two', 'three', 'four']
const reveal = vi.fn()

function List({ drawn = ids }: { drawn?: readonly string[] }) {
  const [chosen, choose] = useState('one')
  const rove = roving(ids, chosen, choose, reveal)
  return (
    <ul {...rove.list}>
      {ids
        .filter((id) => drawn.includes(id) || id === chosen)
        .map((id) => (
          <li key={id}>
            <button {...rove.item(id)} aria-pressed={id === chosen}>
              {id}
            </button>
          </li>
        ))}
    </ul>
  )
}
const named = (name: string) => screen.getByRole('button', { name })

afterEach(() => {
  vi.restoreAllMocks()
})

it('loses no key that comes before the next frame', async () => {
  vi.spyOn(window, 'requestAnimationFrame').mockReturnValue(0)
  render(<List />)
  await userEvent.tab()
  await userEvent.keyboard('{ArrowDown}{ArrowDown}')
  expect(document.activeElement).toBe(named('three'))
  expect(named('three').getAttribute('aria-pressed')).toBe('true')
  expect(reveal).toHaveBeenLastCalledWith(2)
})

it('goes to an item that was not in the page once it has been brought in', async () => {
  let frame: FrameRequestCallback | undefined
  vi.spyOn(window, 'requestAnimationFrame').mockImplementation((next) => {
    frame = next
    return 0
  })
  render(<List drawn={['one']} />)
  await userEvent.tab()
  await userEvent.keyboard('{End}')
  frame?.(0)
  expect(document.activeElement).toBe(named('four'))
})
