import type { PaperProps } from '../kinds'
import { Passage } from './Passage'
import { firstOf, wordsOf } from './written'

/** The passage with places to write, or with what is right in them. */
export default function Paper({ rule, withKey }: PaperProps<'gaps'>) {
  return (
    <div className="mt-2">
      {rule.bank ? (
        <p className="mb-1 flex flex-wrap gap-x-5 border border-black px-3 py-1">
          {[...wordsOf(rule), ...rule.bank]
            .sort((a, b) => a.localeCompare(b))
            .map((word, i) => (
              <span key={i}>{word}</span>
            ))}
        </p>
      ) : null}
      <Passage passage={rule.passage} gaps={rule.gaps}>
        {(_, place) => {
          const gap = rule.gaps[place]
          return withKey && gap ? (
            <b className="border-b border-black px-1">✓ {firstOf(gap)}</b>
          ) : (
            <span className="inline-block w-28 border-b border-black"> </span>
          )
        }}
      </Passage>
    </div>
  )
}
