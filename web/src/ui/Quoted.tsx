import { isRich } from '@/lib/said'
import { Rich } from '@/lib/Rich'

/** What a line of a key says to a student, as it is quoted beside it. */
export const Quoted = ({ words }: { words: string }) =>
  isRich(words) ? <Rich html={words} className="italic" /> : <p className="italic">“{words}”</p>
