import { screen, waitFor } from '@testing-library/react'
import { beforeEach, describe, expect, it } from 'vitest'
import { pickFrom, show } from '@/testing/page'
import { bodies, Refusal, serve, serveAlso } from '@/testing/server'
import { CopyDialog } from './CopyDialog'

const source = (id: string, title: string) => ({
  id,
  kind: 'source',
  source: { title, html: `<p>${title}</p>`, picture: null, alt: '' },
})
const paper = {
  version: 1,
  title: 'Reading a log',
  mastery: null,
  sections: [
    {
      id: 's1',
      title: 'Log',
      route: null,
      entries: [
        source('log', 'The old log'),
        source('map', 'A map'),
        source('note', 'A note'),
        { id: 'q', kind: 'question', item: 'i1', points: '2' },
      ],
    },
  ],
}
const stored = { id: 'p1', paper } as never
const other = { paper: { ...paper, sections: [{ ...paper.sections[0], entries: [source('x', 'The new log')] }] } }

beforeEach(() =>
  serve({
    'GET /api/sources': {
      sources: [
        { paperId: 'p1', paper: 'Reading a log', entryId: 'log', title: 'The old log', begins: '', hasPicture: false },
        { paperId: 'p2', paper: 'Further', entryId: 'x', title: 'The new log', begins: '', hasPicture: false },
      ],
    },
    'GET /api/papers/p2': other,
    'POST /api/papers': { id: 'made' },
  }),
)
const open = () => show(<CopyDialog stored={stored} onClose={() => undefined} />, '/papers', '*')

describe('A paper again', () => {
  it('has each source as it was, another, or none yet', async () => {
    const user = open()
    await pickFrom(user, await screen.findByRole('combobox', { name: 'Instead of “The old log”' }), /The new log/)
    await pickFrom(user, screen.getByRole('combobox', { name: 'Instead of “A note”' }), /nothing yet/)
    const title = screen.getByLabelText('Title')
    expect(title).toHaveProperty('value', 'Reading a log (copy)')
    await user.clear(title)
    await user.type(title, 'Reading another log')
    await user.click(screen.getByRole('button', { name: 'Make the copy' }))
    await waitFor(() => expect(screen.getByLabelText('address').textContent).toBe('/papers/made'))
    const [made] = bodies('POST', '/api/papers') as { paper: typeof paper }[]
    expect(made?.paper.title).toBe('Reading another log')
    expect(made?.paper.sections[0]?.entries.map((e) => ('source' in e ? e.source.title : e.id))).toEqual([
      'The new log',
      'A map',
      '',
      'q',
    ])
  })

  it('is not lost when it is refused', async () => {
    serveAlso({ 'POST /api/papers': new Refusal(422, 'This cannot be kept.') })
    const user = open()
    await user.click(await screen.findByRole('button', { name: 'Make the copy' }))
    expect(await screen.findByText(/This cannot be kept/)).toBeTruthy()
    expect(screen.getByLabelText('Title')).toHaveProperty('value', 'Reading a log (copy)')
  })
})
