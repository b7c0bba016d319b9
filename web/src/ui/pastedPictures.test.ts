import { describe, expect, it } from 'vitest'
import { pastedPictures } from './pastedPictures'

const DOT = 'iVBORw0KGgoAAAANSUhEUgAAAAEAAAABCAYAAAAfFcSJAAAADUlEQVR42mP8z8BQDwAEhQGAhKmMIQAAAABJRU5ErkJggg=='
const clip = (html: string, { rtf = '', files = [] as File[] } = {}) =>
  ({
    getData: (kind: string) => (kind === 'text/html' ? html : kind === 'text/rtf' ? rtf : ''),
    files,
  }) as unknown as DataTransfer
const keys = () => {
  let n = 0
  return () => `k${++n}`
}

describe('Pictures on a clipboard', () => {
  it('are taken out of the markup, each with its words, and leave their places', async () => {
    const found = pastedPictures(
      clip(`<p>High <img src="data:image/png;base64,${DOT}" alt="a buoy"> water</p><table><tr><td>1</td></tr></table>`),
      keys(),
    )!
    expect(found.html).toContain('<p>High <img data-pasted="k1" alt="a buoy"> water</p>')
    expect(found.html).toContain('<td>1</td>')
    expect(found.pictures.map((p) => [p.key, p.alt, p.file.type])).toEqual([['k1', 'a buoy', 'image/png']])
    expect([...new Uint8Array(await found.pictures[0]!.file.arrayBuffer())].slice(1, 4)).toEqual([80, 78, 71])
  })

  it('come from the RTF where the markup names files of another machine', async () => {
    const rtf = String.raw`{\rtf1{\pict{\*\picprop\shplid1}\picw9\pngblip\bliptag7
89504e470d0a1a0a00ff}{\pict\wmetafile8 0102}}`
    const found = pastedPictures(clip('<p>A <img src="file:///C:/tmp/a.png"> B</p>', { rtf }), keys())!
    expect([...new Uint8Array(await found.pictures[0]!.file.arrayBuffer())]).toEqual([
      137, 80, 78, 71, 13, 10, 26, 10, 0, 255,
    ])
  })

  it('are left out where nothing tells which is which, and where they stand on the network', () => {
    const rtf = String.raw`{\pict\pngblip 89504e470d0a1a0a00ff}`
    expect(pastedPictures(clip('<p><img src="file:///a"><img src="file:///b">x</p>', { rtf }), keys())).toBeNull()
    expect(pastedPictures(clip('<p>x<img src="https://elsewhere.example/a.png"></p>'), keys())).toBeNull()
    expect(pastedPictures(clip('<p>x<img src="data:image/svg+xml;base64,PHN2Zz4="></p>'), keys())).toBeNull()
  })

  it('may be all that is there, as when a part of the screen was copied', () => {
    const shot = new File([new Uint8Array([1])], 'image.png', { type: 'image/png' })
    expect(pastedPictures(clip('', { files: [shot] }), keys())).toEqual({
      html: '<img data-pasted="k1" alt="">',
      pictures: [{ key: 'k1', file: shot, alt: '' }],
    })
    expect(pastedPictures(clip('<p>words</p>', { files: [shot] }), keys())).toBeNull()
  })
})
