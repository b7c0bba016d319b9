import { cleanup, screen, waitFor, within } from '@testing-library/react'
import { useState } from 'react'
import { beforeAll, beforeEach, describe, expect, it, vi } from 'vitest'
import { loadInputs } from '@/answers/registry'
import { show } from '@/testing/page'
import { serve } from '@/testing/server'
import { face, sitting as view, step } from '@/testing/sitting'
import { placeOf } from '@/media/place'
import { SitScreen, type Driver } from './SitScreen'
import { keyOf, type Step, type Value } from './store'

const acts = {
  saySure: vi.fn(),
  showWorking: vi.fn(),
  moveTo: vi.fn(),
  settle: vi.fn(),
  hint: vi.fn(),
  goOn: vi.fn(),
  handIn: vi.fn(),
}
const answers: [string, Value][] = []
function Sitting({ view: given }: { view: Driver['view'] }) {
  const [values, setValues] = useState(() => new Map<string, Value>())
  const answer = (s: Step, value: Value) => {
    answers.push([s.entry, value])
    setValues((old) => new Map(old).set(keyOf(given.id, s.entry, s.try), value))
  }
  return (
    <SitScreen
      driver={{
        ...acts,
        view: given,
        values,
        sure: new Map(),
        workings: new Map(),
        line: 'kept',
        busy: false,
        media: placeOf('/api/me/files', null, 'test'),
        answer,
      }}
    />
  )
}
function Mended({ before, after }: { before: Driver['view']; after: Driver['view'] }) {
  const [done, setDone] = useState(false)
  return (
    <>
      <Sitting view={done ? after : before} />
      <button onClick={() => setDone(true)}>Mend it</button>
    </>
  )
}
const sit = (change: Partial<Driver['view']> = {}) => show(<Sitting view={view(change)} />)
const button = (name: string | RegExp) => screen.getByRole('button', { name })

beforeEach(() => {
  vi.clearAllMocks()
  answers.length = 0
})

beforeAll(() => loadInputs(['choice', 'number']))

