import { act, fireEvent, screen, within } from '@testing-library/react'
import { useState } from 'react'
import { beforeAll, beforeEach, describe, expect, it, vi } from 'vitest'
import { loadInputs } from '@/answers/registry'
import { placeOf } from '@/media/place'
import { show } from '@/testing/page'
import { sitting as view, step } from '@/testing/sitting'
import { SitScreen, type Driver } from './SitScreen'
import { keyOf, type Step, type Value } from './store'

const MEDIA = placeOf('/api/me/files', null, 'test')
const done: string[] = []
/** A sitting whose server settles what it is asked to settle, unless it cannot be reached. */
function Sitting({ first, reached = true }: { first: Driver['view']; reached?: boolean }) {
  const [now, setNow] = useState(first)
  const [values, setValues] = useState(() => new Map<string, Value>())
  const settled = (s: Step): Step => ({
    ...s,
    settled: true,
    open: false,
    value: values.get(keyOf('s1', s.entry, s.try)) ?? null,
  })
  const settle = (it: Step) => {
    done.push(`settle ${it.entry}`)
    if (reached) setNow({ ...now, steps: now.steps.map((s) => (s.entry === it.entry ? settled(s) : s)) })
    return Promise.resolve()
  }
  const note = (what: string) => () => (done.push(what), Promise.resolve())
  return (
    <SitScreen
      driver={{
        view: now,
        values,
        sure: new Map(),
        workings: new Map(),
        line: 'kept',
        busy: false,
        media: MEDIA,
        answer: (s, value) => setValues((old) => new Map(old).set(keyOf('s1', s.entry, s.try), value)),
        saySure: vi.fn(),
        showWorking: vi.fn(),
        moveTo: (s) => void done.push(`at ${s?.entry ?? 'none'}`),
        settle,
        hint: (s) => note(`hint ${s.entry}`)(),
        goOn: note('go on'),
        handIn: note('hand in'),
      }}
    />
  )
}
const sit = (change: Partial<Driver['view']>, reached = true) =>
  show(<Sitting first={view(change)} reached={reached} />)
const button = (name: string | RegExp) => screen.getByRole('button', { name })
const scrolled = vi.fn()

beforeAll(async () => {
  Element.prototype.scrollIntoView = scrolled
  await loadInputs(['choice', 'number'])
})
beforeEach(() => {
  done.length = 0
  scrolled.mockClear()
})

describe('A worksheet at work', () => {
  const pages = { wholePage: true, steps: [step(1), step(2), step(3, { begins: true }), step(4)] }

  it('has the questions of a page together, each answered where it stands', async () => {
    const user = sit(pages)
    const one = within(await screen.findByRole('article', { name: 'Question 1' }))
    const two = within(screen.getByRole('article', { name: 'Question 2' }))
    expect(screen.getAllByRole('article')).toHaveLength(2)
    expect(screen.getByRole('heading', { level: 1 }).textContent).toBe('First look · page 1 of 2')
    await user.click(two.getByRole('radio', { name: 'Green' }))
    expect(two.getByRole('radio', { name: 'Green', checked: true })).toBeTruthy()
    expect(one.queryByRole('radio', { checked: true })).toBeNull()
    // What has the student's attention is where they are, for the Lookout and for the time it takes.
    expect(done).toEqual(['at e1', 'at e2'])
    expect(button('Question 2, answered').getAttribute('aria-current')).toBe('step')

    await user.click(button('Page 2'))
    expect(screen.getAllByRole('article').map((a) => a.id)).toEqual(['q-e3-1', 'q-e4-1'])
    await user.click(button('Page 1'))
    expect(
      within(screen.getByRole('article', { name: 'Question 2' })).getByRole('radio', { name: 'Green', checked: true }),
    ).toBeTruthy()
  })

  it('goes to a question on another page, and to where the student was', async () => {
    const user = sit({ ...pages, at: 'e2' })
    await screen.findByRole('article', { name: 'Question 2' })
    expect(scrolled.mock.contexts.map((e) => (e as Element).id)).toEqual(['q-e2-1'])
    await user.click(button('Question 4, not answered'))
    expect(scrolled.mock.contexts.map((e) => (e as Element).id)).toEqual(['q-e2-1', 'q-e4-1'])
    await user.click(button('Look over'))
    expect(screen.getByText('4 questions without an answer.')).toBeTruthy()
    await user.click(screen.getAllByRole('button', { name: /no answer yet/ })[1] as Element)
    expect(await screen.findByRole('article', { name: 'Question 2' })).toBeTruthy()
  })

  it('opens hints and checks at the question they belong to', async () => {
    const face = { ...step(1).face, hints: ['1'] } as Step['face']
    const user = sit({ wholePage: true, settles: true, steps: [step(1), step(2, { face })] })
    const two = within(await screen.findByRole('article', { name: 'Question 2' }))
    expect(screen.getAllByRole('button', { name: /^Hint/ })).toHaveLength(1)
    await user.click(two.getByRole('button', { name: 'Hint, costs 1 mark' }))
    expect(screen.queryByRole('button', { name: 'Check' })).toBeNull()
    await user.click(two.getByRole('radio', { name: 'Red' }))
    await user.click(two.getByRole('button', { name: 'Check' }))
    expect(done.filter((d) => !d.startsWith('at'))).toEqual(['hint e2', 'settle e2'])
  })
})

