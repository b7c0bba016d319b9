import { screen, within } from '@testing-library/react'
import { useState } from 'react'
import { beforeEach, describe, expect, it } from 'vitest'
import { edited, Editing, type RuleOf } from '@/testing/editing'
import { pickFrom, show } from '@/testing/page'
import { serve } from '@/testing/server'
import ExpressionEditor from './expression/Editor'
import GapsEditor from './gaps/Editor'
import GapsInput from './gaps/Input'
import type { Face, Item, Value } from './kinds'
import MatchEditor, { paired } from './match/Editor'
import MatchInput from './match/Input'
import OrderEditor from './order/Editor'
import OrderInput from './order/Input'
import { blankItem } from './registry'
import TableEditor from './table/Editor'
import TableInput from './table/Input'

beforeEach(() => serve({ 'GET /api/bank/terms': { skills: [], misconceptions: [], units: ['m'] } }))

const ruleOf = <T extends Item['type']>(type: T) => blankItem(type).rule as RuleOf<T>

let answer: Value | null = null
function Answering<T extends Item['type']>({
  face,
  input: Input,
}: {
  face: Extract<Face, { type: T }>
  input: (p: {
    face: Extract<Face, { type: T }>
    value: Value | null
    onChange: (value: Value) => void
    disabled: boolean
    heading: string
  }) => React.ReactNode
}) {
  const [value, setValue] = useState<Value | null>(null)
  answer = value
  return <Input face={face} value={value} onChange={setValue} disabled={false} heading="question 1" />
}
const asked = { prompt: '', hints: [], goBack: null, asksConfidence: false, asksWorking: false }
const thing = (id: string, text: string) => ({ id, text: `<p>${text}</p>` })

describe('Things in order', () => {
  it('are pasted as a list, and wrong orders are written by places that change with each other', async () => {
    const user = show(<Editing first={{ ...ruleOf('order'), things: [] }} editor={OrderEditor} />)
    await user.click(screen.getByLabelText('Next step'))
    await user.paste('1. ebb\n2. slack\n3. flood')
    expect(edited()).toMatchObject({
      things: [{ text: '<p>ebb</p>' }, { text: '<p>slack</p>' }, { text: '<p>flood</p>' }],
    })
    await user.click(screen.getByRole('button', { name: 'Add a wrong order worth knowing' }))
    await pickFrom(user, screen.getByLabelText('Place 1 of wrong order 1'), 'slack')
    await user.type(screen.getByLabelText('Feedback for wrong order 1'), 'No.')
    expect(edited()).toMatchObject({ lines: [{ order: ['t2', 't3', 't1'], credit: '0', feedback: 'No.' }] })
    await user.click(screen.getByRole('button', { name: 'Move step 3 up' }))
    expect(edited()).toMatchObject({ things: [{ id: 't1' }, { id: 't3' }, { id: 't2' }] })
  })

  it('are put in order by their buttons, or left as they stand when that is right', async () => {
    const face = {
      type: 'order' as const,
      ...asked,
      things: [thing('a', 'flood'), thing('b', 'ebb'), thing('c', 'slack')],
    }
    const user = show(<Answering face={face} input={OrderInput} />)
    await user.click(screen.getByRole('button', { name: 'This order is right' }))
    expect(answer).toEqual({ order: ['a', 'b', 'c'] })
    await user.click(screen.getByRole('button', { name: 'ebb up' }))
    expect(answer).toEqual({ order: ['b', 'a', 'c'] })
    expect((screen.getByRole('button', { name: 'ebb up' }) as HTMLButtonElement).disabled).toBe(true)
    expect(screen.queryByRole('button', { name: 'This order is right' })).toBeNull()
  })
})

