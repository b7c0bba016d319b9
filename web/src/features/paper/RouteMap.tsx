import '@xyflow/react/dist/base.css'
import {
  BaseEdge,
  EdgeLabelRenderer,
  Handle,
  Panel,
  Position,
  ReactFlow,
  ReactFlowProvider,
  useReactFlow,
  type Edge,
  type EdgeProps,
  type Node,
  type NodeProps,
} from '@xyflow/react'
import { Maximize2, Minus, Plus } from 'lucide-react'
import { useEffect, useMemo, useRef } from 'react'
import type { Schemas } from '@/lib/api/client'
import { marks, plural } from '@/lib/format'
import { Tip } from '@/ui/Tip'
import type { Paper } from './draft'
import { sizeOf } from './draft'
import { linesOf, mapOf, type Line, type Ribbon } from './mapLayout'
import { END, nameOf } from './ways'

const WHOLE = { maxZoom: 1, padding: 0.06 }

export type Chosen = { section: string; at: number | null }

type Place = {
  title: string
  facts: string
  first: boolean
  reached: boolean
  on: boolean
  faults: number
  end: boolean
  choose: () => void
}
type Drawn = { ribbon: Ribbon; line: Line; on: boolean; name: string; choose: () => void }

/** The routes as a map: sections as boxes, ways as ribbons as wide as the share of made-up students that go there. */
export function RouteMap(props: {
  paper: Paper
  proof: Schemas['PaperProofView']
  found: Schemas['PaperRehearsalView'] | undefined
  chosen: Chosen | null
  onChoose: (chosen: Chosen) => void
}) {
  return (
    <ReactFlowProvider>
      <Map {...props} />
    </ReactFlowProvider>
  )
}

function Map({ paper, proof, found, chosen, onChoose }: Parameters<typeof RouteMap>[0]) {
  const { fitView } = useReactFlow()
  const { boxes, ribbons } = useMemo(() => mapOf(paper, proof, found), [paper, proof, found])
  const lines = useMemo(() => linesOf(boxes, ribbons), [boxes, ribbons])
  const nodes = boxes.map((box): Node<Place> => {
    const section = paper.sections.find((s) => s.id === box.id)
    const { questions, of, points } = section ? sizeOf(section) : { questions: 0, of: 0, points: 0 }
    const faults = proof.defects.filter(
      (d) => d.blocks && (d.where === box.id || section?.entries.some((e) => e.id === d.where)),
    )
    return {
      id: box.id,
      type: 'place',
      position: { x: box.x, y: box.y },
      width: box.width,
      height: box.height,
      draggable: false,
      selectable: false,
      data: {
        title: nameOf(paper, box.id),
        facts: `${questions < of ? `${questions} of ` : ''}${plural(of, 'question')} · ${marks(points)} ${points === 1 ? 'mark' : 'marks'}`,
        first: paper.sections[0]?.id === box.id,
        reached:
          box.id === END || !proof.defects.some((d) => d.where === box.id && d.message.endsWith('is never reached.')),
        on: chosen?.section === box.id && chosen.at === null,
        faults: faults.length,
        end: box.id === END,
        choose: () => onChoose({ section: box.id, at: null }),
      },
    }
  })
  const edges = ribbons.map((ribbon): Edge<Drawn> => ({
    id: ribbon.id,
    type: 'ribbon',
    source: ribbon.from,
    target: ribbon.to,
    selectable: false,
    focusable: false,
    data: {
      ribbon,
      line: lines.get(ribbon.id)!,
      on: chosen?.section === ribbon.from && chosen.at === ribbon.at,
      name: `${nameOf(paper, ribbon.from)} to ${nameOf(paper, ribbon.to)}`,
      choose: () => onChoose({ section: ribbon.from, at: ribbon.at }),
    },
  }))
  // Seen whole again whenever a section or a way comes or goes, or the map has other room; not while one types.
  const shape = boxes.map((b) => b.id).join(' ') + ribbons.map((r) => r.id + r.to).join(' ')
  const frame = useRef<HTMLDivElement>(null)
  useEffect(() => {
    const whole = () => void fitView(WHOLE)
    const watch = new ResizeObserver(whole)
    if (frame.current) watch.observe(frame.current)
    const first = requestAnimationFrame(whole)
    return () => {
      watch.disconnect()
      cancelAnimationFrame(first)
    }
  }, [shape, fitView])
  return (
    <div ref={frame} className="size-full">
      <ReactFlow
        nodes={nodes}
        edges={edges}
        nodeTypes={NODES}
        edgeTypes={EDGES}
        nodesFocusable={false}
        edgesFocusable={false}
        nodesConnectable={false}
        elementsSelectable={false}
        disableKeyboardA11y
        deleteKeyCode={null}
        zoomOnScroll={false}
        zoomOnDoubleClick={false}
        panOnScroll
        minZoom={0.15}
        maxZoom={1.6}
        fitView
        fitViewOptions={WHOLE}
        proOptions={{ hideAttribution: true }}
      >
        <Zoom />
      </ReactFlow>
    </div>
  )
}