describe('Questions in order', () => {
  const three = { inOrder: true, steps: [step(1), step(2), step(3)] }

  it('are left for good, one after the other', async () => {
    const user = sit(three)
    expect(screen.queryByRole('button', { name: 'Back' })).toBeNull()
    expect(button('Question 3, not answered')).toHaveProperty('disabled', true)
    await user.click(screen.getByRole('radio', { name: 'Red' }))
    await user.click(button('Next'))
    expect(screen.getByRole('heading', { level: 1 }).textContent).toBe('2')
    // Nothing is left blank by a slip of the hand.
    await user.click(button('Leave it'))
    expect(screen.getByRole('heading', { level: 1 }).textContent).toBe('2')
    await user.click(button('Leave it for good'))
    expect(screen.getByRole('heading', { level: 1 }).textContent).toBe('3')
    await user.click(screen.getByRole('radio', { name: 'Green' }))
    await user.click(button('Next'))
    expect(await screen.findByRole('heading', { name: 'Look over' })).toBeTruthy()
    expect(screen.queryByRole('button', { name: /change|see|Back/ })).toBeNull()
    await user.click(button('Hand in'))
    expect(done.filter((d) => !d.startsWith('at'))).toEqual(['settle e1', 'settle e2', 'settle e3', 'hand in'])
  })

  it('stay where they are while the server cannot be reached', async () => {
    const user = sit(three, false)
    await user.click(screen.getByRole('radio', { name: 'Red' }))
    await user.click(button('Next'))
    expect(done.at(-1)).toBe('settle e1')
    expect(screen.getByRole('heading', { level: 1 }).textContent).toBe('1')
    expect(screen.getByRole('radio', { name: 'Red', checked: true })).toBeTruthy()
  })

  it('go on after a reload with the first that is not left', () => {
    const left = { settled: true, open: false }
    sit({ ...three, at: 'e1', steps: [step(1, left), step(2, left), step(3)] })
    expect(screen.getByRole('heading', { level: 1 }).textContent).toBe('3')
  })

  it('lead to the end after a reload where all are left', () => {
    const left = { settled: true, open: false }
    sit({ ...three, at: 'e1', steps: [step(1, left), step(2, left)] })
    expect(screen.getByRole('heading', { level: 1 }).textContent).toBe('2')
    expect(button('Look over')).toBeTruthy()
  })
})

describe('A part with nothing in it', () => {
  it('is left by the student, never by itself', () => {
    sit({ steps: [], mayGoOn: true })
    expect(button('Go on')).toBeTruthy()
    expect(done).not.toContain('go on')
  })
})

describe('Pasting', () => {
  const paste = (into: Element) => {
    const event = new Event('paste', { bubbles: true, cancelable: true })
    act(() => void into.dispatchEvent(event))
    return event.defaultPrevented
  }

  it('is refused with a word where it is off, and nowhere else', async () => {
    const number = view().steps[1] as Step
    sit({ pasting: false, steps: [number] })
    expect(paste(await screen.findByRole('textbox'))).toBe(true)
    expect(await screen.findAllByText(/Pasting is off in this work/)).not.toEqual([])
    expect(paste(screen.getByRole('heading', { level: 1 }))).toBe(false)
    expect(fireEvent.drop(screen.getByRole('textbox'))).toBe(false)
  })

  it('works where nothing is said of it', async () => {
    const number = view().steps[1] as Step
    sit({ steps: [number] })
    expect(paste(await screen.findByRole('textbox'))).toBe(false)
  })
})

describe('Working that is wanted', () => {
  const asks = () => {
    const number = view().steps[1] as Step
    return { ...number, face: number.face && { ...number.face, asksWorking: true }, value: { text: '4' } }
  }

  it('keeps what has none from being handed in, and says where it is missing', async () => {
    const user = sit({ needsWorking: true, steps: [asks()] })
    await user.click(await screen.findByRole('button', { name: 'Look over' }))
    expect(await screen.findByText('working is missing')).toBeTruthy()
    expect((screen.getByRole('button', { name: 'Hand in' }) as HTMLButtonElement).disabled).toBe(true)
  })

  it('is not missed where it is there, or nobody wants it', async () => {
    const shown = { ...asks(), working: { strokes: [], files: [], text: 'I took low from high.' } }
    for (const change of [{ needsWorking: true, steps: [shown] }, { steps: [asks()] }]) {
      const user = sit(change)
      await user.click((await screen.findAllByRole('button', { name: 'Look over' })).at(-1) as HTMLElement)
      const handIn = (await screen.findAllByRole('button', { name: 'Hand in' })).at(-1) as HTMLButtonElement
      expect(handIn.disabled).toBe(false)
    }
  })
})
