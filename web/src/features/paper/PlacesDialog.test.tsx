import { cleanup, screen, waitFor, within } from '@testing-library/react'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { pickFrom, show } from '@/testing/page'
import { bodies, Refusal, serve, serveAlso } from '@/testing/server'
import { MediaProvider } from '@/media/place'
import { type Paper } from './draft'
import { PlacesDialog } from './PlacesDialog'

const paper: Paper = {
  version: 1,
  title: 'Sheet',
  mastery: null,
  sections: [
    {
      id: 's1',
      title: 'All',
      route: null,
      entries: [
        { id: 'src', kind: 'source', source: { title: 'Old sheet', html: '', picture: null, alt: '', file: 'f1' } },
        { id: 'a', kind: 'question', item: 'i1', points: '1', looksAt: { source: 'src', x: 1, y: 1, page: 1 } },
      ],
    },
  ],
}
const onKept = vi.fn()
const open = () =>
  show(
    <MediaProvider
      value={{
        urlOf: (id, page) => `/files/${id}/${page ?? ''}`,
        about: async () => [
          {
            id: 'f1',
            kind: 'pdf',
            name: 'old',
            mediaType: 'application/pdf',
            size: 1,
            width: null,
            height: null,
            pages: 2,
          },
        ],
        uploads: null,
        scope: null,
      }}
    >
      <PlacesDialog paper={paper} source="src" onKept={onKept} onClose={() => undefined} />
    </MediaProvider>,
  )
const real = globalThis.Image

beforeEach(() => {
  sessionStorage.clear()
  onKept.mockReset()
  // A page that is there at once, 1000 by 2000.
  globalThis.Image = class {
    naturalWidth = 1000
    naturalHeight = 2000
    onload: (() => void) | null = null
    set src(_: string) {
      queueMicrotask(() => this.onload?.())
    }
  } as unknown as typeof Image
  serve({ 'POST /api/items/notes/keep': { ids: ['n1', 'n2'] } })
})
afterEach(() => {
  globalThis.Image = real
})

describe('Answer places on a sheet', () => {
  it('are set by keys, told what is right, and become questions that look there', async () => {
    const user = open()
    const sheet = await screen.findByRole('application')
    sheet.focus()
    await user.keyboard('{ArrowDown}{Enter}')
    // The question that is there already is the sheet's first.
    await user.keyboard('ebb')
    expect(screen.getByLabelText<HTMLInputElement>('What is right at 2').value).toBe('ebb')
    await user.click(screen.getByRole('button', { name: 'Next page' }))
    ;(await screen.findByRole('application', { name: /Page 2/ })).focus()
    await user.keyboard('{Enter}')
    await user.click(screen.getByRole('button', { name: 'Make 2 questions of them' }))
    expect(screen.getByText('✕ Say what is right here.')).toBeTruthy()
    await pickFrom(user, screen.getByLabelText('What is asked for at 3'), 'a tick, or none')
    await user.click(screen.getByRole('button', { name: 'Make 2 questions of them' }))
    await waitFor(() =>
      expect(onKept).toHaveBeenCalledWith({
        n1: { source: 'src', x: 500, y: 510, page: 1 },
        n2: { source: 'src', x: 500, y: 500, page: 2 },
      }),
    )
    expect(bodies('POST', '/api/items/notes/keep')).toMatchObject([{ table: false }])
  })

  it('stay as they are when they cannot be kept, or the dialog is left', async () => {
    serveAlso({ 'POST /api/items/notes/keep': new Refusal(503, 'Not now.') })
    const user = open()
    ;(await screen.findByRole('application')).focus()
    await user.keyboard('{Enter}')
    await user.keyboard('flood')
    await user.click(screen.getByRole('button', { name: 'Make 1 question of them' }))
    await screen.findByText(/Not now\./)
    await user.click(screen.getByRole('button', { name: 'Make 1 question of them' }))
    await waitFor(() => expect(bodies('POST', '/api/items/notes/keep')).toHaveLength(2))
    const [first, again] = bodies('POST', '/api/items/notes/keep')
    expect(again).toEqual(first)
    cleanup()
    open()
    const list = within(await screen.findByRole('list', { name: 'Answer places' }))
    expect(list.getByLabelText<HTMLInputElement>('What is right at 2').value).toBe('flood')
  })
})
