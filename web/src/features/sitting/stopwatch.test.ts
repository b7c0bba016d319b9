import { describe, expect, it } from 'vitest'
import { Stopwatch } from './stopwatch'

function watch() {
  let now = 1000
  return { watch: new Stopwatch(() => now), pass: (millis: number) => (now += millis) }
}

describe('Stopwatch', () => {
  it('counts each question while it is in front of the student', () => {
    const { watch: w, pass } = watch()
    w.show('q1')
    pass(4000)
    w.show('q2')
    pass(2500)
    w.show('q1')
    pass(500)
    expect(w.of('q1')).toBe(4500)
    expect(w.of('q2')).toBe(2500)
    expect(w.of('q3')).toBe(0)
  })

  it('stands still while the page cannot be seen, also when the question changes meanwhile', () => {
    const { watch: w, pass } = watch()
    w.show('q1')
    pass(1000)
    w.pause()
    pass(60_000)
    expect(w.of('q1')).toBe(1000)
    w.show('q2')
    pass(60_000)
    expect(w.of('q2')).toBe(0)
    w.resume()
    w.resume()
    pass(300)
    expect(w.of('q2')).toBe(300)
  })

  it('stands still while no question is shown', () => {
    const { watch: w, pass } = watch()
    w.show('q1')
    pass(1000)
    w.show(null)
    pass(9000)
    w.show('q1')
    pass(10)
    expect(w.of('q1')).toBe(1010)
  })

  it('goes on from what was counted elsewhere, and never below it', () => {
    const { watch: w, pass } = watch()
    w.begin('q1', 5000)
    w.begin('q1', 3000)
    w.show('q1')
    pass(250)
    expect(w.of('q1')).toBe(5250)
  })

  it('counts a day at most', () => {
    const { watch: w, pass } = watch()
    w.show('q1')
    pass(9e9)
    expect(w.of('q1')).toBe(86_400_000)
  })
})
