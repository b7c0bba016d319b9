import { afterEach, describe, expect, it, vi } from 'vitest'

const WORK = '0190a0a0-0000-7000-8000-00000000000a'
const at = async (path: string) => {
  vi.resetModules()
  history.replaceState(null, '', path)
  return import('./framed')
}
afterEach(() => history.replaceState(null, '', '/'))

describe('A page within a page of others', () => {
  it('knows that it is one by its address, and of what work', async () => {
    const inside = await at(`/framed/${WORK}/my/to/${WORK}`)
    expect(inside.FRAME).toBe(`/framed/${WORK}`)
    expect(inside.FRAMED_WORK).toBe(WORK)
    for (const other of ['/my', '/join', `/framed/${WORK}x`, '/framed/', `/my/framed/${WORK}`]) {
      const alone = await at(other)
      expect([alone.FRAME, alone.FRAMED_WORK]).toEqual(['', null])
    }
  })

  it('is shown by a code in which a title stays a title', async () => {
    const { codeToFrame } = await at('/')
    const code = codeToFrame('https://quiz.school.example', { id: WORK, title: '"><script>Tides</script>' })
    const read = new DOMParser().parseFromString(code, 'text/html').body
    expect(read.children).toHaveLength(1)
    const frame = read.querySelector('iframe')
    expect(frame?.src).toBe(`https://quiz.school.example/framed/${WORK}`)
    expect(frame?.title).toBe('"><script>Tides</script>')
    expect(frame?.getAttribute('allow')).toContain('microphone')
  })
})
