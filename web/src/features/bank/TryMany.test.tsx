import { screen } from '@testing-library/react'
import { beforeEach, describe, expect, it } from 'vitest'
import { blankItem } from '@/answers/registry'
import { show } from '@/testing/page'
import { bodies, serve } from '@/testing/server'
import { TryMany } from './TryMany'

const result = (verdict: string, credit: string, misconceptions: string[] = []) => ({
  verdict,
  credit,
  line: verdict === 'right' ? 'form 1' : '',
  readAs: '',
  feedback: '',
  misconceptions,
  numbers: {},
})

beforeEach(() =>
  serve({
    'GET /api/bank/terms': { skills: [], misconceptions: [{ id: 'm1', name: 'Mixes up ebb and flood' }], units: [] },
    'POST /api/items/try-all': { results: [result('right', '1'), result('wrong', '0', ['m1'])] },
  }),
)

describe('Many answers tried at once', () => {
  it('come back as a table with what each earns and shows', async () => {
    const user = show(<TryMany item={blankItem('text')} />)
    await user.click(screen.getByRole('button', { name: 'Try many answers at once' }))
    await user.click(screen.getByLabelText('Answers, one a line'))
    await user.paste('ebb\n\nflood')
    expect(await screen.findByText('1 of 2 answers right')).toBeTruthy()
    expect(screen.getByRole('row', { name: /flood.*Mixes up ebb and flood/ })).toBeTruthy()
    expect(bodies('POST', '/api/items/try-all').at(-1)).toMatchObject({
      responses: [{ text: 'ebb' }, { text: 'flood' }],
    })
  })

  it('are letters where options are picked, and are not offered where an answer is no line', async () => {
    const choice = blankItem('choice')
    const user = show(<TryMany item={choice} />)
    await user.click(screen.getByRole('button', { name: 'Try many answers at once' }))
    await user.click(screen.getByLabelText('Answers, one a line'))
    await user.paste('b\nA, C\nz')
    await screen.findByText('1 of 2 answers right')
    expect(bodies('POST', '/api/items/try-all').at(-1)).toMatchObject({
      responses: [{ options: ['b'] }, { options: ['a', 'c'] }],
    })
    show(<TryMany item={blankItem('working')} />)
    expect(screen.getAllByRole('button', { name: 'Try many answers at once' })).toHaveLength(1)
  })
})
