import { screen, waitFor, within } from '@testing-library/react'
import { describe, expect, it, vi } from 'vitest'
import { show } from '@/testing/page'
import { bodies, Refusal, serve, serveAlso } from '@/testing/server'
import type { Schemas } from '@/lib/api/client'
import SchoolFiles from './SchoolFiles'

type Body = Schemas['RosterSchoolFilesInput']
const godwit = {
  key: 'c1',
  known: false,
  name: '8 Godwit',
  was: null,
  taken: true,
  students: [
    { name: 'Wren Abara', fate: 'add' },
    { name: 'Lin Quayle', fate: 'clash' },
  ],
  here: 0,
  others: 0,
  teachers: ['Idris Calloway'],
}
const shown = {
  classes: [godwit],
  renames: [{ was: 'Ada Lind', name: 'Ada Okafor' }],
  gone: [],
  left: [{ file: 'users.csv', line: 10, what: '', why: 'They have no name.' }],
  leftAll: 1,
  faults: [],
  others: ['demographics.csv'],
  changes: 4,
}
const file = (name: string, text: string) => new File([text], name, { type: 'text/csv' })
const chosen = async (files: File[]) => {
  const onClose = vi.fn()
  const user = show(<SchoolFiles open onClose={onClose} />)
  await user.upload(await screen.findByLabelText('The files'), files)
  return { user, onClose }
}

describe('Classes from the school’s files', () => {
  it('shows what becomes of each class, leaves one out, and does what was shown', async () => {
    const preview = ({ body }: { body: unknown }) =>
      (body as Body).skip?.includes('c1')
        ? { ...shown, classes: [{ ...godwit, taken: false, students: [] }], changes: 1 }
        : shown
    serve({ 'POST /api/classes/from-files/preview': preview, 'POST /api/classes/from-files': shown })
    const { user, onClose } = await chosen([file('users.csv', 'sourcedId\n'), file('classes.csv', 'x')])
    const row = (await screen.findByText('8 Godwit')).closest('li')!
    expect(row.textContent).toContain('new class · 1 student comes in · ✕ 1 name taken · Idris Calloway’s')
    await user.click(within(row).getByRole('button', { name: /Who\?/ }))
    expect(row.textContent).toContain('somebody else in the class goes by this nameLin Quayle')
    expect(screen.getByText('Not read: demographics.csv.')).toBeTruthy()
    await user.click(screen.getByRole('button', { name: /What is left alone/ }))
    expect(screen.getByText(/users.csv, line 10/)).toBeTruthy()

    await user.click(screen.getByRole('checkbox', { name: /8 Godwit/ }))
    await screen.findByText('left out')
    await user.click(screen.getByRole('checkbox', { name: /8 Godwit/ }))
    await user.click(screen.getByRole('checkbox', { name: 'Take the new names' }))
    await user.click(await screen.findByRole('button', { name: 'Make 4 changes' }))
    await waitFor(() => expect(onClose).toHaveBeenCalled())
    const [sent] = bodies('POST', '/api/classes/from-files') as Body[]
    expect(sent?.files?.map((f) => [f.name, atob(f.data ?? '')])).toEqual([
      ['users.csv', 'sourcedId\n'],
      ['classes.csv', 'x'],
    ])
    expect([sent?.skip, sent?.keepNames]).toEqual([[], true])
  })

  it('takes nothing of files that cannot be read, and says where', async () => {
    const fault = 'users.csv:1:1: the column “familyName” is missing'
    serve({ 'POST /api/classes/from-files/preview': { ...shown, faults: [fault] } })
    const { user } = await chosen([file('users.csv', 'x')])
    await screen.findByText(`✕ ${fault}`)
    expect(screen.getByRole('button', { name: 'Make 4 changes' }).hasAttribute('disabled')).toBe(true)
    await user.click(screen.getByRole('button', { name: 'Other files' }))
    expect(screen.getByLabelText('The files')).toBeTruthy()
  })

  it('says what was refused, and the files can be chosen again', async () => {
    serve({ 'POST /api/classes/from-files/preview': new Refusal(422, 'Not yet.', 'school.zip is a broken archive.') })
    const { user } = await chosen(
      [file('school.zip', 'PK')].map((f) => new File([f], 'school.zip', { type: 'application/zip' })),
    )
    expect((await screen.findByRole('alert')).textContent).toContain('school.zip is a broken archive.')
    serveAlso({ 'POST /api/classes/from-files/preview': shown })
    await user.upload(screen.getByLabelText('The files'), file('users.csv', 'x'))
    expect(await screen.findByText('8 Godwit')).toBeTruthy()
    expect(screen.queryByRole('alert')).toBeNull()
  })

  it('sends nothing that is too large', async () => {
    serve({})
    await chosen([file('users.csv', 'x'.repeat(2_900_001))])
    expect((await screen.findByRole('alert')).textContent).toContain('Pack them into one .zip')
  })
})
