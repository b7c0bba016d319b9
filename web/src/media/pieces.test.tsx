import { cleanup, screen } from '@testing-library/react'
import { beforeEach, describe, expect, it } from 'vitest'
import { show } from '@/testing/page'
import { fromTray, moved, takenOff } from './pieces'
import { Pieces } from './Pieces'
import { MediaProvider } from './place'

const buoys = [
  { text: 'red can', copies: 2 },
  { text: 'Brindle', copies: 1 },
]
const open = (plays: string | null) =>
  show(
    <MediaProvider value={{ urlOf: (id) => id, about: async () => [], uploads: null, scope: null, plays }}>
      <Pieces pieces={buoys} of="chart">
        <img alt="A chart" />
      </Pieces>
    </MediaProvider>,
  )
const lie = () => screen.queryAllByRole('button', { name: /across/ }).map((b) => b.getAttribute('aria-label'))

beforeEach(() => localStorage.clear())

describe('Pieces on a picture', () => {
  it('are as many as there are, never one on the other', () => {
    const one = fromTray(buoys, [], 0, { x: 500, y: 500 })!
    const two = fromTray(buoys, one.all, 0, { x: 500, y: 500 })!
    expect(two.all.map(({ x, y }) => [x, y])).toEqual([
      [500, 500],
      [500, 650],
    ])
    expect(fromTray(buoys, two.all, 0, { x: 1, y: 1 })).toBeNull()
    const back = takenOff(moved(two.all, one.id, { x: -31, y: 500 }, false), one.id)
    expect(back).toHaveLength(1)
    expect(fromTray(buoys, back, 0, { x: 1, y: 1 })?.id).toBe(one.id)
  })

  it('let go a little beyond the edge lie at it; far beyond they are off', () => {
    const { all, id } = fromTray(buoys, [], 1, { x: 500, y: 500 })!
    expect(takenOff(moved(all, id, { x: 1020, y: 500 }, false), id)).toMatchObject([{ x: 1000, y: 500 }])
    expect(takenOff(moved(all, id, { x: 500, y: 1200 }, false), id)).toEqual([])
  })

  it('are laid, moved and taken off by keys, and lie there after a reload', async () => {
    const user = open('sit1')
    await user.click(screen.getByRole('button', { name: /^red can/ }))
    await user.click(screen.getByRole('button', { name: 'Brindle' }))
    expect(lie()).toEqual(['red can, 50 % across, 50 % down', 'Brindle, 50 % across, 65 % down'])
    screen.getByRole('button', { name: /^Brindle, / }).focus()
    await user.keyboard('{ArrowRight}{Shift>}{ArrowUp}{/Shift}')
    expect(lie()[1]).toBe('Brindle, 52 % across, 55 % down')
    expect(screen.getByRole('button', { name: 'Brindle' })).toHaveProperty('disabled', true)
    cleanup()
    const again = open('sit1')
    expect(lie()).toHaveLength(2)
    screen.getByRole('button', { name: /^red can, / }).focus()
    await again.keyboard('{Delete}')
    expect(lie()).toEqual(['Brindle, 52 % across, 55 % down'])
    await again.click(screen.getByRole('button', { name: 'Take all off' }))
    expect(lie()).toEqual([])
    await again.click(screen.getByRole('button', { name: 'Lay them as they were' }))
    expect(lie()).toHaveLength(1)
    cleanup()
    open('sit2')
    expect(lie()).toEqual([])
  })
})