describe('Things and places', () => {
  it('are typed as pairs, and a place of the same words is taken again', async () => {
    const user = show(<Editing first={ruleOf('match')} editor={MatchEditor} />)
    await user.type(screen.getByLabelText('Next pair'), 'ebb = falling{Enter}')
    await user.type(screen.getByLabelText('Next pair'), 'flood = Rising{Enter}')
    await user.type(screen.getByLabelText('Next pair'), 'spring flood = rising{Enter}')
    expect(edited()).toMatchObject({
      things: [{ id: 't1' }, { id: 't2' }, { id: 't3' }],
      places: [
        { id: 'p1', text: '<p>falling</p>' },
        { id: 'p2', text: '<p>Rising</p>' },
      ],
      key: [
        ['t1', 'p1'],
        ['t2', 'p2'],
        ['t3', 'p2'],
      ],
    })
    await pickFrom(user, screen.getByLabelText('Where thing 1 belongs'), 'belongs nowhere')
    await user.click(screen.getByRole('button', { name: 'Remove place 2' }))
    expect(edited()).toMatchObject({ key: [], places: [{ id: 'p1' }] })
  })

  it('are kept apart where only a thing is typed', () => {
    expect(paired(ruleOf('match'), ['slack'])).toMatchObject({
      things: [{ text: '<p>slack</p>' }],
      places: [],
      key: [],
    })
  })

  it('are brought together by one press and another, and taken out again', async () => {
    const face = {
      type: 'match' as const,
      ...asked,
      copies: false,
      things: [thing('x', 'ebb'), thing('y', 'flood')],
      places: [thing('p', 'falling'), thing('q', 'rising')],
    }
    const user = show(<Answering face={face} input={MatchInput} />)
    await user.click(screen.getByRole('button', { name: 'ebb' }))
    await user.click(screen.getByRole('button', { name: 'Put it in rising' }))
    expect(answer).toEqual({ pairs: [['x', 'q']] })
    expect(within(screen.getByRole('list', { name: 'To be placed' })).queryByText('ebb')).toBeNull()
    await user.click(screen.getByRole('button', { name: 'Take ebb out of rising' }))
    expect(answer).toEqual({ pairs: [] })
  })
})

describe('Gaps in a passage', () => {
  it('are made of brackets or of selected words', async () => {
    const user = show(<Editing first={ruleOf('gaps')} editor={GapsEditor} />)
    const box = screen.getByLabelText('Passage') as HTMLTextAreaElement
    await user.click(box)
    await user.paste('Then comes the ebb. It falls [3.1 m].')
    box.setSelectionRange(15, 18)
    await user.keyboard('{Control>}b{/Control}')
    expect(box.value).toBe('Then comes the [ebb]. It falls [3.1 m].')
    expect(edited()).toMatchObject({ gaps: [{ type: 'text' }, { type: 'number', rule: { unit: 'm' } }] })
    expect(screen.getByText('Gap 1: ebb, words')).toBeTruthy()
  })

  it('are filled where they stand', async () => {
    const face = {
      type: 'gaps' as const,
      ...asked,
      passage: 'The [g1] falls [g2].',
      gaps: [
        { id: 'g1', type: 'text' as const },
        { id: 'g2', type: 'number' as const, unit: 'm', unitUse: 'optional' as const },
      ],
    }
    const user = show(<Answering face={face} input={GapsInput} />)
    await user.type(screen.getByLabelText('Gap 1 of 2'), 'ebb{Tab}3.1')
    expect(answer).toEqual({ gaps: { g1: 'ebb', g2: '3.1' } })
  })

  it('are chosen where options are given, once what drops down is here', async () => {
    const face = {
      type: 'gaps' as const,
      ...asked,
      passage: 'The [g1] falls.',
      gaps: [
        {
          id: 'g1',
          type: 'choice' as const,
          options: [
            { id: 'a', text: 'ebb' },
            { id: 'b', text: 'flood' },
          ],
        },
      ],
    }
    const user = show(<Answering face={face} input={GapsInput} />)
    await user.selectOptions(screen.getByLabelText('Gap 1 of 1'), 'ebb')
    expect(answer).toEqual({ gaps: { g1: 'a' } })
  })
})

