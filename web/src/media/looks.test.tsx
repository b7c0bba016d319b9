import { cleanup, fireEvent, screen } from '@testing-library/react'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import { show } from '@/testing/page'
import { type Look } from './looks'
import { inWords } from './looksInWords'
import { bodies, serve } from '@/testing/server'
import { MediaProvider } from './place'
import { SourcePage } from './SourcePage'

const source = {
  entry: 'log',
  title: 'The log',
  html: '<ol data-lines=""><li><p>one</p></li><li><p>two</p></li></ol><p>–</p><ol data-lines=""><li><p>three</p></li></ol>',
  picture: 'chart',
  alt: 'A chart',
  file: 'call',
  stops: true,
  glossary: [],
  inOrder: false,
  link: null,
  pieces: [],
}
const look = (number: number, at: Omit<Look['at'], 'source'>, current = false): Look => ({
  entry: `e${number}`,
  number,
  current,
  at: { source: 'log', ...at },
})
const onStop = vi.fn()
const open = (looks: Look[], stops = true, more: { inOrder?: boolean; plays?: string | null } = {}) =>
  show(
    <MediaProvider
      value={{
        urlOf: (id) => `/files/${id}`,
        about: async () => [
          {
            id: 'call',
            kind: 'sound',
            name: 'call',
            mediaType: 'audio/ogg',
            size: 1,
            width: null,
            height: null,
            pages: 0,
          },
        ],
        uploads: null,
        scope: null,
        plays: more.plays,
      }}
    >
      <SourcePage source={{ ...source, stops, inOrder: more.inOrder ?? false }} looks={looks} onStop={onStop} />
    </MediaProvider>,
  )
const here = () => [...document.querySelectorAll('[data-here]')].map((line) => line.textContent)

beforeEach(() => {
  onStop.mockReset()
  HTMLMediaElement.prototype.pause = vi.fn()
  HTMLMediaElement.prototype.play = vi.fn(async () => undefined)
})

