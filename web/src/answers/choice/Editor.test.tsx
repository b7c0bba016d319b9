import { act, fireEvent, screen, waitFor } from '@testing-library/react'
import { useState } from 'react'
import { beforeEach, describe, expect, it } from 'vitest'
import type { Schemas } from '@/lib/api/client'
import { pickFrom, show } from '@/testing/page'
import { bodies, Refusal, serve } from '@/testing/server'
import { blankItem } from '../registry'
import Editor from './Editor'

type Rule = Schemas['ChoiceRule']
const terms = (more: object[] = []) => ({
  skills: [],
  misconceptions: [
    { id: 'm1', name: 'adds instead of subtracts', parent: null, looksLike: '', nextStep: '', questions: 1 },
    ...more,
  ],
  units: [],
})
let rule: Rule
function Editing({ first }: { first: Rule }) {
  const [now, setNow] = useState(first)
  rule = now
  return <Editor rule={now} onChange={setNow} />
}
const open = (change: Partial<Rule> = {}) => show(<Editing first={{ ...blankItem('choice').rule, ...change }} />)
const keys = () => rule.options.filter((o) => o.key).map((o) => o.id)
beforeEach(() => serve({ 'GET /api/bank/terms': terms() }))

describe('A choice rule', () => {
  it('has no key until its writer names one, and then one, which moves', async () => {
    const user = open()
    expect(keys()).toEqual([])
    await user.click(screen.getByRole('button', { name: 'option A is the key' }))
    expect(keys()).toEqual(['a'])
    await user.click(screen.getByRole('button', { name: 'option C is the key' }))
    expect(keys()).toEqual(['c'])
  })

  it('takes several keys once several may be picked, and part credit only then', async () => {
    const user = open()
    expect(screen.queryByLabelText('Part credit for each option')).toBeNull()
    await user.click(screen.getByLabelText('Several may be picked'))
    await user.click(screen.getByRole('button', { name: 'option A is the key' }))
    await user.click(screen.getByRole('button', { name: 'option C is the key' }))
    await user.click(screen.getByLabelText('Part credit for each option'))
    expect([keys(), rule.several, rule.perOption]).toEqual([['a', 'c'], true, true])
    await user.click(screen.getByLabelText('Several may be picked'))
    expect([rule.several, rule.perOption]).toEqual([false, false])
  })

  it('gives each option a credit of its own where it is told to, and takes it back', async () => {
    const user = open()
    await user.click(screen.getByRole('button', { name: 'option A is the key' }))
    await user.click(screen.getByLabelText('A credit of its own for each option'))
    await pickFrom(user, screen.getByLabelText('Credit of option B'), 'credit 1/2')
    expect(rule.options.map((o) => o.credit)).toEqual(['1', '1/2', '0', '0'])
    await user.click(screen.getByLabelText('A credit of its own for each option'))
    expect(rule.options.every((o) => o.credit === undefined)).toBe(true)
    expect(keys()).toEqual(['a'])
  })

  it('keeps an option’s id, key and feedback when it moves or another goes', async () => {
    const user = open()
    await user.type(screen.getByLabelText('Feedback for option C'), 'Look again.')
    await user.click(screen.getByRole('button', { name: /option C up/i }))
    expect(rule.options.map((o) => [o.id, o.feedback])).toEqual([
      ['a', ''],
      ['c', 'Look again.'],
      ['b', ''],
      ['d', ''],
    ])
    await user.click(screen.getByRole('button', { name: /remove option A/i }))
    expect(rule.options.map((o) => o.id)).toEqual(['c', 'b', 'd'])
    await user.type(screen.getByLabelText('Next option'), '2 < 3{Enter}')
    expect(rule.options[3]?.text).toBe('<p>2 &lt; 3</p>')
    expect(document.activeElement).toBe(screen.getByLabelText('Next option'))
    expect(rule.options.map((o) => o.id)).toEqual(['c', 'b', 'd', 'a'])
    expect(keys()).toEqual([])
  })

  it('grows to twelve options and no further', async () => {
    const options = Array.from({ length: 11 }, (_, i) => ({
      id: `x${i}`,
      text: '',
      key: false,
      feedback: '',
      misconception: null,
    }))
    const user = open({ options })
    await user.type(screen.getByLabelText('Next option'), 'the last one')
    await user.tab()
    expect(rule.options.at(-1)?.text).toBe('<p>the last one</p>')
    expect(rule.options).toHaveLength(12)
    expect(screen.queryByLabelText('Next option')).toBeNull()
    expect(screen.getByRole('button', { name: 'option L is the key' })).toBeTruthy()
  })

  it('makes a pasted list into options, up to twelve', async () => {
    const user = open()
    await user.click(screen.getByLabelText('Next option'))
    await user.paste('1. the moon\n2. the sun\n\n• both')
    expect(rule.options.slice(4).map((o) => o.text)).toEqual(['<p>the moon</p>', '<p>the sun</p>', '<p>both</p>'])
    expect(new Set(rule.options.map((o) => o.id)).size).toBe(7)
    await user.paste(Array.from({ length: 9 }, (_, i) => `line ${i}`).join('\n'))
    expect(rule.options).toHaveLength(12)
  })

  it('makes a list pasted into an empty option into this one, the empty ones below and new ones', async () => {
    const written = blankItem('choice').rule.options.map((o, i) => (i === 1 ? { ...o, text: '<p>tide</p>' } : o))
    open({ options: written })
    const read = screen.getByRole('textbox', { name: 'Text of option A' })
    act(() => read.focus())
    const words = 'A) flood\nB) ebb\nC) slack\nD) spring\nE) neap'
    await waitFor(() => {
      const text = screen.getByRole('textbox', { name: 'Text of option A' })
      expect(text.isContentEditable || text.getAttribute('contenteditable')).toBeTruthy()
    })
    fireEvent.paste(screen.getByRole('textbox', { name: 'Text of option A' }), {
      clipboardData: {
        files: [],
        types: ['text/plain'],
        getData: (kind: string) => (kind === 'text/plain' ? words : ''),
      },
    })
    expect(rule.options.map((o) => o.text.replace(/<[^>]+>/g, ''))).toEqual([
      'flood',
      'tide',
      'ebb',
      'slack',
      'spring',
      'neap',
    ])
  })

  it('may keep its last option last', async () => {
    const user = open()
    await user.click(screen.getByLabelText('Keep the last option last'))
    expect(rule.keepLast).toBe(true)
  })
})

