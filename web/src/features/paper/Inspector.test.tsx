import { screen, within } from '@testing-library/react'
import { useState } from 'react'
import { beforeEach, describe, expect, it } from 'vitest'
import type { UserEvent } from '@testing-library/user-event'
import type { Schemas } from '@/lib/api/client'
import { offered, pickFrom, show } from '@/testing/page'
import { type Paper } from './draft'
import { Inspector } from './Inspector'
import { Outline } from './Outline'

const start: Paper = {
  version: 1,
  title: 'Tides',
  mastery: null,
  sections: [
    {
      id: 's1',
      title: 'First look',
      entries: [
        { id: 'src', kind: 'source', source: { title: 'Tide table', html: '', picture: null, alt: '' } },
        { id: 'a', kind: 'question', item: 'i1', points: '0.1' },
        { id: 'b', kind: 'question', item: 'i2', points: '1/5' },
      ],
      route: null,
    },
    {
      id: 's2',
      title: 'Second look',
      entries: [{ id: 'c', kind: 'question', item: 'i1', points: '1' }],
      route: null,
    },
    { id: 's3', title: 'Further', entries: [], route: null },
  ],
}
const proof: Schemas['PaperProofView'] = {
  defects: [],
  mayPublish: true,
  mastery: '',
  leastPoints: '13/10',
  mostPoints: '13/10',
  leastQuestions: 3,
  mostQuestions: 3,
  exits: [],
}
let now: Paper
let selected: string | null
function Desk({ paper = start, at = null, said = proof }: { paper?: Paper; at?: string | null; said?: typeof proof }) {
  const [doc, setDoc] = useState(paper)
  const [place, setPlace] = useState<string | null>(at)
  now = doc
  selected = place
  const items = { i1: { title: 'Low water' }, i2: { title: '' } } as never
  return (
    <>
      <nav>
        <Outline
          paper={doc}
          items={items}
          selected={place}
          chosen={[]}
          onSelect={setPlace}
          onChange={setDoc}
          blocked={new Set(['b'])}
        />
      </nav>
      <main>
        <Inspector
          paperId="p1"
          paper={doc}
          proof={said}
          selected={place}
          onChange={setDoc}
          onSelect={setPlace}
          onRehearse={() => undefined}
          toProof={false}
          onThere={() => undefined}
        />
      </main>
    </>
  )
}
const route = (id: string) => now.sections.find((s) => s.id === id)?.route
const choices = (user: UserEvent, label: string) => offered(user, screen.getByLabelText(label))

beforeEach(() => void (selected = null))

