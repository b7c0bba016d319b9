import { act, cleanup, screen, waitFor } from '@testing-library/react'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import type { Schemas } from '@/lib/api/client'
import { show } from '@/testing/page'
import { bodies, Refusal, serve } from '@/testing/server'
import { useDraft } from './useDraft'

const paper = (title: string): Schemas['Paper'] => ({ version: 1, title, mastery: null, sections: [] })
const stored = (title: string, version: number): Schemas['PaperPaperView'] => ({
  id: 'p1',
  paper: paper(title),
  version,
  items: {},
  proof: {
    defects: [],
    mayPublish: true,
    mastery: '',
    leastPoints: '0',
    mostPoints: '0',
    leastQuestions: 0,
    mostQuestions: 0,
    exits: [],
  },
  editionId: null,
  edition: null,
  ahead: false,
  changed: [],
  savedAt: '',
})
let draft: ReturnType<typeof useDraft>
function Desk() {
  draft = useDraft(stored('One', 1))
  return (
    <p>
      {draft.paper.title}: {draft.save.kind}
    </p>
  )
}
const write = (title: string) => act(() => draft.change((old) => ({ ...old, title })))
const sentTitles = () =>
  bodies('PUT', '/api/papers/p1').map((b) => [
    (b as { paper: { title: string } }).paper.title,
    (b as { version: number }).version,
  ])
const pause = (ms: number) => act(() => vi.advanceTimersByTimeAsync(ms))

beforeEach(() => void vi.useFakeTimers({ shouldAdvanceTime: true }))
afterEach(() => void vi.useRealTimers())

describe('A draft', () => {
  it('saves itself after a pause, the last state alone', async () => {
    serve({
      'PUT /api/papers/p1': ({ body }: { body: unknown }) =>
        stored((body as { paper: { title: string } }).paper.title, (body as { version: number }).version + 1),
    })
    show(<Desk />)
    await write('Tw')
    await pause(300)
    await write('Two')
    expect(screen.getByText('Two: unsaved')).toBeTruthy()
    expect(sentTitles()).toEqual([])
    await pause(800)
    await waitFor(() => expect(screen.getByText('Two: saved')).toBeTruthy())
    expect(sentTitles()).toEqual([['Two', 1]])
  })

  it('sends one save at a time, each with the version the one before made', async () => {
    let let1: (() => void) | undefined
    serve({
      'PUT /api/papers/p1': async ({ body }: { body: unknown }) => {
        const b = body as { paper: { title: string }; version: number }
        if (b.version === 1) await new Promise<void>((done) => (let1 = done))
        return stored(b.paper.title, b.version + 1)
      },
    })
    show(<Desk />)
    await write('Two')
    await pause(800)
    await write('Three')
    await pause(800)
    expect(sentTitles()).toEqual([['Two', 1]])
    await act(async () => let1?.())
    await waitFor(() => expect(screen.getByText('Three: saved')).toBeTruthy())
    expect(sentTitles()).toEqual([
      ['Two', 1],
      ['Three', 2],
    ])
  })

  it('waits when somebody else has saved the same, and keeps what was written', async () => {
    serve({
      'PUT /api/papers/p1': new Refusal(409, 'Somebody saved this paper before you.'),
      'GET /api/papers/p1': stored('Theirs', 9),
    })
    show(<Desk />)
    await write('Mine')
    await pause(800)
    await waitFor(() => expect(screen.getByText('Mine: apart')).toBeTruthy())
    await write('Mine too')
    await pause(2000)
    expect(screen.getByText('Mine too: apart')).toBeTruthy()
    expect(sentTitles()).toHaveLength(1)
  })

  it('tries again after a lost connection', async () => {
    let down = true
    serve({ 'PUT /api/papers/p1': () => (down ? Promise.reject(new TypeError('network')) : stored('Two', 2)) })
    show(<Desk />)
    await write('Two')
    await pause(800)
    await waitFor(() => expect(screen.getByText('Two: failed')).toBeTruthy())
    down = false
    await act(async () => void (await draft.flush()))
    await waitFor(() => expect(screen.getByText('Two: saved')).toBeTruthy())
  })

  it('saves before it publishes, and publishes that version', async () => {
    serve({
      'PUT /api/papers/p1': stored('Two', 7),
      'POST /api/papers/p1/publish': { ...stored('Two', 7), edition: 1, editionId: 'x' },
    })
    show(<Desk />)
    await write('Two')
    await act(async () => void (await draft.publish()))
    expect(bodies('POST', '/api/papers/p1/publish')).toEqual([{ version: 7 }])
    expect(draft.view.edition).toBe(1)
  })

  it('undoes and redoes, and a new change ends what could be redone', async () => {
    serve({
      'PUT /api/papers/p1': ({ body }: { body: unknown }) =>
        stored((body as { paper: { title: string } }).paper.title, 2),
    })
    show(<Desk />)
    await write('Two')
    await act(() => draft.undo())
    expect(draft.paper.title).toBe('One')
    await act(() => draft.redo())
    expect(draft.paper.title).toBe('Two')
    await act(() => draft.undo())
    await write('Other')
    expect([draft.canUndo, draft.canRedo]).toEqual([true, false])
  })

  it('undoes and redoes after a reload too, but not over what a colleague has saved', async () => {
    serve({
      'PUT /api/papers/p1': ({ body }: { body: unknown }) =>
        stored((body as { paper: { title: string } }).paper.title, (body as { version: number }).version + 1),
    })
    let now = stored('One', 1)
    function Again() {
      draft = useDraft(now)
      return <p>{`${draft.paper.title}: ${draft.save.kind}`}</p>
    }
    const reload = async (view: Schemas['PaperPaperView']) => {
      cleanup()
      now = view
      show(<Again />)
      await pause(0)
    }
    await reload(now)
    for (const title of ['Two', 'Three']) {
      await write(title)
      await pause(2000)
    }
    await waitFor(() => expect(screen.getByText('Three: saved')).toBeTruthy())

    await reload(stored('Three', 3))
    expect(draft.canUndo).toBe(true)
    await act(async () => draft.undo())
    expect(screen.getByText(/^Two/)).toBeTruthy()
    await pause(2000)
    await waitFor(() => expect(screen.getByText('Two: saved')).toBeTruthy())
    await reload(stored('Two', 4))
    await act(async () => draft.redo())
    expect(screen.getByText(/^Three/)).toBeTruthy()
    await act(async () => draft.undo())
    await pause(2000)

    await reload(stored('Theirs', 9))
    expect([draft.canUndo, draft.canRedo]).toEqual([false, false])
    expect(screen.getByText('Theirs: saved')).toBeTruthy()
  })
})
