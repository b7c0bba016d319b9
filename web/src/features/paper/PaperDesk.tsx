import { useQueryClient } from '@tanstack/react-query'
import { useState, type ReactNode } from 'react'
import { Link, useNavigate, useSearchParams } from 'react-router'
import { problemOf, type Schemas } from '@/lib/api/client'
import { plural, timeOfDay } from '@/lib/format'
import { useKeys } from '@/lib/keys'
import { useSaid } from '@/lib/say'
import { Apart } from '@/ui/Apart'
import { Button } from '@/ui/Button'
import { Desk, Head } from '@/ui/Desk'
import { later } from '@/ui/later'
import { Pick } from '@/ui/Pick'
import { toast } from '@/ui/toast'
import { BankPicker } from './BankPicker'
import {
  freshId,
  inserted,
  lastBeside,
  numbersOf,
  sectionOf,
  stepped,
  withEntry,
  withoutEntry,
  type Entry,
  type Paper,
} from './draft'
import { ChangedInBank } from './ChangedInBank'
import { EditionNote } from './EditionNote'
import { Inspector } from './Inspector'
import { NewQuestion } from './NewQuestion'
import { Outline } from './Outline'
import { Rehearsal } from './Rehearsal'
import { PaperSheet } from './PaperSheet'
import { PaperTalk } from './PaperTalk'
import { sayPublished } from './published'
import { SeveralForm } from './SeveralForm'
import { severalOut } from './several'
import { useSeveral } from './useSeveral'
import { useTaking } from './useTaking'

import { useCompany } from './useCompany'
import { useDraft } from './useDraft'

const FACES = [
  { value: 'questions', label: 'Questions' },
  { value: 'routes', label: 'Routes' },
  { value: 'blueprint', label: 'Blueprint' },
] as const

const BlueprintDesk = later(() => import('./BlueprintDesk').then((it) => it.BlueprintDesk))
const PlacesDialog = later(() => import('./PlacesDialog').then((it) => it.PlacesDialog))
const DrawnDialog = later(() => import('./DrawnDialog').then((it) => it.DrawnDialog))
// What is written and recorded with is fetched when a source is chosen.
const SourceForm = later(() => import('./SourceForm').then((it) => it.SourceForm))
const RouteDesk = later(() => import('./RouteDesk').then((it) => it.RouteDesk))

type Props = {
  stored: Schemas['PaperPaperView']
  /** Draws a question of the bank with its key, and a way to change it. The bank's room supplies it. */
  question: (item: Schemas['Item'], itemId: string) => ReactNode
  /** The way to paper of its own; what is not saved yet is saved first. */
  printing: (title: string, flush: () => Promise<unknown>) => ReactNode
  /** A question as it is read with its key. */
  card: (item: Schemas['Item']) => ReactNode
}