describe('The outline', () => {
  it('says where a question looks in what stands before it', async () => {
    const html = '<ol data-lines=""><li><p>a</p></li><li><p>b</p></li><li><p>c</p></li></ol>'
    const source = { title: 'The log', html, picture: null, alt: '', file: 'f1' }
    const sections = [
      {
        ...start.sections[0]!,
        entries: [{ id: 'src', kind: 'source' as const, source }, ...start.sections[0]!.entries.slice(1)],
      },
    ]
    const user = show(<Desk paper={{ ...start, sections }} at="a" />)
    const looksAt = () =>
      now.sections[0]!.entries.flatMap((e) => (e.id === 'a' && e.kind === 'question' ? [e.looksAt] : []))[0]
    expect(await offered(user, screen.getByLabelText('It looks at'))).toEqual([
      'the whole',
      'lines of The log',
      'a stretch of The log',
    ])
    await pickFrom(user, screen.getByLabelText('It looks at'), 'lines of The log')
    await user.clear(screen.getByLabelText('to line'))
    await user.type(screen.getByLabelText('to line'), '9')
    expect(looksAt()).toEqual({ source: 'src', from: 1, to: 3 })
    await pickFrom(user, screen.getByLabelText('It looks at'), 'a stretch of The log')
    await user.clear(screen.getByLabelText('to'))
    await user.type(screen.getByLabelText('to'), '1:x')
    expect(screen.getByText('✕ Write it as 1:15.')).toBeTruthy()
    await user.clear(screen.getByLabelText('to'))
    await user.type(screen.getByLabelText('to'), '1:15')
    expect(looksAt()).toEqual({ source: 'src', moment: 0, until: 75 })
    await pickFrom(user, screen.getByLabelText('It looks at'), 'the whole')
    expect(looksAt()).toBeUndefined()
  })

  it('numbers questions over all sections, names each part and adds its marks exactly', () => {
    show(<Desk />)
    const rows = within(screen.getByRole('navigation'))
      .getAllByRole('button')
      .filter((b) => !b.getAttribute('aria-label'))
      .map((b) => b.textContent)
    expect(rows).toEqual([
      'First look0.3 marks',
      '¶Tide table',
      '1Low water',
      '2Untitled question ✕',
      'Second look1 mark',
      '3Low water',
      'Further0 marks',
    ])
    expect(screen.getByText('Nothing here yet')).toBeTruthy()
  })

  it('says where each section leads', () => {
    const paper = structuredClone(start)
    paper.sections[0]!.route = { exits: [{ when: 'share < 1/3', to: 's2' }], else: 's3' }
    paper.sections[1]!.route = { exits: [{ when: 'q1 < 1 or share = 0', to: 'gone' }], else: 'end' }
    show(<Desk paper={paper} />)
    const ways = within(screen.getByRole('navigation')).getAllByText(/→/, { selector: 'span' })
    expect(ways.map((p) => p.textContent)).toEqual([
      'below 33.3 % → Second look',
      'else → Further',
      'q1 < 1 or share = 0 → ?',
      'else → the end',
      'then → the end',
    ])
  })

  it('selects what is clicked, and tells those who listen', async () => {
    const user = show(<Desk />)
    await user.click(screen.getByRole('button', { name: 'Second look 1 mark' }))
    expect(selected).toBe('s2')
    expect(screen.getByRole('button', { name: 'Second look 1 mark' }).getAttribute('aria-current')).toBe('true')
  })
})