describe('What a question looks at', () => {
  it('is said as one would do it', () => {
    const said = (at: Omit<Look['at'], 'source'>) => inWords({ source: 's', ...at }, 4, 'The log')
    expect(said({ from: 2, to: 2 })).toBe('Look at line 2 of The log')
    expect(said({ from: 2, to: 5 })).toBe('Look at lines 2 to 5 of The log')
    expect(said({ x: 1, y: 1 })).toBe('Look at mark 4 on The log')
    expect(said({ moment: 63 })).toBe('Play from 1:03 of The log')
    expect(said({ moment: 3, until: 63 })).toBe('Play 0:03 to 1:03 of The log')
  })

  it('is lit in the passage, counted through all its lines, for the question that is read alone', () => {
    open([look(1, { from: 1, to: 1 }), look(2, { from: 2, to: 3 }, true)])
    expect(here()).toEqual(['two', 'three'])
  })

  it('has its number on the picture', async () => {
    open([look(1, { x: 250, y: 500 }), look(3, { from: 1, to: 1 })])
    const pin = (await screen.findByText('1')).parentElement!
    expect([pin.style.left, pin.style.top]).toEqual(['calc(25% - 14px)', '50%'])
    expect(screen.queryByText('3')).toBeNull()
  })

  it('is played from, and stopped at once it is over, until one plays on', async () => {
    const user = open([look(1, { moment: 3, until: 8 }), look(2, { moment: 10, until: 12 }, true)])
    const player = await screen.findByLabelText<HTMLAudioElement>('The log')
    const at = (seconds: number) => {
      Object.defineProperty(player, 'currentTime', { value: seconds, writable: true, configurable: true })
      fireEvent.timeUpdate(player)
    }
    Object.defineProperty(player, 'paused', { value: false, configurable: true })
    at(7.9)
    expect(onStop).not.toHaveBeenCalled()
    at(8.1)
    expect(onStop).toHaveBeenCalledExactlyOnceWith('e1')
    expect(HTMLMediaElement.prototype.pause).toHaveBeenCalledOnce()
    expect(screen.getAllByText('Stopped for question 1.')).not.toHaveLength(0)
    await user.click(screen.getByRole('button', { name: 'Play on' }))
    expect(screen.queryByRole('button', { name: 'Play on' })).toBeNull()
    await user.click(screen.getByRole('button', { name: 'Play from 0:10, for question 2' }))
    expect(player.currentTime).toBe(10)
    expect(onStop).toHaveBeenCalledOnce()
  })

  it('does not stop where it is not set to, nor where one only moves past it', async () => {
    open([look(1, { moment: 3, until: 8 })], false)
    const player = await screen.findByLabelText<HTMLAudioElement>('The log')
    Object.defineProperty(player, 'paused', { value: false, configurable: true })
    Object.defineProperty(player, 'currentTime', { value: 9, writable: true })
    fireEvent.timeUpdate(player)
    expect(onStop).not.toHaveBeenCalled()
  })

  const playing = async (seconds: number) => {
    const player = await screen.findByLabelText<HTMLAudioElement>('The log')
    for (const [name, value] of Object.entries({ duration: seconds, paused: false, currentTime: 0 }))
      Object.defineProperty(player, name, { value, writable: true, configurable: true })
    fireEvent.loadedMetadata(player)
    return {
      player,
      plays: (to: number) => {
        player.currentTime = to
        fireEvent.timeUpdate(player)
      },
      leaps: (to: number) => {
        player.currentTime = to
        fireEvent.seeking(player)
        fireEvent.timeUpdate(player)
        fireEvent.seeked(player)
      },
    }
  }
  const times = () =>
    bodies('PUT', '/api/me/sittings/sit1/played')
      .map((body) => (body as { times: number[] }).times)
      .at(-1)

  it('is counted as it is played, and goes on being so after a reload', async () => {
    localStorage.clear()
    serve({ 'PUT /api/me/sittings/sit1/played': { until: 0 } })
    open([], false, { plays: 'sit1' })
    const { player, plays, leaps } = await playing(4)
    plays(0.9)
    plays(1.8)
    leaps(0)
    plays(0.6)
    leaps(3.2)
    plays(3.4)
    fireEvent.pause(player)
    await vi.waitFor(() => expect(times()).toEqual([2, 1, 0, 0]))
    cleanup()
    open([], false, { plays: 'sit1' })
    const again = await playing(4)
    again.plays(0.7)
    fireEvent.pause(again.player)
    await vi.waitFor(() => expect(times()).toEqual([3, 1, 0, 0]))
    expect(
      new Set(bodies('PUT', '/api/me/sittings/sit1/played').map((body) => (body as { device: string }).device)).size,
    ).toBe(1)
  })

  it('is played in order: not ahead of where one has been, here or on another device', async () => {
    localStorage.clear()
    serve({ 'PUT /api/me/sittings/sit1/played': { until: 30 } })
    open([], false, { plays: 'sit1', inOrder: true })
    const { player, plays, leaps } = await playing(60)
    await vi.waitFor(() => expect(times()).toHaveLength(60))
    plays(2)
    leaps(29)
    expect(player.currentTime).toBe(29)
    leaps(45)
    expect(player.currentTime).toBe(30)
    expect(screen.getAllByText(/You have played it up to 0:30/)).not.toHaveLength(0)
    leaps(1)
    expect(player.currentTime).toBe(1)
  })

  it('holds nobody back who marks it, and counts nothing there', async () => {
    serve({})
    open([], false, { inOrder: true })
    const { player, plays, leaps } = await playing(60)
    plays(2)
    leaps(45)
    expect(player.currentTime).toBe(45)
    fireEvent.pause(player)
    expect(bodies('PUT', '/api/me/sittings/sit1/played')).toEqual([])
  })

  it('has words that say what they mean where they are pressed or entered, until one is done', async () => {
    const user = show(
      <SourcePage
        source={{
          ...source,
          picture: null,
          file: null,
          html: '<p>Off Kelpwick bar we waited.</p>',
          glossary: [{ word: 'Bar', meaning: 'a bank of sand' }],
        }}
      />,
    )
    const word = await screen.findByRole('button', { name: 'bar' })
    const told = () =>
      screen
        .getAllByRole('status')
        .map((one) => one.textContent)
        .join()
    expect(told()).not.toContain('a bank of sand')
    await user.click(word)
    expect(told()).toContain('Bar: a bank of sand')
    await user.keyboard('{Escape}')
    expect(told()).not.toContain('a bank of sand')
    word.focus()
    await user.keyboard('{Enter}')
    expect(told()).toContain('Bar: a bank of sand')
    await user.click(screen.getByText(/we waited/))
    expect(told()).not.toContain('a bank of sand')
  })
})
