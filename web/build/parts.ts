import type { Rolldown } from 'vite'

type Output = Rolldown.RolldownOutput['output']
type Chunk = Rolldown.OutputChunk

const ENTRY = 'entry'
/** Letters that all screens together may fetch without need, for one request less. */
const MOST_WASTED = 10_000

/**
 * Names for the parts that a build is to be put together of: what is fetched by the same screens is one part. So a screen fetches what it
 * needs and nothing else, in as few requests as that allows; browsers ask for six files at a time, and a desk is made of some eighty
 * small ones. A screen is what an address leads to; what a screen fetches later, when it is wanted, is none.
 *
 * @param output  of a build that was split as far as can be
 * @param isApp   whether a module's own fetches are screens
 * @returns by module
 */
export function partsOf(output: Output, isApp: (module: string) => boolean): Map<string, string> {
  const chunks = new Map(output.filter((one): one is Chunk => one.type === 'chunk').map((one) => [one.fileName, one]))
  const reached = (names: readonly string[], seen = new Set<string>()) => {
    for (const name of names)
      if (!seen.has(name)) {
        seen.add(name)
        reached(chunks.get(name)?.imports ?? [], seen)
      }
    return seen
  }
  const first = reached([...chunks.values()].filter((one) => one.isEntry).map((one) => one.fileName))
  const screens = new Set<string>()
  const queue = [...first]
  for (let name = queue.pop(); name !== undefined; name = queue.pop()) {
    const chunk = chunks.get(name)
    if (!chunk?.moduleIds.some(isApp)) continue
    for (const screen of chunk.dynamicImports)
      if (!screens.has(screen)) {
        screens.add(screen)
        queue.push(screen)
      }
  }
  const of = new Map<string, number[]>()
  ;[...screens].forEach((screen, n) => {
    for (const name of reached([screen])) of.set(name, [...(of.get(name) ?? []), n])
  })
  const parts = merged(
    [...chunks.values()]
      .filter((chunk) => !first.has(chunk.fileName) && (of.get(chunk.fileName)?.length ?? 0) > 1)
      .map((chunk) => ({ screens: of.get(chunk.fileName) ?? [], modules: chunk.moduleIds, size: chunk.code.length })),
  )
  return new Map([
    ...parts.flatMap(({ screens, modules }) => modules.map((module) => [module, `of-${screens.join('-')}`] as const)),
    ...[...first].flatMap((name) => (chunks.get(name)?.moduleIds ?? []).map((module) => [module, ENTRY] as const)),
  ])
}

type Part = { screens: number[]; modules: string[]; size: number }

/** A small part is fetched with another that all of its screens fetch, where few others fetch that and so get it for nothing. */
function merged(parts: Part[]): Part[] {
  const whole = new Map<string, Part>()
  for (const part of parts) {
    const key = part.screens.join('-')
    const known = whole.get(key)
    whole.set(key, {
      ...part,
      modules: [...(known?.modules ?? []), ...part.modules],
      size: part.size + (known?.size ?? 0),
    })
  }
  for (const small of [...whole.values()].sort((x, y) => x.size - y.size)) {
    const [wider] = [...whole.values()]
      .filter((one) => one !== small && small.screens.every((screen) => one.screens.includes(screen)))
      .sort((x, y) => x.screens.length - y.screens.length)
    if (!wider || small.size * (wider.screens.length - small.screens.length) > MOST_WASTED) continue
    whole.delete(small.screens.join('-'))
    wider.modules.push(...small.modules)
    wider.size += small.size
  }
  return [...whole.values()]
}

/** The widest first: what a module needs is fetched by at least as many screens. */
export function groupsOf(parts: ReadonlyMap<string, string>) {
  const widthOf = (part: string) => (part === ENTRY ? Infinity : part.split('-').length)
  const names = [...new Set(parts.values())].sort((a, b) => widthOf(b) - widthOf(a))
  return names.map((name, n) => ({
    // What it is called says nothing; whose it is stands in the order of the screens, which changes.
    name: name === ENTRY ? ENTRY : `part-${n}`,
    test: (module: string) => parts.get(module) === name,
    priority: names.length - n,
  }))
}
