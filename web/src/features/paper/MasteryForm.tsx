import { percent, rational } from '@/lib/format'
import { CountField } from '@/ui/CountField'
import { Fold } from '@/ui/Fold'
import { NumberField } from '@/ui/NumberField'
import { SelectField } from '@/ui/Select'
import { Tick } from '@/ui/Tick'
import type { Paper } from './draft'

type Rule = NonNullable<Paper['mastery']>
type Shown = NonNullable<Rule['shown']>

const KINDS: readonly { value: Shown['kind'] | ''; label: string }[] = [
  { value: '', label: 'each is right' },
  { value: 'streak', label: 'its skill: so many right in a row' },
  { value: 'of last', label: 'its skill: so many of the last right' },
  { value: 'share', label: 'its skill: a share of the marks' },
  { value: 'known', label: 'its skill: most likely known' },
]
/** What each kind asks at first. */
const USUAL: Record<Shown['kind'], Shown> = {
  streak: { kind: 'streak', right: 3 },
  'of last': { kind: 'of last', right: 4, answers: 5 },
  share: { kind: 'share', share: '4/5', answers: 5 },
  known: { kind: 'known', share: '19/20' },
}
const MOST = 50
/** The chances of Corbett & Anderson 1995, with what they are taken for where nothing is said. */
const CHANCES = [
  { name: 'known', label: 'Knows it from the start', usual: '0.3' },
  { name: 'learn', label: 'Learns it at a question', usual: '0.15' },
  { name: 'slip', label: 'Slips though it is known', usual: '0.1' },
  { name: 'guess', label: 'Guesses right without it', usual: '0.25' },
] as const

const without = (rule: Rule, member: 'shown' | 'otherNumbers' | 'gap') =>
  Object.fromEntries(Object.entries(rule).filter(([name]) => name !== member)) as Rule

/** When a student has shown enough, and what comes back until then. `sentence`: the rule as it was last saved, in words. */
export function MasteryForm({
  paper,
  sentence,
  onChange,
}: {
  paper: Paper
  sentence: string
  onChange: (paper: Paper) => void
}) {
  const rule = paper.mastery
  const set = (mastery: Paper['mastery']) => onChange({ ...paper, mastery })
  return (
    <section className="flex flex-col gap-2">
      <h2 className="text-lg">Mastery rule</h2>
      <Tick
        label="Missed questions come back"
        checked={rule !== null}
        onChange={(on) => set(on ? { returns: 2, credits: ['1', '1/2', '1/4'] } : null)}
      />
      {rule ? (
        <>
          {sentence === '' ? null : <p className="text-[15px] text-quiet">{sentence}</p>}
          <SelectField
            label="Until"
            value={rule.shown?.kind ?? ''}
            onChange={(kind) => {
              const rest = without(rule, 'shown')
              set(kind === '' ? rest : { ...rest, shown: USUAL[kind] })
            }}
            options={KINDS}
          />
          {rule.shown ? <ShownForm shown={rule.shown} onChange={(shown) => set({ ...rule, shown })} /> : null}
          <SelectField
            label="Those with numbers of their own"
            value={rule.otherNumbers ? 'other' : 'same'}
            onChange={(which) => {
              const rest = without(rule, 'otherNumbers')
              set(which === 'other' ? { ...rest, otherNumbers: true } : rest)
            }}
            options={[
              { value: 'same', label: 'come back with the same numbers' },
              { value: 'other', label: 'come back with other numbers' },
            ]}
          />
          <CountField
            label="After at least so many other questions"
            least={0}
            most={20}
            value={rule.gap ?? 0}
            onChange={(gap) => {
              const rest = without(rule, 'gap')
              set(gap === 0 ? rest : { ...rest, gap })
            }}
          />
          <Tries rule={rule} onChange={set} />
        </>
      ) : null}
    </section>
  )
}

function ShownForm({ shown, onChange }: { shown: Shown; onChange: (shown: Shown) => void }) {
  const right = (
    <CountField
      label={shown.kind === 'streak' ? 'Right in a row' : 'Right'}
      most={shown.kind === 'of last' ? (shown.answers ?? MOST) : MOST}
      value={shown.right ?? 1}
      onChange={(n) => onChange({ ...shown, right: n })}
    />
  )
  const answers = (label: string) => (
    <CountField
      label={label}
      least={shown.kind === 'of last' ? (shown.right ?? 1) : 1}
      most={MOST}
      value={shown.answers ?? 1}
      onChange={(n) => onChange({ ...shown, answers: n })}
    />
  )
  if (shown.kind === 'streak') return right
  if (shown.kind === 'of last')
    return (
      <div className="grid grid-cols-2 gap-2">
        {right}
        {answers('Of the last')}
      </div>
    )
  if (shown.kind === 'share')
    return (
      <div className="grid grid-cols-2 gap-2">
        <SelectField
          label="Of the marks"
          value={shown.share ?? '4/5'}
          onChange={(share) => onChange({ ...shown, share })}
          options={[...new Set(['1/2', '3/5', '7/10', '3/4', '4/5', '9/10', '1', shown.share ?? '4/5'])].map(
            (share) => ({
              value: share,
              label: percent(rational(share)),
            }),
          )}
        />
        {answers('Over at least, answers')}
      </div>
    )
  return (
    <>
      <NumberField
        label="From this chance on, 0 to 1"
        value={shown.share ?? '19/20'}
        onChange={(share) => onChange({ ...shown, share })}
      />
      <Fold label="What it is reckoned with">
        <div className="grid grid-cols-2 gap-2">
          {CHANCES.map(({ name, label, usual }) => (
            <NumberField
              key={name}
              label={label}
              value={shown[name] ?? usual}
              onChange={(chance) => onChange({ ...shown, [name]: chance })}
            />
          ))}
        </div>
      </Fold>
    </>
  )
}

function Tries({ rule, onChange }: { rule: Rule; onChange: (rule: Rule) => void }) {
  const credit = (i: number) => rule.credits[Math.min(i, rule.credits.length - 1)] ?? '1'
  const credits = (returns: number) => Array.from({ length: returns + 1 }, (_, i) => credit(i))
  return (
    <>
      <SelectField
        label="At most"
        value={String(rule.returns)}
        onChange={(returns) => onChange({ ...rule, returns: Number(returns), credits: credits(Number(returns)) })}
        options={[
          { value: '1', label: 'once' },
          { value: '2', label: 'twice' },
          { value: '3', label: 'three times' },
          ...(rule.returns > 3 ? [{ value: String(rule.returns), label: `${rule.returns} times` }] : []),
        ]}
      />
      {credits(rule.returns).map((share, i) => (
        <SelectField
          key={i}
          label={`Try ${i + 1} earns`}
          value={share}
          onChange={(next) =>
            onChange({ ...rule, credits: credits(rule.returns).map((one, j) => (i === j ? next : one)) })
          }
          options={[...new Set(['1', '3/4', '1/2', '1/4', '0', share])].map((c) => ({
            value: c,
            label: c === '1' ? 'all marks' : c === '0' ? 'no marks' : `${c} of the marks`,
          }))}
        />
      ))}
    </>
  )
}
