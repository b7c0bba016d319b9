// What processes have used of the processors, by group.
import { readFileSync } from 'node:fs'

/** Of one unit in /proc/…/stat (proc(5), fields 14 to 17; USER_HZ is 100 on Linux). */
const MS = 10
const first = (file) => readFileSync(file, 'utf8').split('\n')[0]

/** Milliseconds that a process and its children, those that are over too, have used. */
function used(process) {
  const children = readFileSync(`/proc/${process}/task/${process}/children`, 'utf8').split(' ').filter(Boolean)
  return [process, ...children].reduce((sum, one) => sum + ownTime(one, one === process), 0)
}

function ownTime(process, isParent) {
  try {
    const stat = readFileSync(`/proc/${process}/stat`, 'utf8')
    // The name, in brackets, may hold blanks.
    const times = stat.slice(stat.lastIndexOf(')') + 2).split(' ').slice(11, 15).map(Number)
    return MS * (times[0] + times[1] + (isParent ? times[2] + times[3] : 0))
  } catch {
    return 0
  }
}

/** @param files by group, those in which the numbers of parents stand */
export const groups = (files) => {
  const parents = Object.fromEntries(Object.entries(files).map(([name, file]) => [name, first(file)]))
  return () => ({
    client: (process.cpuUsage().user + process.cpuUsage().system) / 1000,
    ...Object.fromEntries(Object.entries(parents).map(([name, parent]) => [name, used(parent)])),
  })
}
