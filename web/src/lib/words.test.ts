import { readFileSync } from 'node:fs'
import { expect, it } from 'vitest'
import { WORDS } from './words'

it('docs/words.md tells every word as the screens do', () => {
  const told = readFileSync('docs/words.md', 'utf8')
  for (const [word, meaning] of Object.entries(WORDS)) expect(told).toContain(`**${word}** · ${meaning}`)
})