describe('The inspector', () => {
  it('sets the marks of the selected question, and never to nothing', async () => {
    const user = show(<Desk at="b" />)
    const field = screen.getByLabelText('Marks in this paper') as HTMLInputElement
    expect(field.value).toBe('0.2')
    await user.clear(field)
    expect(now.sections[0]?.entries[2]).toMatchObject({ points: '0' })
    await user.type(field, '2,5')
    expect(now.sections[0]?.entries[2]).toMatchObject({ id: 'b', points: '2.5' })
    expect(now.sections[0]?.entries[1]).toBe(start.sections[0]?.entries[1])
  })

  const way = (name: RegExp) => screen.getByRole('button', { name })
  it('branches to the following sections until told otherwise', async () => {
    const user = show(<Desk at="s1" />)
    await user.click(way(/^Add a way on/))
    expect(route('s1')).toEqual({ exits: [{ when: 'share < 1/2', to: 's2' }], else: 's3' })
    const share = screen.getByLabelText('What, way 1')
    await user.clear(share)
    await user.type(share, '75')
    await user.click(way(/^else → Further/))
    await pickFrom(user, screen.getByLabelText('leads to'), 'the end')
    expect(route('s1')).toEqual({ exits: [{ when: 'share < 0.75', to: 's2' }], else: 'end' })
    expect(await choices(user, 'leads to')).toEqual(['Second look', 'Further', 'the end'])
    await user.click(way(/^below 75 % → Second look/))
    await user.click(screen.getByRole('button', { name: 'Take way 1 out' }))
    expect(route('s1')).toEqual({ exits: [], else: 'end' })
  })

  it('gives what leads back a number of rounds, and takes it away again', async () => {
    const user = show(<Desk at="s2" />)
    await user.click(way(/^Add a way on/))
    expect(route('s2')).toEqual({ exits: [{ when: 'share < 1/2', to: 's3' }], else: 'end' })
    await pickFrom(user, screen.getByLabelText('leads to'), 'First look')
    expect(route('s2')?.exits).toEqual([{ when: 'share < 1/2', to: 's1', rounds: 1 }])
    await pickFrom(user, screen.getByLabelText('so often, for one student'), '3 times')
    expect(route('s2')?.exits[0]?.rounds).toBe(3)
    await pickFrom(user, screen.getByLabelText('leads to'), 'this section once more')
    expect(route('s2')?.exits[0]).toMatchObject({ to: 's2', rounds: 3 })
    await pickFrom(user, screen.getByLabelText('leads to'), 'the end')
    expect(route('s2')?.exits[0]).toEqual({ when: 'share < 1/2', to: 'end' })
  })

  it('says which way is never taken, and tries it sooner on one press', async () => {
    const paper = structuredClone(start)
    paper.sections[0]!.route = {
      exits: [
        { when: 'share < 1', to: 's2' },
        { when: 'q1 = 0', to: 's3' },
      ],
      else: 'end',
    }
    const says = (list: string[]) => list.map((one) => ({ to: '', says: one, exact: true, patterns: 4 }))
    const exits = [{ section: 's1', exits: says(['may', 'taken above', 'may']) }]
    const user = show(<Desk paper={paper} at="s1" said={{ ...proof, exits }} />)
    expect(screen.getAllByText(/never taken/)).toHaveLength(1)
    await user.click(screen.getByRole('button', { name: 'Try it sooner' }))
    expect(route('s1')?.exits.map((e) => e.to)).toEqual(['s3', 's2'])
  })

  it('mends a defect in one press where nothing has to be thought about', async () => {
    const defect = { message: 'This question is no longer in the bank.', blocks: true, where: 'b', mend: 'take out' }
    const user = show(<Desk at="s1" said={{ ...proof, defects: [defect, { ...defect, mend: null, where: 'a' }] }} />)
    expect(screen.getAllByRole('button', { name: 'Take it out' })).toHaveLength(1)
    await user.click(screen.getByRole('button', { name: 'Take it out' }))
    expect(now.sections[0]?.entries.map((e) => e.id)).toEqual(['src', 'a'])
  })

  it('removes a section with its selection, but not the last one', async () => {
    const user = show(<Desk at="s2" />)
    await user.click(screen.getByRole('button', { name: 'Remove the section' }))
    expect([now.sections.map((s) => s.id), selected]).toEqual([['s1', 's3'], null])
    await user.click(screen.getByRole('button', { name: /Further/ }))
    await user.click(screen.getByRole('button', { name: 'Remove the section' }))
    await user.click(screen.getByRole('button', { name: /First look/ }))
    expect(screen.queryByRole('button', { name: 'Remove the section' })).toBeNull()
  })

  it('asks when a skill counts as shown, and keeps the rest of the rule', async () => {
    const user = show(<Desk paper={{ ...start, mastery: { returns: 1, credits: ['1', '1/2'] } }} />)
    const choose = async (field: string, option: string) => {
      await user.click(screen.getByRole('combobox', { name: field }))
      await user.click(await screen.findByRole('option', { name: option }))
    }
    await choose('Until', 'its skill: so many right in a row')
    expect(now.mastery).toEqual({ returns: 1, credits: ['1', '1/2'], shown: { kind: 'streak', right: 3 } })
    await user.clear(screen.getByLabelText('Right in a row'))
    await user.type(screen.getByLabelText('Right in a row'), '4')
    await choose('Those with numbers of their own', 'come back with other numbers')
    await user.type(screen.getByLabelText('After at least so many other questions'), '{ArrowUp}{ArrowUp}')
    expect(now.mastery).toEqual({
      returns: 1,
      credits: ['1', '1/2'],
      shown: { kind: 'streak', right: 4 },
      otherNumbers: true,
      gap: 2,
    })
    await choose('Until', 'its skill: a share of the marks')
    await choose('Of the marks', '90 %')
    expect(now.mastery?.shown).toEqual({ kind: 'share', share: '9/10', answers: 5 })
    await choose('Until', 'its skill: most likely known')
    await user.click(screen.getByRole('button', { name: 'What it is reckoned with' }))
    const slip = await screen.findByLabelText('Slips though it is known')
    await user.clear(slip)
    await user.type(slip, '0.2')
    expect(now.mastery?.shown).toEqual({ kind: 'known', share: '19/20', slip: '0.2' })
    await choose('Until', 'each is right')
    await choose('Those with numbers of their own', 'come back with the same numbers')
    await user.type(screen.getByLabelText('After at least so many other questions'), '{ArrowDown}{ArrowDown}')
    expect(now.mastery).toEqual({ returns: 1, credits: ['1', '1/2'] })
  })

  it('gives every try of a mastery rule its share', async () => {
    const user = show(<Desk />)
    await user.click(screen.getByLabelText('Missed questions come back'))
    expect(now.mastery).toEqual({ returns: 2, credits: ['1', '1/2', '1/4'] })
    await pickFrom(user, screen.getByLabelText('At most'), 'three times')
    expect(now.mastery).toEqual({ returns: 3, credits: ['1', '1/2', '1/4', '1/4'] })
    await pickFrom(user, screen.getByLabelText('Try 4 earns'), 'no marks')
    expect(now.mastery?.credits).toEqual(['1', '1/2', '1/4', '0'])
    await pickFrom(user, screen.getByLabelText('At most'), 'once')
    expect(now.mastery).toEqual({ returns: 1, credits: ['1', '1/2'] })
    await user.click(screen.getByLabelText('Missed questions come back'))
    expect(now.mastery).toBeNull()
  })

  it('shows a rule that was written elsewhere as it is', () => {
    show(<Desk paper={{ ...start, mastery: { returns: 4, credits: ['1', '1/3'] } }} />)
    expect(screen.getByLabelText('At most').textContent).toBe('4 times')
    expect(screen.getByLabelText('Try 5 earns').textContent).toBe('1/3 of the marks')
  })

  it('reads the proof, and leads to each defect', async () => {
    const defects = [
      { message: 'The paper has no title.', blocks: true, where: '' },
      { message: 'Section "Further" has no question.', blocks: false, where: 's3' },
    ]
    const said = { ...proof, defects: defects as never[], leastPoints: '3/10', leastQuestions: 1 }
    const user = show(<Desk said={said} />)
    expect(screen.getByText('0.3 to 1.3 marks, 1 to 3 questions over all routes.')).toBeTruthy()
    await user.click(screen.getByRole('button', { name: '✕ The paper has no title.' }))
    expect(selected).toBeNull()
    await user.click(screen.getByRole('button', { name: /no question/ }))
    expect(selected).toBe('s3')
    expect(screen.queryByText('✓ No defects.')).toBeNull()
  })

  it('has one mark and one question in the singular', () => {
    show(
      <Desk said={{ ...proof, leastPoints: '1', mostPoints: '1', leastQuestions: 1, mostQuestions: 1, exits: [] }} />,
    )
    expect(screen.getByText('1 mark, 1 question over all routes.')).toBeTruthy()
    expect(screen.getByText('✓ No defects.')).toBeTruthy()
  })
})

