import { ArrowUp, X } from 'lucide-react'
import type { Schemas } from '@/lib/api/client'
import { plural } from '@/lib/format'
import { Button } from '@/ui/Button'
import { ConditionField } from '@/ui/ConditionField'
import { TextField } from '@/ui/Field'
import { SelectField } from '@/ui/Select'
import { Tip } from '@/ui/Tip'
import type { Paper, Section } from './draft'
import {
  askedOf,
  END,
  inShort,
  leadsBack,
  mayHaveMore,
  MOST_ROUNDS,
  nameOf,
  waysOf,
  withFurtherWay,
  withoutWay,
  withWay,
  withWayUp,
  type Way,
} from './ways'

type Exits = Schemas['PaperSectionExitsView']['exits']

const PROVED: Record<string, string> = {
  never: 'never taken: no marks meet this',
  'taken above': 'never taken: whoever would go here has gone another way before',
  always: 'everybody goes this way',
}

/** The ways on from a section, in the order in which they are tried, written as a list; what is proved of each stands with it. */
export function SectionWays({
  paper,
  section,
  exits,
  at,
  onChoose,
  onChange,
}: {
  paper: Paper
  section: Section
  exits: Exits
  /** the way that is open for writing */
  at: number | null
  onChoose: (at: number | null) => void
  onChange: (paper: Paper) => void
}) {
  const ways = waysOf(paper, section)
  return (
    <section aria-label={`Ways on from ${section.title || 'this section'}`} className="flex flex-col gap-1">
      <h3 className="text-base">{ways.length > 1 ? 'Ways on, the first that fits is taken' : 'The way on'}</h3>
      <ol>
        {ways.map((way) => {
          const on = way.at === at
          const proved = ways.length > 1 ? PROVED[exits[way.at]?.says ?? ''] : undefined
          return (
            <li key={way.at} className={`border-b py-1 ${on ? 'rung-row bg-sheet' : ''}`}>
              <button
                type="button"
                aria-expanded={on}
                className="flex w-full items-baseline gap-2 px-2 text-left hover:underline"
                onClick={() => onChoose(on ? null : way.at)}
              >
                <span className={`min-w-0 flex-1 ${on ? 'font-semibold' : ''}`}>
                  {inShort(section, way, ways.length === 1)} → {nameOf(paper, way.to)}
                </span>
                {way.rounds ? (
                  <span className="text-sm whitespace-nowrap text-quiet">at most {plural(way.rounds, 'time')}</span>
                ) : null}
              </button>
              {proved ? (
                <p className={`px-2 text-sm ${proved.startsWith('never') ? 'text-bad' : 'text-quiet'}`}>
                  {proved.startsWith('never') ? '✕ ' : '○ '}
                  {proved}
                  {exits[way.at]?.says === 'taken above' && way.at > 0 && way.when !== null ? (
                    <Button
                      kind="quiet"
                      size="small"
                      className="ml-1"
                      onClick={() => {
                        onChange(withWayUp(paper, section, way.at))
                        onChoose(way.at - 1)
                      }}
                    >
                      Try it sooner
                    </Button>
                  ) : null}
                </p>
              ) : null}
              {on ? <WayForm {...{ paper, section, way, onChange, onChoose }} /> : null}
            </li>
          )
        })}
      </ol>
      {mayHaveMore(section) && paper.sections.length > 1 ? (
        <Button
          kind="quiet"
          size="small"
          className="-ml-2 self-start"
          onClick={() => {
            onChange(withFurtherWay(paper, section))
            onChoose(section.route?.exits.length ?? 0)
          }}
        >
          Add a way on
        </Button>
      ) : null}
    </section>
  )
}

function WayForm({
  paper,
  section,
  way,
  onChange,
  onChoose,
}: {
  paper: Paper
  section: Section
  way: Way
  onChange: (paper: Paper) => void
  onChoose: (at: number | null) => void
}) {
  const what = `way ${way.at + 1}`
  const set = (change: { when?: string; to?: string; rounds?: number }) =>
    onChange(withWay(paper, section, way.at, change))
  const places = [
    ...paper.sections
      // The last way asks for nothing, and so can never end what it leads back to.
      .filter((s) => way.when !== null || !leadsBack(paper, section.id, s.id))
      .map((s) => ({ value: s.id, label: s.id === section.id ? 'this section once more' : s.title || 'Section' })),
    { value: END, label: 'the end' },
  ]
  return (
    <div className="flex flex-col gap-2 px-2 py-2">
      {way.when !== null ? (
        <ConditionField label={what} value={way.when} known={askedOf(section)} onChange={(when) => set({ when })}>
          <TextField
            label={`When, of ${what}`}
            hideLabel
            className="font-mono text-[15px]"
            maxLength={1000}
            placeholder="q2 < 1 and share >= 0.5"
            value={way.when}
            onChange={(e) => set({ when: e.target.value })}
          />
        </ConditionField>
      ) : null}
      <SelectField label="leads to" size="small" value={way.to} onChange={(to) => set({ to })} options={places} />
      {way.rounds ? (
        <SelectField
          label="so often, for one student"
          size="small"
          value={String(way.rounds)}
          onChange={(rounds) => set({ rounds: Number(rounds) })}
          options={Array.from({ length: MOST_ROUNDS }, (_, i) => ({
            value: String(i + 1),
            label: i === 0 ? 'once' : i === 1 ? 'twice' : `${i + 1} times`,
          }))}
        />
      ) : null}
      {way.when !== null ? (
        <div className="flex gap-1">
          {way.at > 0 ? (
            <Tip says="Try it before the one above">
              <Button
                size="small"
                aria-label={`Move ${what} up`}
                onClick={() => {
                  onChange(withWayUp(paper, section, way.at))
                  onChoose(way.at - 1)
                }}
              >
                <ArrowUp aria-hidden className="size-4" /> Sooner
              </Button>
            </Tip>
          ) : null}
          <Button
            size="small"
            aria-label={`Take ${what} out`}
            onClick={() => {
              onChange(withoutWay(paper, section, way.at))
              onChoose(null)
            }}
          >
            <X aria-hidden className="size-4" /> Take out
          </Button>
        </div>
      ) : null}
    </div>
  )
}