describe('The misconception of a distractor', () => {
  const pick = () => screen.getByRole('combobox', { name: /misconception.*option B/i })

  it('is one of the team’s', async () => {
    const user = open()
    await pickFrom(user, pick(), 'adds instead of subtracts')
    expect(rule.options.map((o) => o.misconception)).toEqual([null, 'm1', null, null])
    await pickFrom(user, pick(), 'No misconception')
    expect(rule.options[1]?.misconception).toBeNull()
  })

  it('or a new one, named on the spot, which every list then has', async () => {
    let known = terms()
    serve({
      'GET /api/bank/terms': () => known,
      'POST /api/bank/misconceptions': ({ body }: { body: unknown }) => {
        const made = { id: 'm2', parent: null, questions: 0, ...(body as object) }
        known = terms([made])
        return made
      },
    })
    const user = open()
    await pickFrom(user, pick(), 'New misconception …')
    await user.type(await screen.findByLabelText('What the student thinks'), 'the tide falls evenly')
    await user.type(screen.getByLabelText('What to do next'), 'Plot a day.')
    await user.click(screen.getByRole('button', { name: 'Add the misconception' }))
    await waitFor(() => expect(rule.options[1]?.misconception).toBe('m2'))
    expect(bodies('POST', '/api/bank/misconceptions')).toEqual([
      { name: 'the tide falls evenly', looksLike: '', nextStep: 'Plot a day.', parent: null },
    ])
    expect(screen.queryByRole('dialog')).toBeNull()
    await waitFor(() => expect(pick().textContent).toBe('the tide falls evenly'))
  })

  it('stays open with what was typed when its name is refused', async () => {
    serve({
      'GET /api/bank/terms': terms(),
      'POST /api/bank/misconceptions': new Refusal(422, 'Not yet.', '', { name: 'The team has this one.' }),
    })
    const user = open()
    await pickFrom(user, pick(), 'New misconception …')
    await user.type(await screen.findByLabelText('What the student thinks'), 'adds instead of subtracts{Enter}')
    expect(await screen.findByText('The team has this one.', { exact: false })).toBeTruthy()
    expect((screen.getByLabelText('What the student thinks') as HTMLInputElement).value).toBe(
      'adds instead of subtracts',
    )
    expect(rule.options[1]?.misconception).toBeNull()
  })
})
