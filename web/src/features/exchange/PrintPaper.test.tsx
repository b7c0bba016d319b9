import { screen, within } from '@testing-library/react'
import { beforeEach, describe, expect, it } from 'vitest'
import { show } from '@/testing/page'
import { Refusal, sent, serve } from '@/testing/server'
import PrintPaper from './PrintPaper'

const base = { version: 1, title: '', skill: null, hint: '', explanation: '' }
const items = {
  e1: {
    ...base,
    type: 'choice',
    prompt: '<p>Which bank?</p>',
    points: '1',
    rule: {
      options: [
        { id: 'a', text: '<p>north</p>', key: false, feedback: 'That is the old bank.', misconception: null },
        { id: 'b', text: '<p>south</p>', key: true, feedback: '', misconception: null },
      ],
    },
  },
  e2: {
    ...base,
    type: 'number',
    prompt: '<p>How deep?</p>',
    points: '3/2',
    rule: {
      targets: [
        { value: '73/20', tolerance: '1/10', credit: '1' },
        { value: '3', tolerance: '0', credit: '1/2' },
        { value: '99', tolerance: '0', credit: '0' },
      ],
      unit: 'm',
    },
  },
  e3: {
    ...base,
    type: 'open',
    prompt: '<p>Why?</p>',
    points: '2',
    rule: {
      least: null,
      most: null,
      starters: [],
      criteria: [
        {
          name: 'Cause',
          levels: [
            { points: '0', descriptor: 'none' },
            { points: '2', descriptor: 'sun and moon' },
          ],
        },
      ],
    },
  },
}
const question = (id: string) => ({ id, kind: 'question', item: `i-${id}`, points: '1' })
const document = {
  paper: {
    version: 1,
    title: 'Heights of tide',
    mastery: null,
    sections: [
      {
        id: 's1',
        title: 'First look',
        route: null,
        entries: [
          {
            id: 'src',
            kind: 'source',
            source: { title: 'Tide table', html: '<p>Low water 05:40</p>', picture: 'f1', alt: 'A table of tides' },
          },
          question('e1'),
        ],
      },
      { id: 's2', title: 'Further', route: null, entries: [question('e2'), question('e3')] },
    ],
  },
  items,
  pictures: { f1: 'data:image/png;base64,AAAA' },
  points: '4.5',
  written: { s1: ['e1'], s2: ['e2', 'e3'] },
}
const open = (key: 0 | 1, sheet: 0 | 1 = 0) =>
  show(<PrintPaper />, `/print/paper/p1?key=${key}&sheet=${sheet}&ticket=t1`, '/print/paper/:id')
beforeEach(() => serve({ 'GET /api/print/papers/p1': document }))

