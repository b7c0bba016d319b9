import { cleanup, screen } from '@testing-library/react'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import { show } from '@/testing/page'
import { sitting } from '@/testing/sitting'
import { AskDialog } from './AskDialog'
import { InTheRoom } from './InTheRoom'
import { Notes } from './Notes'

beforeEach(() => sessionStorage.clear())

describe('What the teacher does while a student is at work', () => {
  it('stops them with words that nothing here takes away', async () => {
    const user = show(<InTheRoom view={sitting({ hold: 'Eyes to the front' })} />)
    expect(screen.getByRole('alertdialog', { name: 'Stop and look up' }).textContent).toContain('Eyes to the front')
    await user.keyboard('{Escape}')
    expect(screen.getByRole('alertdialog')).toBeTruthy()
    expect(screen.queryByRole('button')).toBeNull()
  })

  it('says calmly how long there is, and stops when it is over', () => {
    show(<InTheRoom view={sitting({ secondsLeft: 290 })} />)
    expect(screen.getByText('5 min left')).toBeTruthy()
    expect(screen.queryByRole('alertdialog')).toBeNull()
    cleanup()
    show(<InTheRoom view={sitting({ secondsLeft: 0 })} />)
    expect(screen.getByRole('alertdialog', { name: 'Time is over' })).toBeTruthy()
  })

  it('shows a note until it is put away, also after a reload, and leads where it points', async () => {
    const note = {
      id: 'n1',
      entry: 'e1',
      words: 'See https://tides.example/table, page 2.',
      madeAt: '2026-11-27T10:00:00.000Z',
      file: null,
    }
    const notes = <Notes view={sitting({ notes: [note] })} numberOf={(entry) => (entry === 'e1' ? 4 : undefined)} />
    const user = show(notes)
    expect(screen.getByText(/^Your teacher, on question 4/)).toBeTruthy()
    expect(screen.getByRole('link').getAttribute('href')).toBe('https://tides.example/table')
    await user.click(screen.getByRole('button', { name: 'Put away' }))
    expect(screen.queryByRole('link')).toBeNull()
    cleanup()
    show(notes)
    expect(screen.queryByRole('link')).toBeNull()
  })

  it('asks with a line of words, and lets be what was asked', async () => {
    const [onAsk, onNeverMind, onClose] = [vi.fn(() => Promise.resolve()), vi.fn(() => Promise.resolve()), vi.fn()]
    const dialog = (call: Parameters<typeof AskDialog>[0]['call']) => (
      <AskDialog number={3} call={call} busy={false} onAsk={onAsk} onNeverMind={onNeverMind} onClose={onClose} />
    )
    const user = show(dialog(null))
    await user.click(screen.getByRole('radio', { name: 'Look this over, please' }))
    await user.type(screen.getByLabelText(/^A line of words/), ' is this right? {Enter}')
    expect(onAsk).toHaveBeenCalledWith('look', 'is this right?')
    cleanup()
    const again = show(dialog({ id: 'c1', kind: 'stuck', entry: 'e1', words: 'help', madeAt: '2026-11-27T10:00:00Z' }))
    expect(screen.getByText(/You have said that you are stuck. “help”/)).toBeTruthy()
    await again.click(screen.getByRole('button', { name: 'Never mind' }))
    expect(onNeverMind).toHaveBeenCalled()
  })
})