describe('A table', () => {
  it('is typed cell by cell, and pasted as a block', async () => {
    const user = show(<Editing first={ruleOf('table')} editor={TableEditor} />)
    await user.type(screen.getByLabelText('Row 1, column 1'), 'Hour')
    await user.type(screen.getByLabelText('Row 2, column 2'), '=3.5')
    expect(edited()).toMatchObject({
      given: [{ row: 1, column: 1, text: 'Hour' }],
      cells: [{ row: 2, column: 2, type: 'number', rule: { targets: [{ value: '3.5' }] } }],
    })
    await user.click(screen.getByLabelText('Row 3, column 3'))
    await user.paste('a\tb\nc\td')
    expect(edited()).toMatchObject({ rows: 4, columns: 4 })
  })

  it('is filled where it asks, from one cell to the next by Enter', async () => {
    const face = {
      type: 'table' as const,
      ...asked,
      rows: 2,
      columns: 2,
      given: [
        { row: 1, column: 1, text: 'Hour' },
        { row: 1, column: 2, text: 'Height' },
        { row: 2, column: 1, text: '1' },
      ],
      cells: [{ row: 2, column: 2, type: 'number' as const, unit: 'm', unitUse: 'optional' as const }],
    }
    const user = show(<Answering face={face} input={TableInput} />)
    await user.type(screen.getByLabelText('Height, 1'), '4.2')
    expect(answer).toEqual({
      cells: [
        ['', ''],
        ['', '4.2'],
      ],
    })
  })
})

it('expressions are written one a line, with the shape that is asked for', async () => {
  const user = show(<Editing first={ruleOf('expression')} editor={ExpressionEditor} />)
  await user.type(screen.getByLabelText('Text of expression 1'), '(x+1)^2')
  await user.type(screen.getByLabelText('Next expression'), 'x^2+1{Enter}')
  await pickFrom(user, screen.getByLabelText('Credit of expression 2'), 'no credit')
  await pickFrom(user, screen.getByLabelText('It is asked for'), 'as a product, fully factorised')
  const names = screen.getByLabelText('Names it may use')
  await user.clear(names)
  await user.type(names, 'x, y{Tab}')
  expect(edited()).toMatchObject({
    lines: [
      { expression: '(x+1)^2', credit: '1' },
      { expression: 'x^2+1', credit: '0' },
    ],
    shape: 'factorised',
    names: ['x', 'y'],
  })
})

describe('Gaps with a bank', () => {
  const bank = {
    type: 'gaps' as const,
    passage: 'The [g1] falls, the [g2] rises.',
    gaps: [
      { id: 'g1', type: 'text' as const },
      { id: 'g2', type: 'text' as const },
    ],
    bank: ['flood', 'slack', 'ebb'],
    prompt: '',
    hints: [],
    goBack: null,
    asksConfidence: false,
    asksWorking: false,
  }
  function Filling({ words = bank.bank }: { words?: string[] }) {
    const [value, setValue] = useState<Value | null>(null)
    return (
      <>
        <GapsInput
          face={{ ...bank, bank: words }}
          value={value}
          onChange={setValue}
          disabled={false}
          heading="question 1"
        />
        <output aria-label="given">{JSON.stringify(value)}</output>
      </>
    )
  }

  it('are filled by pressing a word and then its gap, changed, and emptied again, by keys alone', async () => {
    const user = show(<Filling />)
    const given = () => JSON.parse(screen.getByLabelText('given').textContent || 'null') as unknown
    ;(await screen.findByRole('button', { name: 'ebb' })).focus()
    await user.keyboard('{Enter}')
    screen.getByRole('button', { name: 'Gap 1 of 2, empty' }).focus()
    await user.keyboard('{Enter}')
    expect(given()).toEqual({ gaps: { g1: 'ebb' } })
    expect(screen.queryByRole('button', { name: 'ebb' })).toBeNull()
    await user.click(screen.getByRole('button', { name: 'slack' }))
    await user.click(screen.getByRole('button', { name: 'Gap 1 of 2: ebb' }))
    expect(given()).toEqual({ gaps: { g1: 'slack' } })
    expect(screen.getByRole('button', { name: 'ebb' })).toBeTruthy()
    await user.click(screen.getByRole('button', { name: /^Gap 1 of 2: slack/ }))
    expect(given()).toEqual({ gaps: { g1: '' } })
  })

  it('pick up one of two words that are the same', async () => {
    const user = show(<Filling words={['ebb', 'ebb', 'flood']} />)
    const [first, second] = await screen.findAllByRole('button', { name: 'ebb' })
    await user.click(second!)
    expect(second!.getAttribute('aria-pressed')).toBe('true')
    expect(first!.getAttribute('aria-pressed')).toBe('false')
    await user.click(screen.getByRole('button', { name: 'Gap 1 of 2, empty' }))
    expect(screen.getAllByRole('button', { name: 'ebb' })).toHaveLength(1)
  })
})
