import { existsSync, readFileSync, statSync } from 'node:fs'
import { dirname, join, normalize } from 'node:path'
import { expect, it } from 'vitest'

const app = import.meta.dirname
const src = join(app, '..')
const found = (path: string) =>
  ['.tsx', '.ts', '/index.ts', ''].map((end) => path + end).find((file) => existsSync(file) && statSync(file).isFile())

// Of a type of answer: named in the registry, opened where questions are written and printed.
const FOR_STAFF = /answers\/\w+\/(Editor|Paper)\.tsx$/

/** Every file of ours that a page can come to load. */
function reached(from: string): Set<string> {
  const seen = new Set<string>()
  const open = [from]
  for (let file = open.pop(); file; file = open.pop()) {
    if (seen.has(file)) continue
    seen.add(file)
    for (const [, name = ''] of readFileSync(file, 'utf8').matchAll(/(?:from|import)\s*\(?\s*'([^']+)'/g)) {
      const path = name.startsWith('@/')
        ? join(src, name.slice(2))
        : name.startsWith('.')
          ? join(dirname(file), name)
          : ''
      const next = path && found(normalize(path))
      if (next && /\.tsx?$/.test(next) && !FOR_STAFF.test(next)) open.push(next)
    }
  }
  return seen
}

it.each(['student', 'staff'])('leaves out the styles of nothing that the page of %ss shows', (page) => {
  const left = [...readFileSync(join(app, `${page}.css`), 'utf8').matchAll(/@source not '([^'*]+)'/g)].map(
    ([, path = '']) => normalize(join(app, path)),
  )
  const pages = [...reached(join(app, `${page}.tsx`))]
  expect(pages.length).toBeGreaterThan(100)
  expect(left.length).toBeGreaterThan(5)
  expect(left.filter((path) => !existsSync(path))).toEqual([])
  expect(pages.filter((file) => left.some((path) => file === path || file.startsWith(`${path}/`)))).toEqual([])
})
