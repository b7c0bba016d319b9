import { screen, waitFor } from '@testing-library/react'
import { describe, expect, it, vi } from 'vitest'
import { show } from '@/testing/page'
import { bodies, Refusal, sent, serve } from '@/testing/server'
import { step } from '@/testing/sitting'
import { CorrectDialog } from './CorrectDialog'

const at = '/api/sittings/s1/corrections'
const answer = {
  entry: 'e2',
  try: 1,
  number: 2,
  prompt: '<p>Which buoy?</p>',
  type: 'choice',
  face: step(2).face,
  response: { options: ['a'] },
} as unknown as Parameters<typeof CorrectDialog>[0]['answer']
const open = (onDone = vi.fn(() => Promise.resolve()), onClose = vi.fn()) =>
  show(<CorrectDialog sitting="s1" name="Ada" answer={answer} onDone={onDone} onClose={onClose} />, '/', '/')
const keep = () => screen.getByRole('button', { name: 'Keep the correction' }) as HTMLButtonElement

describe('A corrected answer', () => {
  it('wants another answer and a reason, keeps both where it is refused, and can be taken back', async () => {
    let refuses = true
    serve({
      [`POST ${at}`]: () => (refuses ? new Refusal(409, 'The answer is another by now.') : {}),
    })
    const done = vi.fn(() => Promise.resolve())
    const user = open(done)
    const green = await screen.findByRole('radio', { name: /Green/ })
    await user.type(screen.getByLabelText('Why'), 'She said it aloud.')
    expect(keep().disabled).toBe(true)
    await user.click(green)
    await user.click(keep())
    expect(await screen.findByText(/another by now/)).toBeTruthy()
    refuses = false
    await user.click(keep())
    await waitFor(() => expect(done).toHaveBeenCalledTimes(1))
    const [first, again] = bodies('POST', at) as { id: string }[]
    expect(again).toEqual({ id: first?.id, entry: 'e2', try: 1, value: { options: ['b'] }, why: 'She said it aloud.' })
    serve({ [`DELETE /api/corrections/${first?.id ?? ''}`]: {} })
    await user.click(await screen.findByRole('button', { name: 'Undo' }))
    await waitFor(() => expect(sent('DELETE', `/api/corrections/${first?.id ?? ''}`)).toHaveLength(1))
  })
})