describe('A draw of some questions', () => {
  it('is set for a section, spread over something, with pinned questions besides', async () => {
    const user = show(<Desk at="s1" />)
    await pickFrom(user, screen.getByRole('combobox', { name: 'Each student gets' }), 'some of them, drawn')
    expect(now.sections[0]?.drawing).toEqual({ count: 1, by: 'chance' })
    await pickFrom(user, screen.getByRole('combobox', { name: 'Spread over' }), 'their skills')
    expect(within(screen.getByRole('navigation')).getByRole('button', { name: /First look/ }).textContent).toContain(
      '1 of 2',
    )
    await user.click(within(screen.getByRole('navigation')).getByRole('button', { name: /1 Low water/ }))
    await user.click(screen.getByRole('checkbox', { name: 'Pinned: every student gets it, at this place' }))
    expect(now.sections[0]?.entries[1]).toMatchObject({ pinned: true })
    expect(screen.getByText('Pinned questions come besides.')).toBeTruthy()
    await pickFrom(user, screen.getByRole('combobox', { name: 'Each student gets' }), 'all its questions')
    expect(now.sections[0]?.drawing).toBeUndefined()
  })

  it('is not offered where there is nothing to draw from', () => {
    show(<Desk at="s2" />)
    expect(screen.queryByRole('combobox', { name: 'Each student gets' })).toBeNull()
  })
})

describe('On paper', () => {
  it('a question or a source may begin a new page', async () => {
    const user = show(<Desk at="src" />)
    await user.click(screen.getByRole('checkbox', { name: 'On paper it begins a new page' }))
    expect(now.sections[0]?.entries[0]).toMatchObject({ breaks: true })
  })
})