describe('A printed paper', () => {
  it('numbers its questions through, with marks, sources and a place for the name', async () => {
    open(0)
    await screen.findByText('Heights of tide')
    expect(sent('GET', '/api/print/papers/p1')[0]?.path).toContain('ticket=t1')
    expect(screen.getByText('4.5 marks')).toBeTruthy()
    expect(screen.getByText('Name')).toBeTruthy()
    expect(screen.getAllByRole('article').map((a) => a.querySelector('b')?.textContent)).toEqual(['1', '2', '3'])
    expect(screen.getAllByRole('heading', { level: 2 }).map((h) => h.textContent)).toEqual(['First look', 'Further'])
    expect(screen.getByText('1.5 marks')).toBeTruthy()
    expect(screen.getByText('1 mark')).toBeTruthy()
    expect((screen.getByAltText('A table of tides') as HTMLImageElement).src).toContain('data:image/png')
    expect(screen.getByText('Low water 05:40')).toBeTruthy()
  })

  it('is answered on a sheet of its own, with a frame for what a person marks', async () => {
    open(0, 1)
    await screen.findByText(/Answer sheet/)
    const answers = screen.getAllByRole('article')
    expect(answers.map((a) => a.querySelector('b')?.textContent)).toEqual(['1', '2', '3'])
    expect(answers[0]?.textContent).toBe('1AB1 mark')
    expect(within(answers[2]!).getByRole('group', { name: 'Frame for 3' })).toBeTruthy()
    expect(within(answers[1]!).queryByRole('group')).toBeNull()
    for (const asked of ['Which bank?', 'Low water 05:40', 'sun and moon']) expect(screen.queryByText(asked)).toBeNull()
  })

  it('says in words what a page on screen can do and paper cannot', async () => {
    const [first, second] = document.paper.sections
    const [source, ...rest] = first!.entries
    serve({
      'GET /api/print/papers/p1': {
        ...document,
        paper: {
          ...document.paper,
          sections: [
            {
              ...first!,
              entries: [
                {
                  ...source,
                  source: {
                    ...(source as { source: object }).source,
                    glossary: [{ word: 'low water', meaning: 'when the tide is out' }],
                    pieces: [{ text: 'red can', copies: 2 }],
                    link: 'https://harbour.example/tides',
                  },
                },
                ...rest,
              ],
            },
            second!,
          ],
        },
      },
    })
    open(0)
    expect((await screen.findByText('when the tide is out')).parentElement?.textContent).toBe(
      'low water: when the tide is out',
    )
    expect(screen.getAllByText('red can')).toHaveLength(2)
    expect(screen.getByText('See https://harbour.example/tides')).toBeTruthy()
  })

  it('says after a part where to go on once it is marked, by the numbers that are printed', async () => {
    const [first, second] = document.paper.sections
    serve({
      'GET /api/print/papers/p1': {
        ...document,
        // Another version: the questions of the second part stand the other way round.
        paper: {
          ...document.paper,
          sections: [
            { ...first!, route: { exits: [{ when: 'share < 1/2', to: 's1', rounds: 1 }], else: 's2' } },
            {
              ...second!,
              entries: [question('e3'), question('e2')],
              route: { exits: [{ when: 'q1 = 1', to: 'end' }], else: 's1' },
            },
          ],
        },
      },
    })
    open(0)
    const after = (name: string) =>
      within(screen.getByRole('region', { name: `After ${name}` }))
        .getAllByRole('listitem')
        .map((li) => li.textContent)
    await screen.findByText('Heights of tide')
    expect(after('First look')).toEqual([
      'If your share of the marks in this part is below 50 %: go on with “First look”, question 1, once.',
      'If not: go on with “Further”, question 2.',
    ])
    expect(after('Further')).toEqual([
      expect.stringMatching(/^If question 3 .*: you have reached the end\.$/),
      'If not: go on with “First look”, question 1.',
    ])
  })

  it('tells nothing of the key', async () => {
    open(0)
    await screen.findByText('Heights of tide')
    const text = screen.getByRole('main').textContent ?? ''
    for (const secret of ['key', 'old bank', '3.65', 'sun and moon', '✓', 'credit']) expect(text).not.toContain(secret)
    expect(window.document.querySelector('.bg-black')).toBeNull()
  })

  it('with its key says what is right in words, not by shade alone', async () => {
    open(1)
    const [choice, number, why] = await screen.findAllByRole('article')
    expect(
      within(choice as HTMLElement)
        .getByText('south')
        .closest('li')?.textContent,
    ).toContain('✓ key')
    expect(within(choice as HTMLElement).getByText('“That is the old bank.”')).toBeTruthy()
    expect(
      within(number as HTMLElement)
        .getAllByRole('listitem')
        .map((li) => li.textContent?.trim()),
    ).toEqual(['✓ 3.65 m ± 0.1', '✓ 3 m credit 1/2'])
    expect(within(why as HTMLElement).getByRole('row').textContent).toBe('Cause0 none2 sun and moon')
    expect(screen.queryByText('Name')).toBeNull()
  })

  it('says when the ticket no longer opens it', async () => {
    serve({ 'GET /api/print/papers/p1': new Refusal(403, 'This is not yours to do.', 'The ticket has run out.') })
    open(0)
    expect(await screen.findByText('The ticket has run out.')).toBeTruthy()
  })
})
