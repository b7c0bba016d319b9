import { screen } from '@testing-library/react'
import { beforeEach, describe, expect, it } from 'vitest'
import type { Schemas } from '@/lib/api/client'
import { edited, Editing, type RuleOf } from '@/testing/editing'
import { pickFrom, show } from '@/testing/page'
import { serve } from '@/testing/server'
import { freshOptionId } from './choice/optionId'
import type { Item } from './kinds'
import NumberEditor from './number/Editor'
import RubricEditor from './open/Editor'
import { blankItem } from './registry'
import TextEditor from './text/Editor'

const terms = {
  skills: [],
  misconceptions: [
    { id: 'm1', name: 'adds instead of subtracts', parent: null, looksLike: '', nextStep: '', questions: 1 },
  ],
  units: ['m', 'km'],
}
beforeEach(() => serve({ 'GET /api/bank/terms': terms }))

const ruleOf = <T extends Item['type']>(type: T) => blankItem(type).rule as RuleOf<T>

describe('A text rule', () => {
  it('takes forms with their own credit, feedback and misconception', async () => {
    const user = show(<Editing first={ruleOf('text')} editor={TextEditor} />)
    await user.type(screen.getByLabelText('Text of form 1'), 'neap')
    await user.type(screen.getByLabelText('Next form'), 'neep{Enter}')
    await pickFrom(user, screen.getByLabelText('Credit of form 2'), 'credit 1/2')
    await user.type(screen.getByLabelText('Feedback for form 2'), 'Watch the spelling.')
    await pickFrom(user, screen.getByLabelText('Misconception behind form 2'), /adds instead of subtracts/)
    await user.click(screen.getByLabelText('Accents do not matter'))
    expect(edited()).toMatchObject({
      forms: [
        { text: 'neap', credit: '1', feedback: '', misconception: null },
        { text: 'neep', credit: '1/2', feedback: 'Watch the spelling.', misconception: 'm1' },
      ],
      folding: { case: true, accents: true },
    })
    await user.click(screen.getByRole('button', { name: 'Remove form 1' }))
    expect((edited() as Schemas['TextRule']).forms.map((f) => f.text)).toEqual(['neep'])
  })
})

describe('A text rule’s folding', () => {
  it('shows on an answer of its own what counts as the same', async () => {
    const user = show(<Editing first={ruleOf('text')} editor={TextEditor} />)
    await user.type(screen.getByLabelText('Text of form 1'), 'ebb tide')
    expect(screen.getByText('“EBB TIDE.”')).toBeTruthy()
    await user.click(screen.getByLabelText('Words in any order'))
    await user.click(screen.getByLabelText('“The” and “a” in front do not matter'))
    expect(screen.getByText('“THE TIDE EBB.”')).toBeTruthy()
    await user.click(screen.getByLabelText('Capitals do not matter'))
    await user.click(screen.getByLabelText('Accents do not matter'))
    expect(screen.getByText('“the tîde ebb.”')).toBeTruthy()
  })

  it('asks what a star is only where there is one', async () => {
    const user = show(<Editing first={ruleOf('text')} editor={TextEditor} />)
    await user.type(screen.getByLabelText('Text of form 1'), 'sun')
    expect(screen.queryByLabelText(/stands for any words/)).toBeNull()
    await user.type(screen.getByLabelText('Text of form 1'), ' * moon')
    await user.click(screen.getByLabelText(/stands for any words/))
    expect(edited()).toMatchObject({ forms: [{ text: 'sun * moon', blanks: true }] })
  })
})

