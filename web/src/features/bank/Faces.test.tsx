import { useState } from 'react'
import { screen } from '@testing-library/react'
import { describe, expect, it } from 'vitest'
import type { Item } from '@/answers/kinds'
import { blankItem } from '@/answers/registry'
import { show } from '@/testing/page'
import { bodies, Refusal, serve } from '@/testing/server'
import { Tabs } from '@/ui/Tabs'
import { FACES, OtherFace, type Attempt, type Face } from './Faces'

const tried = {
  credit: '1/2',
  verdict: 'part',
  line: 'target 2',
  readAs: '',
  feedback: 'You took the fall for the height.',
  misconceptions: [],
  numbers: {},
  marks: '1.5',
  key: '3.4 m',
  passedOver: [],
}

function Desk({ item }: { item: Item }) {
  const [face, setFace] = useState<Face>('student')
  const [attempt, setAttempt] = useState<Attempt>({ at: 0, value: null })
  return (
    <Tabs label="How it is shown" tabs={FACES} value={face} onChange={setFace}>
      {face === 'write' ? null : (
        <OtherFace face={face} onFace={setFace} item={item} attempt={attempt} onAttempt={setAttempt} />
      )}
    </Tabs>
  )
}

describe('The faces of a question', () => {
  const item = { ...blankItem('number'), prompt: '<p>How high?</p>', points: '3', explanation: '<p>Twelfths.</p>' }
  const marked = () => screen.getByRole('tab', { name: 'marked' })

  it('show an answer marked, with all that a student may be told of it', async () => {
    serve({ 'POST /api/items/try': tried })
    const user = show(<Desk item={item} />)
    await user.type(await screen.findByRole('textbox'), '1.2')
    await user.click(marked())
    expect((await screen.findByText('Partly right')).closest('[role=status]')?.textContent).toBe(
      'partly right Partly right, 1.5 of 3 marksYou took the fall for the height.Key 3.4 mTwelfths.',
    )
    expect(screen.getByText('1.2')).toBeTruthy()
    expect(bodies('POST', '/api/items/try').at(-1)).toMatchObject({ response: { text: '1.2' } })
  })

  it('lead from an empty marked face to answering, and keep what was answered', async () => {
    serve({ 'POST /api/items/try': tried })
    const user = show(<Desk item={item} />)
    await user.click(marked())
    await user.click(screen.getByRole('button', { name: 'Answer it' }))
    await user.type(await screen.findByRole('textbox'), '7')
    await user.click(screen.getByRole('tab', { name: 'write' }))
    await user.click(marked())
    expect(await screen.findByText('7')).toBeTruthy()
  })

  it('say why a question as it stands cannot be marked', async () => {
    serve({ 'POST /api/items/try': new Refusal(422, 'No.', 'The value 1 is not a number.') })
    const user = show(<Desk item={item} />)
    await user.type(await screen.findByRole('textbox'), '7')
    await user.click(marked())
    expect(await screen.findByText('✕ The value 1 is not a number.')).toBeTruthy()
  })
})
