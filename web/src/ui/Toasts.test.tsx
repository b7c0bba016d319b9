import { render, screen } from '@testing-library/react'
import userEvent from '@testing-library/user-event'
import { afterEach, expect, it, vi } from 'vitest'
import { toast } from './toast'
import { Toasts } from './Toasts'

afterEach(() => {
  document.body.style.pointerEvents = ''
})

it('a message can be taken back while a dialog still takes the pointer from the page', async () => {
  // As an open dialog does.
  document.body.style.pointerEvents = 'none'
  render(<Toasts />)
  const undo = vi.fn()
  toast('Moved.', { undo })
  await userEvent.click(await screen.findByRole('button', { name: 'Undo' }))
  expect(undo).toHaveBeenCalledOnce()
})