describe('A student at work', () => {
  it('stays at the question when the paper is mended around it, and is told that it has changed', async () => {
    const first = view()
    const [one, two] = [first.steps[0] as Step, first.steps[1] as Step]
    const user = show(
      <Mended
        before={first}
        after={{ ...first, steps: [one, { ...one, entry: 'new', number: 2 }, { ...two, number: 3, mended: true }] }}
      />,
    )
    await user.click(button('Leave for now'))
    expect(screen.getByRole('heading', { level: 1 }).textContent).toBe('2')
    await user.click(button('Mend it'))
    expect(screen.getByRole('heading', { level: 1 }).textContent).toBe('3')
    expect(await screen.findByText(/has changed this question since you answered it/)).toBeTruthy()
  })

  it('sees one question at a time and may leave it for now', async () => {
    const user = sit()
    expect(screen.getByText('Which buoy?')).toBeTruthy()
    expect(screen.queryByText('m')).toBeNull()
    expect(screen.getAllByRole('radio')).toHaveLength(2)
    await user.click(button('Leave for now'))
    expect(screen.getByText('m')).toBeTruthy()
    expect(screen.queryByRole('radio')).toBeNull()
    await user.click(button('Back'))
    expect(screen.getAllByRole('radio')).toHaveLength(2)
    expect(acts.moveTo.mock.calls.map(([s]) => (s as Step).entry)).toEqual(['e1', 'e2', 'e1'])
  })

  it('sees what the mastery rule still wants of the skill at hand, and of all when looking over', async () => {
    const user = sit({
      rules: 'A skill counts as shown with 2 right in a row.',
      skills: [
        { name: 'Chart scale', wanted: '2 more right in a row', isShown: false, entries: ['e1'] },
        { name: 'Rule of twelfths', wanted: 'shown', isShown: true, entries: ['e2'] },
      ],
    })
    expect(screen.getByText('Chart scale:').parentElement?.textContent).toBe('Chart scale: 2 more right in a row')
    await user.click(button('Leave for now'))
    expect(screen.queryByText('Chart scale:')).toBeNull()
    await user.click(button('Look over'))
    const shown = within(screen.getByRole('region', { name: 'What you have shown' }))
    expect(shown.getByText('A skill counts as shown with 2 right in a row.')).toBeTruthy()
    expect(shown.getAllByRole('listitem').map((li) => li.textContent)).toEqual([
      'Chart scale2 more right in a row',
      'Rule of twelfths✓ shown',
    ])
  })

  it('answers by keyboard alone, and the next button is ready', async () => {
    const user = sit()
    await user.tab()
    await user.tab()
    await user.tab()
    await user.tab()
    await user.keyboard(' ')
    expect(answers).toEqual([['e1', { options: ['a'] }]])
    await user.click(screen.getByLabelText(/Green/))
    expect(answers.at(-1)).toEqual(['e1', { options: ['b'] }])
    await user.click(button('Next'))
    await user.type(screen.getByLabelText(/Your answer to question 2/), '3.9')
    expect(answers.at(-1)).toEqual(['e2', { text: '3.9' }])
  })

  it('picks several where several are right, and takes a pick back', async () => {
    const user = sit({ steps: [step(1, { face: face({ several: true }) })] })
    await user.click(screen.getByLabelText(/Red/))
    await user.click(screen.getByLabelText(/Green/))
    await user.click(screen.getByLabelText(/Red/))
    expect(answers.map(([, v]) => v)).toEqual([{ options: ['a'] }, { options: ['a', 'b'] }, { options: ['b'] }])
  })

  it('looks over what is missing before handing in', async () => {
    const user = sit()
    await user.click(screen.getByLabelText(/Red/))
    await user.click(button('Next'))
    await user.click(button('Look over'))
    expect(screen.getByText(/1 question without an answer/)).toBeTruthy()
    expect(acts.handIn).not.toHaveBeenCalled()
    await user.click(within(screen.getAllByRole('listitem')[1]!).getByRole('button'))
    await user.type(screen.getByLabelText(/Your answer to question 2/), '2')
    await user.click(button('Look over'))
    expect(screen.getByText(/Every question here has an answer/)).toBeTruthy()
    await user.click(button('Hand in'))
    expect(acts.handIn).toHaveBeenCalledOnce()
  })

  it('is told that a part cannot be gone back to, though nothing is missing in it', async () => {
    const user = sit({ mayGoOn: true, steps: [step(1)] })
    await user.click(screen.getByLabelText(/Red/))
    await user.click(button('Go on'))
    expect(acts.goOn).not.toHaveBeenCalled()
    expect(screen.getByText(/You cannot come back to this part/)).toBeTruthy()
    await user.click(button('Go on'))
    expect(acts.goOn).toHaveBeenCalledOnce()
    expect(acts.handIn).not.toHaveBeenCalled()
  })

  it('goes on at once when nothing could be changed any more', async () => {
    const user = sit({ mayGoOn: true, steps: [step(1, { open: false, settled: true, value: { options: ['a'] } })] })
    await user.click(button('Go on'))
    expect(acts.goOn).toHaveBeenCalledOnce()
  })

  it('checks an answer only once there is one, where answers are told at once', async () => {
    const user = sit({ settles: true, steps: [step(1), step(2)] })
    expect(screen.queryByRole('button', { name: 'Check' })).toBeNull()
    await user.click(screen.getByLabelText(/Green/))
    await user.click(button('Check'))
    expect((acts.settle.mock.calls[0]?.[0] as Step).entry).toBe('e1')
  })

  it('reads what it is told in words, and cannot change a settled answer', async () => {
    const told = {
      verdict: 'wrong',
      feedback: 'That is the port hand.',
      key: null,
      explanation: null,
      marks: '0',
      comment: '',
      levels: [],
      picture: null,
    }
    sit({ settles: true, steps: [step(1, { open: false, settled: true, value: { options: ['b'] }, told })] })
    const line = (await screen.findByText('Not right')).closest('[role=status]') as HTMLElement
    expect(within(line).getByText('That is the port hand.')).toBeTruthy()
    expect(within(line).getByText(/0 of 1 mark/)).toBeTruthy()
    expect((screen.getByRole('group') as HTMLFieldSetElement).disabled).toBe(true)
    expect((screen.getByLabelText(/Green/) as HTMLInputElement).checked).toBe(true)
  })

  it('says how sure they are once there is an answer, where that is asked', async () => {
    const user = sit({ steps: [step(1, { face: face({ asksConfidence: true }) }), step(2)] })
    expect(screen.queryByRole('group', { name: 'How sure are you?' })).toBeNull()
    await user.click(screen.getByLabelText(/Green/))
    await user.click(screen.getByRole('radio', { name: 'fairly sure' }))
    expect(acts.saySure.mock.calls.map(([s, level]) => [(s as Step).entry, level])).toEqual([['e1', 2]])
    await user.click(button('Next'))
    await user.click(screen.getByLabelText(/Red/))
    expect(screen.queryByRole('group', { name: 'How sure are you?' })).toBeNull()
  })

  it('finds again how sure they said they were, and cannot change it once it is settled', () => {
    sit({
      steps: [step(1, { face: face({ asksConfidence: true }), value: { options: ['a'] }, confidence: 3, open: false })],
    })
    const sure = screen.getByRole('radio', { name: 'sure' }) as HTMLInputElement
    expect(sure.checked).toBe(true)
    expect((screen.getByRole('group', { name: 'How sure are you?' }) as HTMLFieldSetElement).disabled).toBe(true)
  })

  it('tells where they are, and that no question is before them while they look over', async () => {
    const user = sit({ steps: [step(1)] })
    await user.click(screen.getByLabelText(/Red/))
    await user.click(button('Look over'))
    expect(acts.moveTo.mock.calls.map(([s]) => (s as Step | null)?.entry ?? null)).toEqual(['e1', null])
  })

  it('opens a hint when asked, and offers none where there is none', async () => {
    const user = sit({ steps: [step(1, { face: face({ hints: ['0', '0.5'] }) }), step(2)] })
    await user.click(button('Hint'))
    expect(acts.hint).toHaveBeenCalledOnce()
    await user.click(button('Leave for now'))
    expect(screen.queryByRole('button', { name: 'Hint' })).toBeNull()
  })

  it('says what another hint would cost before it is opened, and none when all are', async () => {
    const open = face({ hints: ['0', '0.5'] })
    const user = sit({
      steps: [
        step(1, { face: open, hints: ['<p>Look at the scale.</p>'] }),
        step(2, { face: open, hints: ['<p>a</p>', '<p>b</p>'] }),
      ],
    })
    expect(screen.getByText('Look at the scale.')).toBeTruthy()
    await user.click(button('Another hint, costs 0.5 marks'))
    expect(acts.hint).toHaveBeenCalledOnce()
    await user.click(button('Leave for now'))
    expect(screen.getByText('Hint 2')).toBeTruthy()
    expect(screen.queryByRole('button', { name: /hint/i })).toBeNull()
  })

  it('opens a page to go back to beside the question', async () => {
    const goBack = { title: 'lesson 4', text: '<p>Twelfths: 1, 2, 3, 3, 2, 1.</p>' }
    const user = sit({ steps: [step(1, { face: face({ goBack }) })] })
    expect(screen.queryByText(/Twelfths/)).toBeNull()
    await user.click(await screen.findByRole('button', { name: 'Go back to lesson 4' }))
    expect(screen.getByText(/Twelfths/)).toBeTruthy()
  })

  const chart = {
    entry: 'chart',
    title: 'The chart',
    html: '<p>Soundings in metres</p>',
    picture: 'f1',
    alt: 'Kelpwick harbour chart',
    file: null,
    stops: false,
    glossary: [],
    inOrder: false,
    link: null,
    pieces: [],
  }
  it('reads a source that no question is read with by itself, with its picture described', async () => {
    sit({ sources: [chart], steps: [step(0, { entry: 'chart', face: null, isSource: true })] })
    expect(screen.getByRole('heading', { name: 'The chart' })).toBeTruthy()
    const picture = await screen.findByAltText('Kelpwick harbour chart')
    expect(picture.getAttribute('src')).toBe('/api/me/files/f1')
  })

  it('tells what a section asks for before its first question, and again for whoever wants it', async () => {
    const user = sit({ instructions: '<p>No calculator here.</p>', steps: [step(1), step(2)] })
    expect(await screen.findByText('No calculator here.')).toBeTruthy()
    await user.click(button(/^(Next|Leave for now)/))
    expect(screen.queryByText('No calculator here.')).toBeNull()
    await user.click(button(/Before you begin/))
    expect(screen.getByText('No calculator here.')).toBeTruthy()
  })

  it('shows where in its source a question looks; a stop there brings the question', async () => {
    const lines = '<ol data-lines=""><li><p>Ebb at six</p></li><li><p>Flood at noon</p></li></ol>'
    const user = sit({
      sources: [{ ...chart, html: lines }],
      steps: [
        step(0, { entry: 'chart', face: null, isSource: true }),
        step(1, { beside: ['chart'], looksAt: { source: 'chart', from: 2, to: 2 } }),
        step(2, { beside: ['chart'] }),
      ],
    })
    expect((await screen.findByText('Flood at noon')).closest('li')?.hasAttribute('data-here')).toBe(true)
    expect(await screen.findByRole('button', { name: 'Look at line 2 of The chart' })).toBeTruthy()
    await user.click(button(/^(Next|Leave for now)/))
    expect(screen.getByText('Flood at noon').closest('li')?.hasAttribute('data-here')).toBe(false)
    // Folded for the second question, it opens for whoever wants to look.
    await user.click(button('Back'))
    await user.click(screen.getByRole('button', { name: /fold|read/ }))
    await user.click(screen.getByRole('button', { name: 'Look at line 2 of The chart' }))
    expect(screen.getByRole('button', { name: /The chart/, expanded: true })).toBeTruthy()
  })

  it('answers on a page of a PDF where the mark stands, the same as beside it', async () => {
    serve({
      'GET /api/me/files': {
        files: [{ id: 'pdf1', kind: 'pdf', name: 'sheet', mediaType: '', size: 1, width: 7, height: 9, pages: 1 }],
      },
    })
    const at = (x: number, y: number) => ({ beside: ['chart'], looksAt: { source: 'chart', x, y, page: 1 } })
    const [, numbered] = view().steps
    const user = sit({
      sources: [{ ...chart, picture: null, file: 'pdf1' }],
      steps: [
        step(0, { entry: 'chart', face: null, isSource: true }),
        step(1, at(100, 200)),
        { ...numbered!, ...at(900, 400) },
      ],
    })
    const options = within(await screen.findByRole('group', { name: 'Answer to question 1, on the page' }))
    await user.click(options.getByRole('radio', { name: 'Green' }))
    expect(answers.at(-1)).toEqual(['e1', { options: ['b'] }])
    // Whoever presses a mark is at its question, and writes there.
    await user.click(button('Question 2 on the page, not answered'))
    expect(button(/^Question 2,/).getAttribute('aria-current')).toBe('step')
    const line = await screen.findByRole('textbox', { name: 'Answer to question 2, on the page' })
    await waitFor(() => expect(document.activeElement).toBe(line))
    await user.keyboard('2')
    expect(answers.at(-1)).toEqual(['e2', { text: '2' }])
    expect(screen.getByLabelText(/Your answer to question 2/)).toHaveProperty('value', '2')
    await user.click(button('Question 1 on the page, answered'))
    const beside = within(screen.getByRole('group', { name: 'Pick one' }))
    expect(beside.getByRole('radio', { name: 'Green' })).toHaveProperty('checked', true)
  })

  it('has a source beside every question that is read with it, and no step of its own for it', async () => {
    const beside = ['chart']
    const user = sit({
      sources: [chart],
      steps: [
        step(0, { entry: 'chart', face: null, isSource: true }),
        step(1, { beside }),
        step(2, { beside }),
        step(3),
      ],
    })
    expect(screen.getByRole('heading', { level: 1 }).textContent).toBe('1')
    expect(await screen.findByRole('region', { name: 'The chart' })).toBeTruthy()
    // On a phone it is open for the first question, and folded for the second until it is wanted.
    expect(button(/The chart/).getAttribute('aria-expanded')).toBe('true')
    await user.click(button(/Question 2/))
    expect(screen.getByAltText('Kelpwick harbour chart')).toBeTruthy()
    expect(button(/The chart/).getAttribute('aria-expanded')).toBe('false')
    await user.click(button(/The chart/))
    expect(button(/The chart/).getAttribute('aria-expanded')).toBe('true')
    await user.click(button(/Question 3/))
    expect(screen.queryByAltText('Kelpwick harbour chart')).toBeNull()
  })

  it('has what the student’s support gives, and nothing of it for others', async () => {
    const support = { readAloud: true, largerText: true, lineFocus: true, wordNotes: true }
    const told = { word: 'ebb', meaning: 'the tide going out' }
    const spoken: string[] = []
    vi.stubGlobal(
      'SpeechSynthesisUtterance',
      class {
        onend: () => void = () => undefined
        constructor(readonly text: string) {}
      },
    )
    vi.stubGlobal('speechSynthesis', {
      cancel: () => undefined,
      speak: (said: { text: string; onend: () => void }) => {
        spoken.push(said.text.trim())
        said.onend()
      },
    })
    const user = sit({
      support,
      sources: [{ ...chart, html: '<p>After the ebb.</p>', glossary: [told] }],
      steps: [step(0, { entry: 'chart', face: null, isSource: true }), step(1, { beside: ['chart'] })],
    })
    expect(button('Smallest text')).toBeTruthy()
    expect(await screen.findByText('the tide going out')).toBeTruthy()
    await user.click(await screen.findByRole('button', { name: 'Read it to me' }))
    expect(spoken).toEqual(['Which buoy?', 'Pick one', 'Red', 'Green'])
    await user.click(button('Read the source to me'))
    expect(spoken).toContain('After the ebb.')
    const band = screen.getByRole('slider', { name: /light band/ })
    const before = Number(band.getAttribute('aria-valuenow'))
    band.focus()
    await user.keyboard('{ArrowDown}')
    expect(Number(band.getAttribute('aria-valuenow'))).toBeGreaterThan(before)
    await user.click(button('Light the whole page'))
    expect(screen.queryByRole('slider')).toBeNull()
    vi.unstubAllGlobals()
    cleanup()
    sit({ sources: [chart] })
    expect(button('Larger text')).toBeTruthy()
    expect(screen.queryByRole('button', { name: 'Read it to me' })).toBeNull()
  })

  it('sets its own text size, and finds it again', async () => {
    const user = sit()
    await user.click(button('Larger text'))
    await user.click(button('Larger text'))
    expect(button('Smallest text')).toBeTruthy()
    expect(localStorage.getItem('chalk.size')).toBe('2')
  })

  it('starts at the question it was at', () => {
    sit({ at: 'e2' })
    expect(screen.getByLabelText(/Your answer to question 2/)).toBeTruthy()
    expect(screen.getByRole('button', { name: 'Question 2, not answered' }).getAttribute('aria-current')).toBe('step')
  })
})
