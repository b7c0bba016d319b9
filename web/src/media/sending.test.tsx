import 'fake-indexeddb/auto'
import { Blob as NodeBlob } from 'node:buffer'
import { screen, waitFor } from '@testing-library/react'
import { useState } from 'react'
import userEvent from '@testing-library/user-event'
import { describe, expect, it } from 'vitest'
import { Refusal, bodies, sent, serve, serveAlso } from '@/testing/server'
import { show } from '@/testing/page'
import { FilesField } from './FilesField'
import { MediaProvider, placeOf } from './place'
import { waiting } from './waiting'

const UPLOADS = '/api/me/sittings/s1/uploads'
const about = {
  id: 'f1',
  mediaType: 'image/png',
  kind: 'picture',
  name: 'chart.png',
  size: 600_000,
  width: 10,
  height: 10,
  pages: 0,
}

/** A server that takes pieces as the true one does. */
function takes(size: number, spoil: (at: number) => unknown = () => undefined) {
  let received = 0
  const view = () => ({ id: 'u1', size, received, piece: 1_000_000, file: received >= size ? about : null })
  serve({
    [`POST ${UPLOADS}`]: view,
    [`GET ${UPLOADS}/u1`]: view,
    [`PUT ${UPLOADS}/u1`]: ({ path }: { path: string }) => {
      const at = Number(new URLSearchParams(path.split('?')[1]).get('at'))
      const wrong = spoil(at)
      if (wrong !== undefined) return wrong
      if (at !== received) return new Refusal(409, 'A piece is missing.')
      received = Math.min(size, received + 256 * 1024)
      return view()
    },
    [`DELETE ${UPLOADS}/u1`]: null,
    'GET /api/me/files': { files: [about] },
  })
}

let given: string[] = []
function Field({ scope }: { scope: string | null }) {
  const [files, setFiles] = useState<string[]>([])
  given = files
  return (
    <MediaProvider value={placeOf('/api/me/files', UPLOADS, scope)}>
      <FilesField
        label="Your files"
        files={files}
        onChange={setFiles}
        kinds={['picture', 'pdf']}
        most={2}
        megabytes={1}
      />
    </MediaProvider>
  )
}
const file = (size: number, name = 'chart.png') => new File([new Uint8Array(size)], name, { type: 'image/png' })
// What a store of the device gives back; jsdom's own blobs do not survive being stored.
const stored = (size: number) => new NodeBlob([new Uint8Array(size)]) as unknown as Blob
const chooser = () => screen.getByLabelText('Your files: choose files')

