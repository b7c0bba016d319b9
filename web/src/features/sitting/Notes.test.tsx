import { screen } from '@testing-library/react'
import { beforeEach, describe, expect, it } from 'vitest'
import { show } from '@/testing/page'
import { sitting } from '@/testing/sitting'
import { MediaProvider, placeOf } from '@/media/place'
import { Notes } from './Notes'

const note = (change: object) => ({
  id: 'n1',
  entry: null,
  words: '',
  madeAt: '2026-11-26T09:00:00Z',
  file: null,
  ...change,
})
beforeEach(() => sessionStorage.clear())

describe('Notes from the teacher', () => {
  it('are read, lead where they say, and are heard from the student’s own place', async () => {
    const notes = [note({ words: 'See https://harbour.example/tides now' }), note({ id: 'n2', file: 'f1' })]
    const user = show(
      <MediaProvider value={placeOf('/api/me/files', null, null)}>
        <Notes view={sitting({ notes })} numberOf={() => undefined} />
      </MediaProvider>,
    )
    expect(screen.getByRole('link').getAttribute('href')).toBe('https://harbour.example/tides')
    expect(screen.getByLabelText('Spoken by your teacher').getAttribute('src')).toBe('/api/me/files/f1')
    await user.click(screen.getAllByRole('button', { name: 'Put away' })[1]!)
    expect(screen.queryByLabelText('Spoken by your teacher')).toBeNull()
  })
})