export default function PaperDesk({ stored, question, printing, card }: Props) {
  const draft = useDraft(stored)
  const { paper, view, change } = draft
  const [selected, setSelected] = useState<string | null>(
    paper.sections[0]?.entries[0]?.id ?? paper.sections[0]?.id ?? null,
  )
  const [picking, setPicking] = useState(false)
  const [rehearsing, setRehearsing] = useState(false)
  const [toProof, setToProof] = useState(false)
  const [drawing, setDrawing] = useState<{ from: string; html: string } | null>(null)
  const [placing, setPlacing] = useState<string | null>(null)
  const client = useQueryClient()
  const navigate = useNavigate()
  const entries = paper.sections.flatMap((s) => s.entries)
  const entry = entries.find((e) => e.id === selected)
  const section =
    (entry ? sectionOf(paper, entry.id) : paper.sections.find((s) => s.id === selected)) ?? paper.sections[0]
  const several = useSeveral(
    entries.map((e) => e.id),
    selected,
    setSelected,
  )
  const others = useCompany(stored.id, selected, draft.catchUp)
  const blocking = view.proof.defects.filter((d) => d.blocks)
  const go = (by: number) => {
    const order = paper.sections.flatMap((s) => [s.id, ...s.entries.map((e) => e.id)])
    const next = order[Math.max(0, Math.min(order.length - 1, order.indexOf(selected ?? '') + by))]
    if (next) setSelected(next)
  }
  const [params, setParams] = useSearchParams()
  const asked = params.get('on')
  const face = FACES.find((f) => f.value === asked)?.value ?? 'questions'
  const turn = (to: (typeof FACES)[number]['value']) =>
    setParams(to === 'questions' || to === face ? {} : { on: to }, { replace: true })
  const { taken, takeIn, takeById } = useTaking(paper, change, setSelected)
  const items = {
    ...Object.fromEntries(Object.entries(taken).map(([id, { title }]) => [id, { title } as Schemas['Item']])),
    ...view.items,
  }
  const addSource = () => {
    if (!section) return
    const made: Entry = {
      id: freshId('e', paper),
      kind: 'source',
      source: { title: 'New source', html: '', picture: null, alt: '' },
    }
    change(inserted(paper, [made], section.id, entry?.id))
    setSelected(made.id)
  }
  const addSection = () => {
    const id = freshId('s', paper)
    change({
      ...paper,
      sections: [...paper.sections, { id, title: `Section ${paper.sections.length + 1}`, entries: [], route: null }],
    })
    setSelected(id)
  }
  const remove = (gone: Entry) => {
    const order = entries.map((e) => e.id)
    const at = order.indexOf(gone.id)
    change(withoutEntry(paper, gone.id))
    setSelected(order[at + 1] ?? order[at - 1] ?? section?.id ?? null)
  }
  const write = async (type: string) => {
    await draft.flush()
    void navigate(`/bank/new/${type}?paper=${stored.id}&at=${entry?.id ?? section?.id ?? ''}`)
  }
  const rehearse = () => {
    if (view.proof.mostQuestions > 0) void draft.flush().then(() => setRehearsing(true))
  }
  const takeRows = (rows: Schemas['BankItemRowView'][]) => {
    if (section) setSelected(takeIn(rows, section.id, entry?.id).at(-1) ?? selected)
  }
  const publish = async () => {
    try {
      await sayPublished(client, await draft.publish())
    } catch (thrown) {
      const problem = problemOf(thrown)
      toast(`${problem.message} ${problem.detail}`, { bad: true })
    }
  }
  useKeys({
    'Ctrl+z': { label: 'Undo', run: draft.undo },
    'Ctrl+Shift+z': { label: 'Redo', run: draft.redo },
    'Ctrl+Shift+Z': { label: 'Redo', run: draft.redo },
    m: { label: 'The routes as a map, and back', run: () => turn('routes') },
    b: { label: 'The blueprint, and back', run: () => turn('blueprint') },
    ...(face !== 'questions'
      ? {}
      : {
          j: { label: 'Next part', run: () => go(1) },
          k: { label: 'Previous part', run: () => go(-1) },
          'Alt+ArrowDown': { label: 'Move the part down', run: () => entry && change(stepped(paper, entry.id, 1)) },
          'Alt+ArrowUp': { label: 'Move the part up', run: () => entry && change(stepped(paper, entry.id, -1)) },
          a: { label: 'Take questions from the bank', run: () => setPicking(true) },
          s: { label: 'Add a source', run: addSource },
          r: { label: 'Rehearse', run: rehearse },
          x: {
            label: 'Choose the part with others',
            run: () => entry && several.choose(entry.id, 'with'),
          },
          Delete: {
            label: 'Take the part out, or all that are chosen',
            run: () => (several.chosen.length > 0 ? change(severalOut(paper, several.chosen)) : entry && remove(entry)),
          },
        }),
  })
  const said =
    draft.save.kind === 'saving'
      ? 'saving …'
      : draft.save.kind === 'unsaved'
        ? 'not saved yet'
        : draft.save.kind === 'failed' || draft.save.kind === 'apart'
          ? ''
          : draft.save.at
            ? `saved ${timeOfDay(draft.save.at)}`
            : 'saved'
  useSaid(draft.save.kind === 'saved' && draft.save.at ? 'The draft is saved.' : '')
  useSaid(draft.back ? 'Unsaved changes have come back.' : '')
  return (
    <>
      <Head
        title={paper.title || 'Untitled paper'}
        note={
          <>
            <EditionNote
              view={view}
              onGo={(id) => {
                setSelected(id)
                turn('questions')
              }}
            />
            {` · ${said}`}
            {others.length > 0 ? (
              <b className="text-ink">
                {' '}
                · {others.map((o) => o.name).join(', ')} {others.length === 1 ? 'is' : 'are'} here too
              </b>
            ) : null}
          </>
        }
      >
        {view.proof.defects.length > 0 ? (
          <button
            className={`min-h-7 text-[15px] underline ${blocking.length > 0 ? 'text-bad' : 'text-blue'}`}
            onClick={() => {
              setSelected(null)
              turn('questions')
              setToProof(true)
            }}
          >
            {plural(view.proof.defects.length, 'defect')}
            {blocking[0] ? <span className="sr-only">: {blocking[0].message}</span> : null}
          </button>
        ) : null}
        <Button disabled={!draft.canUndo} onClick={draft.undo}>
          Undo
        </Button>
        <Pick label="What of the paper is shown" options={FACES} value={face} onChange={turn} />
        <Button onClick={() => void draft.flush().then(() => navigate(`/papers/${stored.id}/preview`))}>Preview</Button>
        {printing(paper.title, draft.flush)}
        {view.edition !== null && !view.ahead ? (
          <Link
            className="rounded border border-rust bg-rust px-3 py-1.5 text-[15px] font-semibold text-on-rust hover:bg-rust-dark"
            to={`/handouts/new?edition=${view.editionId}`}
          >
            Hand out
          </Link>
        ) : (
          <Button kind="do" disabled={blocking.length > 0} onClick={() => void publish()}>
            Publish edition {(view.edition ?? 0) + 1}
          </Button>
        )}
      </Head>
      {draft.save.kind === 'failed' ? (
        <p role="alert" className="border-b bg-sheet px-5 py-2 font-semibold text-bad">
          ✕ {draft.save.problem.message} <span className="font-normal">{draft.save.problem.detail}</span>{' '}
          <Button size="small" onClick={() => void draft.flush()}>
            Save again
          </Button>
        </p>
      ) : null}
      {draft.save.kind === 'apart' ? <Apart draft={draft.draft} line={draft.save} /> : null}
      {draft.back ? (
        <p className="flex items-center gap-3 border-b bg-sheet px-5 py-2">
          What you had not saved is back, and is being saved.
          <Button size="small" onClick={draft.undo}>
            Take the saved one instead
          </Button>
        </p>
      ) : null}
      <ChangedInBank view={view} onSelect={setSelected} />
      {face === 'blueprint' ? (
        <BlueprintDesk
          paperId={stored.id}
          paper={paper}
          view={view}
          onChange={change}
          onTake={(rows) => {
            takeRows(rows)
            toast(`“${rows[0]?.title ?? ''}” stands in “${section?.title || 'Section'}”.`, { undo: draft.undo })
          }}
        />
      ) : face === 'routes' ? (
        <RouteDesk
          paperId={stored.id}
          paper={paper}
          view={view}
          saved={draft.save.kind === 'saved'}
          start={section?.id ?? null}
          onChange={change}
        />
      ) : (
        <Desk
          leftLabel="Outline"
          rightLabel="Settings and proof"
          left={
            <div className="flex flex-col gap-4">
              <label className="flex flex-col gap-1 text-sm font-semibold">
                Title
                <input
                  className="field font-normal"
                  value={paper.title}
                  onChange={(e) => change({ ...paper, title: e.target.value })}
                />
              </label>
              <Outline
                paper={paper}
                items={items}
                selected={selected}
                chosen={several.chosen}
                onSelect={several.choose}
                onChange={(next: Paper) => change(next)}
                blocked={new Set(blocking.map((d) => d.where))}
                others={others}
              />
              <div className="flex flex-col gap-2 border-t pt-3">
                <Button hint="a" onClick={() => setPicking(true)}>
                  From the bank
                </Button>
                <NewQuestion onPick={(type) => void write(type)} />
                <Button hint="s" onClick={addSource}>
                  Add a source
                </Button>
                <Button onClick={addSection}>Add a section</Button>
              </div>
            </div>
          }
          right={
            <div className="flex flex-col gap-6">
              {several.chosen.length > 0 ? (
                <SeveralForm paper={paper} chosen={several.chosen} onChange={change} onLetGo={several.letGo} />
              ) : null}
              <Inspector
                paperId={stored.id}
                paper={paper}
                proof={view.proof}
                selected={selected}
                onChange={change}
                onSelect={setSelected}
                onRehearse={rehearse}
                toProof={toProof}
                onThere={() => setToProof(false)}
              />
              <PaperTalk paperId={stored.id} paper={paper} items={view.items} />
            </div>
          }
        >
          <div className="mx-auto flex max-w-3xl flex-col gap-4 p-6">
            {section?.entries.length === 0 ? (
              <p className="rounded border border-dashed border-edge p-6 text-quiet">
                “{section.title}” is empty. Take questions from the bank (key a), or add a source (key s).
              </p>
            ) : null}
            {section?.entries.map((one) => (
              <PaperSheet
                key={one.id}
                entry={one}
                number={numbersOf(paper).get(one.id)}
                on={one.id === selected}
                onSelect={() => setSelected(one.id)}
                onRemove={() => remove(one)}
              >
                {one.kind === 'source' ? (
                  one.id === selected ? (
                    <SourceForm
                      source={one.source}
                      place={`${view.id}-${one.id}`}
                      onChange={(source) => change(withEntry(paper, { ...one, source }))}
                      onDraw={() => setDrawing({ from: one.id, html: one.source.html })}
                      onPlaces={() => setPlacing(one.id)}
                    />
                  ) : (
                    <p className="font-semibold">{one.source.title}</p>
                  )
                ) : view.items[one.item] ? (
                  one.id === selected ? (
                    question(view.items[one.item]!, one.item)
                  ) : (
                    <p className="font-semibold">{view.items[one.item]?.title}</p>
                  )
                ) : taken[one.item] ? (
                  <p className="font-semibold">{taken[one.item]?.title}</p>
                ) : (
                  <p className="text-bad">✕ This question is no longer in the bank.</p>
                )}
              </PaperSheet>
            ))}
          </div>
        </Desk>
      )}
      <Rehearsal paperId={stored.id} version={view.version} open={rehearsing} onClose={() => setRehearsing(false)} />
      <BankPicker
        open={picking}
        onClose={() => setPicking(false)}
        used={new Set(entries.flatMap((e) => (e.kind === 'question' ? [e.item] : [])))}
        onTake={takeRows}
      />
      {placing ? (
        <PlacesDialog
          paper={paper}
          source={placing}
          onClose={() => setPlacing(null)}
          onKept={(made) => {
            setPlacing(null)
            void takeById(Object.keys(made), lastBeside(paper, placing), made)
            toast(`${plural(Object.keys(made).length, 'question')} kept, in the bank and here.`, { undo: draft.undo })
          }}
        />
      ) : null}
      {drawing ? (
        <DrawnDialog
          html={drawing.html}
          card={card}
          onClose={() => setDrawing(null)}
          onKept={(ids) => {
            setDrawing(null)
            void takeById(ids, drawing.from)
            toast(`${plural(ids.length, 'question')} kept, in the bank and here.`, { undo: draft.undo })
          }}
        />
      ) : null}
    </>
  )
}