describe('A file that is given', () => {
  it('goes in pieces and is shown when it has arrived', async () => {
    takes(600_000)
    const user = show(<Field scope="a" />)
    await user.upload(chooser(), file(600_000))
    await waitFor(() => expect(given).toEqual(['f1']))
    expect(bodies('POST', UPLOADS)).toEqual([{ name: 'chart.png', size: 600_000, kinds: ['picture', 'pdf'] }])
    expect(sent('PUT', `${UPLOADS}/u1`).map((s) => s.path.split('at=')[1])).toEqual(['0', '262144', '524288'])
    expect((await screen.findByRole('img', { name: 'chart.png' })).getAttribute('src')).toBe('/api/me/files/f1')
    expect(await waiting().count('a')).toBe(0)
    await user.click(screen.getByRole('button', { name: 'Take chart.png out' }))
    expect(given).toEqual([])
  })

  it('goes on by itself where it stopped when the network is back', async () => {
    let away = true
    takes(600_000, (at) => {
      if (away && at > 0) throw new Error('no network')
    })
    const user = show(<Field scope="b" />)
    await user.upload(chooser(), file(600_000))
    expect(await screen.findByText('waits for the network')).toBeTruthy()
    expect(await waiting().count('b')).toBe(1)
    away = false
    dispatchEvent(new Event('online'))
    await waitFor(() => expect(given).toEqual(['f1']))
  })

  it('is on the device, and goes on after a reload', async () => {
    takes(600_000)
    await waiting().put({
      key: 'k',
      scope: 'c',
      name: 'chart.png',
      kinds: ['picture'],
      blob: stored(600_000),
      upload: 'u1',
    })
    show(<Field scope="c" />)
    await waitFor(() => expect(given).toEqual(['f1']))
    expect(sent('POST', UPLOADS)).toEqual([])
    expect(await waiting().count('c')).toBe(0)
  })

  it('stays in its own field where the place keeps nothing on the device', async () => {
    takes(600_000, () => {
      throw new Error('no network')
    })
    const user = show(<Field scope={null} />)
    const before = await waiting().count('')
    await user.upload(chooser(), file(600_000))
    expect(await screen.findByText('waits for the network')).toBeTruthy()
    expect(await waiting().count('')).toBe(before)
  })

  it('goes on from what the server has, where a piece was lost on the way back', async () => {
    takes(600_000)
    const user = show(<Field scope="d" />)
    let lost = true
    serveAlso({
      [`PUT ${UPLOADS}/u1`]: (() => {
        let received = 0
        return ({ path }: { path: string }) => {
          const at = Number(path.split('at=')[1])
          if (at < received) return new Refusal(409, 'It is there already.')
          received = Math.min(600_000, at + 256 * 1024)
          serveAlso({
            [`GET ${UPLOADS}/u1`]: {
              id: 'u1',
              size: 600_000,
              received,
              piece: 1,
              file: received >= 600_000 ? about : null,
            },
          })
          if (lost && at === 262_144) {
            lost = false
            throw new Error('the answer was lost')
          }
          return { id: 'u1', size: 600_000, received, piece: 1, file: received >= 600_000 ? about : null }
        }
      })(),
    })
    await user.upload(chooser(), file(600_000))
    await screen.findByText('waits for the network')
    dispatchEvent(new Event('online'))
    await waitFor(() => expect(given).toEqual(['f1']))
  })

  it('that is refused says why, and can be put away', async () => {
    takes(600_000, () => new Refusal(422, 'No.', 'This is not a picture, whatever its name says.'))
    const user = show(<Field scope="e" />)
    await user.upload(chooser(), file(600_000))
    expect((await screen.findByRole('alert')).textContent).toContain('whatever its name says')
    expect(await waiting().count('e')).toBe(0)
    await user.click(screen.getByRole('button', { name: 'Do not send chart.png' }))
    expect(screen.queryByRole('alert')).toBeNull()
    expect(given).toEqual([])
  })

  it('can be paused, gone on with, and given up', async () => {
    let hold: (() => void) | null = null
    takes(600_000, (at) =>
      at === 262_144 && !hold
        ? new Promise((done) => (hold = () => done(new Refusal(404, 'It was given up.'))))
        : undefined,
    )
    const user = show(<Field scope="f" />)
    await user.upload(chooser(), file(600_000))
    await waitFor(() => expect(hold).not.toBeNull())
    await user.click(screen.getByRole('button', { name: 'Pause chart.png' }))
    expect(screen.getByText('paused')).toBeTruthy()
    await user.click(screen.getByRole('button', { name: 'Do not send chart.png' }))
    await waitFor(() => expect(sent('DELETE', `${UPLOADS}/u1`)).toHaveLength(1))
    hold!()
    expect(screen.queryByText('paused')).toBeNull()
    expect(await waiting().count('f')).toBe(0)
    expect(given).toEqual([])
  })

  it('of a kind that is not taken is refused before it is sent, where it says what it is', async () => {
    takes(1)
    show(<Field scope="h" />)
    const drop = (type: string) =>
      userEvent
        .setup({ applyAccept: false })
        .upload(chooser(), new File(['x'], type === '' ? 'what' : 'notes.txt', { type }))
    await drop('text/plain')
    expect(screen.getByRole('alert').textContent).toContain('notes.txt is not taken here: pictures')
    expect(sent('POST', UPLOADS)).toEqual([])
    await drop('')
    await waitFor(() => expect(sent('POST', UPLOADS)).toHaveLength(1))
  })

  it('that is empty, too large or one too many is refused before it is sent', async () => {
    takes(1)
    const user = show(<Field scope="g" />)
    await user.upload(chooser(), file(0, 'nothing.png'))
    expect(screen.getByRole('alert').textContent).toContain('nothing.png is empty')
    await user.upload(chooser(), file(1_200_000, 'large.png'))
    expect(screen.getByRole('alert').textContent).toContain('large.png has 1.2 MB; at most 1 MB')
    await user.upload(chooser(), [file(1, '1.png'), file(1, '2.png'), file(1, '3.png')])
    expect(screen.getByRole('alert').textContent).toContain('There is room for 2 more.')
    expect(sent('POST', UPLOADS)).toEqual([])
  })
})

it('files of a preview stay in the page', async () => {
  serve({})
  URL.createObjectURL = () => 'blob:here'
  function Local() {
    const [files, setFiles] = useState<string[]>([])
    given = files
    return (
      <MediaProvider value={placeOf('/api/files', null, 'try')}>
        <FilesField label="Your files" files={files} onChange={setFiles} kinds={['picture']} most={1} megabytes={1} />
      </MediaProvider>
    )
  }
  const user = show(<Local />)
  await user.upload(chooser(), file(10))
  expect((await screen.findByRole('img', { name: 'chart.png' })).getAttribute('src')).toBe('blob:here')
  expect(given[0]).toMatch(/^local-/)
})
