import { screen } from '@testing-library/react'
import { describe, expect, it } from 'vitest'
import { blankItem } from '@/answers/registry'
import { show } from '@/testing/page'
import { bodies, Refusal, sent, serve } from '@/testing/server'
import { TryBox } from './TryBox'

const terms = {
  skills: [],
  misconceptions: [
    { id: 'm1', name: 'adds instead of subtracts', parent: null, looksLike: '', nextStep: '', questions: 1 },
  ],
  units: ['m', 'km'],
}

describe('Trying an answer', () => {
  const number = blankItem('number')
  const verdict = {
    credit: '1/2',
    verdict: 'part',
    line: 'target 1',
    readAs: '7/2 m',
    feedback: 'Nearly.',
    misconceptions: ['m1'],
    numbers: { h: '4.6', l: '0.8' },
    passedOver: ['Check 2 is passed over: This takes too long.'],
  }

  it('asks once the typing rests, and shows the credit, the line and how it was read', async () => {
    serve({ 'GET /api/bank/terms': terms, 'POST /api/items/try': verdict })
    const user = show(<TryBox item={number} />)
    expect(screen.getByText('Nothing entered yet.')).toBeTruthy()
    await user.type(await screen.findByLabelText('Your answer to try out'), '3.5 m')
    expect(await screen.findByText('read as “7/2 m”')).toBeTruthy()
    expect(screen.getByText('part').parentElement?.textContent).toContain('part, credit 1/2 · line 1')
    expect(screen.getByText('“Nearly.”')).toBeTruthy()
    expect(screen.getByText('with h = 4.6, l = 0.8')).toBeTruthy()
    expect(screen.getByText('Check 2 is passed over: This takes too long.')).toBeTruthy()
    expect(await screen.findByText('adds instead of subtracts')).toBeTruthy()
    expect(bodies('POST', '/api/items/try').at(-1)).toMatchObject({ response: { text: '3.5 m' } })
    expect(sent('POST', '/api/items/try').length).toBeLessThan(5)
  })

  it('says what is wrong with a rule that cannot be read yet', async () => {
    serve({
      'GET /api/bank/terms': terms,
      'POST /api/items/try': new Refusal(422, 'Some of this cannot be taken.', 'The value 1 is not a number.'),
    })
    const user = show(<TryBox item={number} />)
    await user.type(await screen.findByLabelText('Your answer to try out'), '3')
    expect(await screen.findByText('✕ The value 1 is not a number.')).toBeTruthy()
  })
})