describe('A number rule', () => {
  it('says in which form it must be written, and what the right value otherwise earns', async () => {
    const user = show(<Editing first={ruleOf('number')} editor={NumberEditor} />)
    expect(screen.queryByLabelText(/written otherwise/)).toBeNull()
    await pickFrom(user, screen.getByLabelText('Written'), 'as a fraction in lowest terms')
    await pickFrom(user, screen.getByLabelText('Credit of the right value written otherwise'), 'credit 1/2')
    await pickFrom(user, screen.getByLabelText('Significant figures'), 'exactly 3')
    expect(edited()).toMatchObject({ form: 'lowest terms', formless: '1/2', figures: 3 })
    await pickFrom(user, screen.getByLabelText('Written'), 'in any form')
    await pickFrom(user, screen.getByLabelText('Significant figures'), 'as many as they like')
    expect(Object.keys(edited() as object)).toEqual(['targets', 'unit', 'unitUse'])
  })

  it('draws what counts and what lies near, rounding kinds too', async () => {
    const user = show(<Editing first={ruleOf('number')} editor={NumberEditor} />)
    expect(screen.queryByText('What counts, and what lies near?')).toBeNull()
    await user.type(screen.getByLabelText('Number for value 1'), '3.9')
    await pickFrom(user, screen.getByLabelText('Kind of tolerance of value 1'), 'decimal places')
    expect((edited() as Schemas['NumberRule']).targets[0]).toMatchObject({ kind: 'decimals', tolerance: '1' })
    await user.type(screen.getByLabelText('Next value'), '4.2{Enter}')
    expect(
      screen.getByRole('img', { name: /value 1, counts: from 3.85 to 3.95; value 2, wrong: from 4.2 to 4.2/ }),
    ).toBeTruthy()
  })

  it('keeps its values in the order they are tried', async () => {
    const user = show(<Editing first={ruleOf('number')} editor={NumberEditor} />)
    await user.clear(screen.getByLabelText('Number for value 1'))
    await user.type(screen.getByLabelText('Number for value 1'), '3.9')
    await user.clear(screen.getByLabelText('Tolerance of value 1'))
    await user.type(screen.getByLabelText('Tolerance of value 1'), '0.1')
    await user.type(screen.getByLabelText('Next value'), '4,2{Enter}')
    await user.click(screen.getByRole('button', { name: 'Move value 2 up' }))
    expect((edited() as Schemas['NumberRule']).targets).toMatchObject([
      { value: '4.2', credit: '0' },
      { value: '3.9', tolerance: '0.1', credit: '1' },
    ])
  })

  it('reads a value that was written without its tolerance, kind and feedback', () => {
    const bare = { ...ruleOf('number'), targets: [{ value: '= h - l' }] } as unknown as Schemas['NumberRule']
    show(<Editing first={bare} editor={NumberEditor} />)
    expect(screen.getByLabelText('Kind of tolerance of value 1').textContent).toBe('in the unit')
    expect(screen.getByLabelText('Credit of value 1').textContent).toBe('full credit')
    expect((screen.getByLabelText('Tolerance of value 1') as HTMLInputElement).value).toBe('0')
    expect((screen.getByLabelText('Feedback for value 1') as HTMLInputElement).value).toBe('')
  })

  it('asks for the unit’s use once there is a unit, and drops it with the unit', async () => {
    const user = show(<Editing first={ruleOf('number')} editor={NumberEditor} />)
    expect(screen.queryByLabelText('The student')).toBeNull()
    await pickFrom(user, screen.getByLabelText('Unit'), 'm')
    expect(edited()).toMatchObject({ unit: 'm', unitUse: 'optional' })
    await pickFrom(user, screen.getByLabelText('The student'), 'must write the unit')
    await pickFrom(user, screen.getByLabelText('Unit'), 'km')
    expect(edited()).toMatchObject({ unit: 'km', unitUse: 'required' })
    await pickFrom(user, screen.getByLabelText('Unit'), 'no unit')
    expect(edited()).toMatchObject({ unit: '', unitUse: 'none' })
  })
})

describe('A rubric', () => {
  it('starts with one criterion of three levels, and each can be named', async () => {
    show(<Editing first={ruleOf('open')} editor={RubricEditor} />)
    expect((edited() as Schemas['OpenRule']).criteria[0]?.levels.map((l) => l.points)).toEqual(['0', '1', '2'])
    expect(screen.getByDisplayValue('Content')).toBeTruthy()
    expect(screen.getByDisplayValue('All of it')).toBeTruthy()
  })
})

it('a new option gets an id of its own', () => {
  expect(freshOptionId(['a', 'b', 'd'])).toBe('c')
  expect(freshOptionId([...'abcdefghijklmnopqrstuvwxyz'])).toBe('o26')
})
