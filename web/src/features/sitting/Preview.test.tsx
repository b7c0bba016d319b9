import { screen, waitFor } from '@testing-library/react'
import { beforeEach, describe, expect, it } from 'vitest'
import { pickFrom, show } from '@/testing/page'
import { bodies, serve } from '@/testing/server'
import type { Tells } from '@/lib/conditions'
import { sitting } from '@/testing/sitting'
import { InDesk } from './Main'
import Preview from './Preview'

const asked = () =>
  bodies('POST', '/api/papers/p1/preview').map((body) => {
    const { student, feedback, saves } = body as { student: string | null; feedback: Tells; saves: unknown[] }
    return [student, feedback.verdict, saves.length]
  })
const support = { readAloud: false, largerText: true, lineFocus: false, wordNotes: false, fewerOptions: 1 }

beforeEach(() => {
  localStorage.clear()
  serve({
    'POST /api/papers/p1/preview': ({ body }: { body: unknown }) =>
      sitting({
        support: (body as { student: string | null }).student
          ? { readAloud: false, largerText: true, lineFocus: false, wordNotes: false }
          : null,
      }),
    'GET /api/feedback-plans': { plans: [] },
    'GET /api/classes/supported': { students: [{ id: 's1', name: 'Ada Okafor', class: '8 Kestrel', support }] },
  })
})

describe('A preview', () => {
  it('is tried as a student with their support, and as it will be told, each time anew', async () => {
    const user = show(<Preview paperId="p1" />)
    await user.click(await screen.findByRole('radio', { name: 'Red' }))
    await user.click(screen.getByRole('button', { name: 'Tried as anybody' }))
    await pickFrom(user, screen.getByRole('combobox', { name: 'As whom' }), 'Ada Okafor, 8 Kestrel, with support')
    await screen.findByRole('button', { name: 'Tried as Ada Okafor' })
    // Letters as large as she has them, and nothing answered yet.
    expect(await screen.findByRole('button', { name: 'Smallest text' })).toBeTruthy()
    expect(screen.getByRole('radio', { name: 'Red' })).toHaveProperty('checked', false)
    await user.click(screen.getByRole('button', { name: 'Tried as Ada Okafor' }))
    await pickFrom(user, screen.getByRole('combobox', { name: 'What is told when' }), 'All on return')
    await waitFor(() =>
      expect(asked()).toEqual([
        [null, 'at once', 0],
        ['s1', 'at once', 0],
        ['s1', 'returned', 0],
      ]),
    )
  })

  it('is a part of the desk, whose page has its main part already', async () => {
    show(
      <InDesk>
        <Preview paperId="p1" />
      </InDesk>,
    )
    expect(await screen.findByRole('region', { name: 'As a student sees it' })).toBeTruthy()
    expect(screen.queryByRole('main')).toBeNull()
  })

  it('begins anew when it is asked to', async () => {
    const user = show(<Preview paperId="p1" />)
    await user.click(await screen.findByRole('radio', { name: 'Red' }))
    await user.click(screen.getByRole('button', { name: 'Tried as anybody' }))
    await user.click(screen.getByRole('button', { name: 'Begin anew' }))
    await waitFor(() => expect(screen.getByRole('radio', { name: 'Red' })).toHaveProperty('checked', false))
  })
})
