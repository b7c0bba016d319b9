// Turns the lines of run.mjs into the table of docs/performance.md, and prints it.
import { readFileSync, writeFileSync } from 'node:fs'
import os from 'node:os'

const [, , linesFile, target] = process.argv
const lines = readFileSync(linesFile, 'utf8')
  .split('\n')
  .filter((line) => line.startsWith('{'))
  .map((line) => JSON.parse(line))
const stolen = lines.find((l) => 'stolen' in l)?.stolen ?? 0
lines.splice(0, lines.length, ...lines.filter((l) => 'name' in l))
const rows = lines.map((l) => `| ${l.name} | ${l.value} | ${l.aim} | ${l.met === null ? '–' : l.met ? 'met' : '**missed**'} | ${l.how} |`)
const table = ['| what | measured | aim | | how |', '| --- | --- | --- | --- | --- |', ...rows].join('\n')
const START = '<!-- measured -->'
const END = '<!-- /measured -->'
const page = readFileSync(target, 'utf8')
const note = `Measured by \`bin/bench\` on ${new Date().toISOString().slice(0, 10)}: ${os.cpus().length} cores, ${Math.round(os.totalmem() / 2 ** 30)} GiB, load generator and browser on the same machine; its host took ${Math.round(100 * stolen)} % of the processor time away during the run.`
writeFileSync(target, page.slice(0, page.indexOf(START) + START.length) + `\n${note}\n\n${table}\n` + page.slice(page.indexOf(END)))
for (const l of lines) console.log(`${l.met === null ? '·' : l.met ? '✓' : '✕'} ${l.name}\n    ${l.value}   aim ${l.aim}`)
