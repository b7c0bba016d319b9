import { act, render, screen } from '@testing-library/react'
import type { Editor } from '@tiptap/react'
import { Activity } from 'react'
import { describe, expect, it } from 'vitest'
import { Boundary } from './Boundary'
import { RichEditor } from './RichEditor'

const tick = () => act(() => new Promise((resolve) => setTimeout(resolve, 20)))
function Page({ shown = true, value = '<p>High water</p>' }: { shown?: boolean; value?: string }) {
  return (
    <Boundary>
      <Activity mode={shown ? 'visible' : 'hidden'}>
        <RichEditor label="Prompt" value={value} onChange={() => undefined} />
      </Activity>
    </Boundary>
  )
}
const prompt = () => screen.getByRole('textbox', { name: 'Prompt' })

describe('A rich editor', () => {
  it('is replaced when it was taken down before the page’s effects ran, as happens on a slow device', async () => {
    const { rerender } = render(<Page />)
    await tick()
    ;(prompt() as HTMLElement & { editor: Editor }).editor.destroy()
    rerender(<Page value="<p>Low water</p>" />)
    await tick()
    expect(screen.queryByRole('alert')).toBeNull()
    expect(prompt().textContent).toBe('Low water')
  })

  it('comes back with its text when the tree around it was hidden for a moment', async () => {
    const { rerender } = render(<Page />)
    await tick()
    rerender(<Page shown={false} />)
    await tick()
    rerender(<Page />)
    await tick()
    expect(screen.queryByRole('alert')).toBeNull()
    expect(prompt().textContent).toBe('High water')
  })

  it('takes what comes from outside, such as an undo', async () => {
    const { rerender } = render(<Page />)
    await tick()
    rerender(<Page value="<p>Low <strong>water</strong></p>" />)
    await tick()
    expect(prompt().innerHTML).toBe('<p>Low <strong>water</strong></p>')
  })
})
