import { screen, waitFor } from '@testing-library/react'
import { useState } from 'react'
import { beforeEach, describe, expect, it } from 'vitest'
import type { Item } from '@/answers/kinds'
import { blankItem } from '@/answers/registry'
import { pickFrom, show } from '@/testing/page'
import { bodies, Refusal, serve, serveAlso } from '@/testing/server'
import { CheckLines } from './CheckLines'
import { OwnNumbers } from './OwnNumbers'
import { patched } from './patched'
import { useDraws } from './useDraws'

const draw = (h: string, key: string, wrong: string, faults: string[] = []) => ({
  numbers: { h },
  values: { 'h - 1': key, 'h + 1': wrong },
  faults,
})
const seen = {
  combinations: 90,
  looked: 60,
  formulas: ['h - 1', 'h + 1'],
  draws: [draw('2', '1', '3'), draw('3', '2', '4', ['values 1 and 2 lie within tolerance of each other'])],
}
beforeEach(() =>
  serve({ 'GET /api/bank/terms': { skills: [], misconceptions: [], units: [] }, 'POST /api/items/draws': seen }),
)

let item: Item
function Writing({ first = blankItem('number') as Item }: { first?: Item }) {
  const [now, setNow] = useState(first)
  item = now
  return (
    <>
      <OwnNumbers {...now} draws={useDraws(now)} onChange={(change) => setNow(patched(now, change))} />
      <CheckLines item={now} onChange={setNow} faults={{ 'checks.0.when': '“tide” has no value here.' }} />
    </>
  )
}
const keyed = (): Item => {
  const blank = blankItem('number') as Extract<Item, { type: 'number' }>
  const target = (value: string, credit: string) => ({ ...blank.rule.targets[0]!, value, credit })
  return { ...blank, rule: { ...blank.rule, targets: [target('= h - 1', '1'), target('= h + 1', '0')] } }
}

describe('Numbers of their own', () => {
  it('are typed a line each, with what must hold between them', async () => {
    const user = show(<Writing />)
    await user.type(screen.getByLabelText('Next variable'), 'h = 2 to 4 step 0.5{Enter}l = 1, 2{Enter}')
    await user.type(screen.getByLabelText('Next condition'), 'h > l{Enter}')
    expect(item).toMatchObject({
      variables: [
        { name: 'h', from: '2', to: '4', step: '0.5' },
        { name: 'l', choices: ['1', '2'] },
      ],
      constraints: ['h > l'],
    })
    await user.clear(screen.getByLabelText('What l may be'))
    await user.type(screen.getByLabelText('What l may be'), '= h / 2')
    expect(item.variables?.[1]).toEqual({ name: 'l', is: 'h / 2' })
    await waitFor(() =>
      expect(bodies('POST', '/api/items/draws').at(-1)).toMatchObject({ item: { variables: item.variables } }),
    )
  })

  it('may stand in a table, typed in a line or row by row, or pasted from a spreadsheet', async () => {
    const user = show(<Writing />)
    await user.type(screen.getByLabelText('Next variable'), 'vessel(ship, draught) = Brindle, 2.4{Enter}')
    await user.type(screen.getByLabelText('Next row of vessel'), 'Lapwing, 1,8{Enter}')
    await user.type(screen.getByLabelText('draught, row 2'), '0')
    expect(item.variables).toEqual([
      {
        name: 'vessel',
        columns: ['ship', 'draught'],
        rows: [
          ['Brindle', '2.4'],
          ['Lapwing', '1.80'],
        ],
      },
    ])
    expect(screen.getByRole('button', { name: '{draught}' })).toBeTruthy()
    await user.click(screen.getByRole('button', { name: 'Remove row 1 of vessel' }))
    await user.click(screen.getByLabelText('Next variable'))
    await user.paste('Buoy\tColour\ncan\tred')
    expect(item.variables).toEqual([
      { name: 'vessel', columns: ['ship', 'draught'], rows: [['Lapwing', '1.80']] },
      { name: 'values', columns: ['buoy', 'colour'], rows: [['can', 'red']] },
    ])
    await user.click(screen.getByRole('button', { name: 'Remove table vessel' }))
    expect(item.variables).toHaveLength(1)
  })

  it('say how many draws are fit, where key and distractor lie, and what speaks against the others', async () => {
    const user = show(<Writing first={keyed()} />)
    await user.type(screen.getByLabelText('Next variable'), 'h = 2 to 4{Enter}')
    expect(await screen.findByText(/90 combinations/)).toBeTruthy()
    expect(screen.getByText(/60 of them looked at/).textContent).toContain(
      '1 fit to be handed out, 1 left out by themselves, 58 break a condition',
    )
    expect(
      await screen.findByRole('img', { name: 'key h - 1: from 1 to 2; distractor h + 1: from 3 to 4' }),
    ).toBeTruthy()
    await user.click(screen.getByRole('button', { name: 'Draws side by side' }))
    expect(screen.getByRole('row', { name: /h \+ 1/ }).textContent).toContain('43')
    expect(screen.getByText(/within tolerance of each other: never handed out/)).toBeTruthy()
  })

  it('say at the very line what cannot be read', async () => {
    serveAlso({
      'POST /api/items/draws': new Refusal(422, 'No.', '', { 'variables.0.is': 'There is no k here (at character 5)' }),
    })
    const user = show(<Writing />)
    await user.type(screen.getByLabelText('Next variable'), 'h = l + k{Enter}')
    expect(await screen.findByText(/There is no k here/)).toBeTruthy()
    expect(screen.getByLabelText('What h may be').getAttribute('aria-invalid')).toBe('true')
  })

  it('that are all taken out leave nothing behind', async () => {
    const user = show(<Writing />)
    await user.type(screen.getByLabelText('Next variable'), 'h = 2 to 4{Enter}')
    await user.click(screen.getByRole('button', { name: 'Remove h' }))
    expect(item).not.toHaveProperty('variables')
    expect(item).not.toHaveProperty('constraints')
  })
})

describe('Checks', () => {
  it('are lines of when and then, in the order in which they are tried', async () => {
    const user = show(<Writing />)
    await user.type(screen.getByLabelText('Next check'), 'answer < 0{Enter}within(answer, 3, 1){Enter}')
    await pickFrom(user, screen.getByLabelText('Credit of check 2'), 'credit 1/2')
    await user.type(screen.getByLabelText('Feedback for check 1'), 'Below the sea?')
    await user.click(screen.getByRole('button', { name: 'Move check 2 up' }))
    expect(item.checks).toEqual([
      { when: 'within(answer, 3, 1)', credit: '1/2', feedback: '', misconception: null },
      { when: 'answer < 0', credit: '0', feedback: 'Below the sea?', misconception: null },
    ])
    expect(screen.getByText(/“tide” has no value here/)).toBeTruthy()
    await user.click(screen.getByRole('button', { name: 'Remove check 2' }))
    await user.click(screen.getByRole('button', { name: 'Remove check 1' }))
    expect(item).not.toHaveProperty('checks')
  })
})
