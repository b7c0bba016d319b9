import { describe, expect, it } from 'vitest'
import { curve, isDrawable, lines, shown, snapped, stepped, worth, type Axis } from './grid'
import { drawnTargets, replotted, targetInWords, targetsOf, type Target } from './targets'

const axis = (change: Partial<Axis> = {}): Axis => ({
  label: '',
  from: '0',
  to: '6',
  step: '1',
  snap: '1/3',
  ...change,
})

describe('A place on an axis', () => {
  it('snaps exactly, to thirds too', () => {
    expect(snapped(axis(), 0.7)).toBe('2/3')
    expect(snapped(axis(), 1.02)).toBe('1')
    expect(snapped(axis({ snap: '1/10' }), 2.13)).toBe('21/10')
    expect(snapped(axis({ from: '-1/2', snap: '0.5' }), -0.3)).toBe('-1/2')
  })
  it('stays on the axis', () => {
    expect(snapped(axis(), -9)).toBe('0')
    expect(snapped(axis(), 99)).toBe('6')
    expect(snapped(axis({ to: '5.9', snap: '1' }), 99)).toBe('5')
    expect(stepped(axis(), '1/3', 2)).toBe('1')
    expect(stepped(axis(), '0', -1)).toBe('0')
  })
  it('is shown as people write it', () => {
    expect([shown('1/2'), shown('-1/3'), shown('3')]).toEqual(['0.5', '−0.33', '3'])
    expect(worth('73/20')).toBe(3.65)
  })
  it('has lines from end to end, and none that could not be told apart', () => {
    expect(lines(axis({ step: '2' }))).toEqual([0, 2, 4, 6])
    expect(lines(axis({ step: '1/1000' }))).toHaveLength(201)
    expect(lines(axis({ step: '0' }))).toEqual([])
  })
  it('is not drawn while it is being typed', () => {
    expect(isDrawable(axis())).toBe(true)
    for (const half of [{ to: '' }, { from: '-' }, { to: '0' }, { step: '0' }, { snap: '1/0' }])
      expect(isDrawable(axis(half))).toBe(false)
  })
})

it('a curve goes through its points and over none of them', () => {
  const path = curve([
    { x: 0, y: 0 },
    { x: 10, y: 10 },
    { x: 20, y: 10 },
    { x: 30, y: 0 },
  ])
  const numbers = path.match(/-?\d+(?:\.\d+)?/g)!.map(Number)
  const ys = numbers.filter((_, i) => i % 2 === 1)
  expect(Math.max(...ys)).toBeLessThanOrEqual(10)
  expect(Math.min(...ys)).toBeGreaterThanOrEqual(0)
  expect(path.startsWith('M0 0C')).toBe(true)
  expect(curve([{ x: 1, y: 1 }])).toBe('')
})

describe('Targets', () => {
  const grid = { across: axis({ snap: '1' }), up: axis({ snap: '1' }), curve: false }
  const line = { tolerance: '1/4', credit: '1', feedback: 'Yes.', misconception: null }
  const targets: Target[] = [
    { kind: 'line', slope: '2', intercept: '1', ...line },
    { kind: 'point', x: '1', y: '2', ...line },
    { kind: 'upright', x: '4', ...line },
  ]
  const drawn = drawnTargets(targets, grid)

  it('are said as one reads them', () => {
    expect(targets.map((t) => targetInWords(t, false))).toEqual(['y = 2 x + 1', '(1, 2)', 'x = 4'])
    expect(targetInWords({ kind: 'line', slope: '1/2', intercept: '-3', ...line }, false)).toBe('y = 0.5 x − 3')
    expect(targetInWords({ kind: 'interval', from: '1.7', to: '5', ...line }, true)).toBe('1.7 to 5')
  })
  it('come back from their drawing as they were', () => {
    expect(targetsOf(drawn).map((t) => targetInWords(t, false))).toEqual(['(1, 2)', 'y = 2 x + 1', 'x = 4'])
    expect(replotted(targets, grid, drawn)).toEqual(targets)
  })
  it('take in what is plotted anew', () => {
    const more = replotted(targets, grid, { ...drawn, points: [...drawn.points, ['3', '3']] })
    expect(more.slice(0, 3)).toEqual(targets)
    expect(more[3]).toMatchObject({ kind: 'point', x: '3', y: '3', credit: '1' })
  })
  it('move with what their line says, and go with what is taken away', () => {
    const moved = replotted(targets, grid, { ...drawn, points: [['5', '2']] })
    expect(moved[1]).toEqual({ kind: 'point', x: '5', y: '2', ...line })
    expect([moved[0], moved[2]]).toEqual([targets[0], targets[2]])
    expect(replotted(targets, grid, { ...drawn, lines: drawn.lines.slice(1) })).toEqual([targets[1], targets[2]])
  })
})
