import { act, render, screen } from '@testing-library/react'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { Turn } from './Turn'

beforeEach(() => void vi.useFakeTimers())
afterEach(() => void vi.useRealTimers())

const pass = (seconds: number) => act(() => void vi.advanceTimersByTime(seconds * 1000))

describe('The time for one question', () => {
  it('runs from when the student comes to it, in steps, and tells once that it is over', () => {
    const over = vi.fn()
    render(<Turn turn={{ seconds: 90, entry: null, left: null }} entry="e1" stands={false} onOver={over} />)
    expect(screen.getByText('2 min left for this question')).toBeTruthy()
    pass(58)
    expect(screen.getByText('35 s left for this question')).toBeTruthy()
    pass(31)
    expect(over).not.toHaveBeenCalled()
    pass(1)
    expect(screen.getByText('Time for this question is over.')).toBeTruthy()
    expect(over).toHaveBeenCalledTimes(1)
  })

  it('goes by what the server knows of this question, and tries again where it was not heard', () => {
    const over = vi.fn()
    const turn = { seconds: 90, entry: 'e1', left: 20 }
    const { rerender } = render(<Turn turn={turn} entry="e1" stands={false} onOver={over} />)
    expect(screen.getByText('20 s left for this question')).toBeTruthy()
    pass(20)
    pass(10)
    expect(over).toHaveBeenCalledTimes(2)
    rerender(<Turn turn={turn} entry="e2" stands={false} onOver={over} />)
    expect(screen.getByText('2 min left for this question'), 'another question’s time is not this one’s').toBeTruthy()
  })

  it('stands still while the teacher has everybody stop', () => {
    const over = vi.fn()
    const { rerender, container } = render(
      <Turn turn={{ seconds: 30, entry: 'e1', left: null }} entry="e1" stands onOver={over} />,
    )
    expect(container.textContent).toBe('')
    pass(60)
    expect(over).not.toHaveBeenCalled()
    rerender(<Turn turn={{ seconds: 30, entry: 'e1', left: 12 }} entry="e1" stands={false} onOver={over} />)
    expect(screen.getByText('15 s left for this question')).toBeTruthy()
  })
})