function Zoom() {
  const { fitView, zoomIn, zoomOut } = useReactFlow()
  const acts = [
    ['Larger', Plus, () => void zoomIn()],
    ['Smaller', Minus, () => void zoomOut()],
    ['The whole map', Maximize2, () => void fitView(WHOLE)],
  ] as const
  return (
    <Panel position="bottom-right" className="flex gap-1">
      {acts.map(([label, Icon, run]) => (
        <Tip key={label} says={label}>
          <button
            type="button"
            aria-label={label}
            className="flex size-8 items-center justify-center rounded border border-edge bg-sheet hover:border-ink"
            onClick={run}
          >
            <Icon aria-hidden className="size-4" />
          </button>
        </Tip>
      ))}
    </Panel>
  )
}

function PlaceNode({ data }: NodeProps<Node<Place>>) {
  const handles = (
    <>
      <Handle type="target" position={Position.Left} isConnectable={false} className="invisible" />
      <Handle type="source" position={Position.Right} isConnectable={false} className="invisible" />
    </>
  )
  if (data.end)
    return (
      <div className="flex h-full items-center justify-center rounded border bg-pale text-[15px] text-quiet">
        {handles}the end
      </div>
    )
  return (
    <>
      {handles}
      <button
        type="button"
        aria-current={data.on || undefined}
        className={`nodrag nopan flex size-full flex-col items-start justify-center rounded border bg-sheet px-3.5 text-left hover:border-ink ${data.on ? 'rung-top border-ink' : ''} ${data.reached ? '' : 'border-dashed border-edge'}`}
        onClick={data.choose}
      >
        <span className="line-clamp-2 font-head leading-tight font-semibold">{data.title}</span>
        <span className="text-sm text-quiet">{data.facts}</span>
        {data.first ? <span className="text-sm">all start here</span> : null}
        {data.reached ? null : <span className="text-sm text-bad">nobody comes</span>}
        {data.faults > 0 && data.reached ? (
          <span className="text-sm text-bad">✕ {plural(data.faults, 'defect')}</span>
        ) : null}
      </button>
    </>
  )
}

const colour = ({ state, share }: Ribbon) =>
  state === 'never' ? 'var(--color-bad)' : share === null || share < 0.5 ? 'var(--color-r1)' : 'var(--color-r2)'

function RibbonEdge({ id, data }: EdgeProps<Edge<Drawn>>) {
  if (!data) return null
  const { ribbon, line, on, name, choose } = data
  return (
    <>
      <BaseEdge
        id={id}
        path={line.path}
        style={{
          stroke: colour(ribbon),
          strokeWidth: ribbon.width,
          strokeOpacity: on ? 1 : 0.85,
          strokeDasharray: ribbon.state === 'never' ? '6 5' : undefined,
        }}
        interactionWidth={0}
      />
      {ribbon.only ? null : (
        <EdgeLabelRenderer>
          <button
            type="button"
            aria-current={on || undefined}
            aria-label={`${name}: ${ribbon.says}${ribbon.who ? `, ${ribbon.who}` : ''}`}
            style={{ transform: `translate(-50%, -50%) translate(${line.label.x}px, ${line.label.y}px)` }}
            className={`nodrag nopan pointer-events-auto absolute max-w-[132px] rounded border px-1.5 py-0.5 text-left text-[13px] leading-tight hover:border-ink ${on ? 'rung-top border-ink bg-sheet' : 'border-transparent bg-ground/85'}`}
            onClick={choose}
          >
            <b className={`line-clamp-2 ${ribbon.state === 'never' ? 'text-bad' : 'text-blue'}`}>{ribbon.says}</b>
            {ribbon.rounds !== null ? (
              <span className="block text-quiet">at most {plural(ribbon.rounds, 'time')}</span>
            ) : null}
            {ribbon.who ? (
              <span className={`block ${ribbon.state === 'never' ? 'text-bad' : 'text-quiet'}`}>{ribbon.who}</span>
            ) : null}
          </button>
        </EdgeLabelRenderer>
      )}
    </>
  )
}

const NODES = { place: PlaceNode }
const EDGES = { ribbon: RibbonEdge }
