import { describe, expect, it } from 'vitest'
import { groupsOf, partsOf } from './parts'

type Output = Parameters<typeof partsOf>[0]

/** A build as it is split by itself: each chunk one module, with what it imports and what it fetches later. */
const built = (chunks: Record<string, { imports?: string[]; later?: string[]; size?: number }>) =>
  Object.entries(chunks).map(([name, { imports = [], later = [], size = 9000 }]) => ({
    type: 'chunk',
    fileName: name,
    isEntry: name === 'app/start',
    moduleIds: [name],
    imports,
    dynamicImports: later,
    code: 'x'.repeat(size),
  })) as unknown as Output
const isApp = (module: string) => module.startsWith('app/')
const SCREENS = { 'app/start': { imports: ['react'], later: ['bank', 'marks', 'wall'] }, react: {} }

describe('The parts that a build is put together of', () => {
  it('are what the same screens fetch; what one alone fetches stays by itself', () => {
    const parts = partsOf(
      built({
        ...SCREENS,
        bank: { imports: ['react', 'list', 'search', 'own'] },
        marks: { imports: ['list', 'search'] },
        wall: { imports: ['qr'] },
        list: { imports: ['rows'] },
        rows: {},
        search: {},
        own: {},
        qr: {},
      }),
      isApp,
    )
    expect([parts.get('app/start'), parts.get('react')]).toEqual(['entry', 'entry'])
    expect(new Set(['list', 'search', 'rows'].map((name) => parts.get(name))).size).toBe(1)
    expect(['own', 'qr', 'bank'].map((name) => parts.get(name))).toEqual([undefined, undefined, undefined])
  })

  it('do not follow what a screen fetches later', () => {
    const parts = partsOf(
      built({
        ...SCREENS,
        bank: { imports: ['list'], later: ['dialog'] },
        marks: { imports: ['list'] },
        wall: {},
        list: {},
        dialog: { imports: ['editor'] },
        editor: {},
      }),
      isApp,
    )
    expect([parts.has('list'), parts.has('editor'), parts.has('dialog')]).toEqual([true, false, false])
  })

  it('take a small one in where nearly the same screens fetch the other, and no large one', () => {
    const of = (size: number) =>
      partsOf(
        built({
          ...SCREENS,
          bank: { imports: ['all', 'two'] },
          marks: { imports: ['all', 'two'] },
          wall: { imports: ['all'] },
          all: {},
          two: { size },
        }),
        isApp,
      )
    expect(of(500).get('two')).toBe(of(500).get('all'))
    expect(of(20_000).get('two')).not.toBe(of(20_000).get('all'))
  })

  it('are put together from the widest to the narrowest', () => {
    const parts = new Map([
      ['a', 'of-1-2'],
      ['b', 'entry'],
      ['c', 'of-1-2-3'],
      ['d', 'of-1-2'],
    ])
    const groups = groupsOf(parts).sort((x, y) => y.priority - x.priority)
    expect(groups.map((group) => group.name)).toEqual(['entry', 'part-1', 'part-2'])
    expect(['a', 'b', 'c', 'd'].filter(groups[1]!.test)).toEqual(['c'])
    expect(['a', 'b', 'c', 'd'].filter(groups[2]!.test)).toEqual(['a', 'd'])
  })
})
