import { Bold } from '@tiptap/extension-bold'
import { Document } from '@tiptap/extension-document'
import { HardBreak } from '@tiptap/extension-hard-break'
import { Italic } from '@tiptap/extension-italic'
import { BulletList, ListItem, ListKeymap, OrderedList } from '@tiptap/extension-list'
import { Paragraph } from '@tiptap/extension-paragraph'
import { Text } from '@tiptap/extension-text'
import { UndoRedo } from '@tiptap/extensions'
import { EditorContent, Mark, mergeAttributes, Node, useEditor, useEditorState, type Editor } from '@tiptap/react'
import { Toolbar } from 'radix-ui'
import { useEffect, useRef, useState } from 'react'
import { MathsDialog } from './MathsDialog'
import { Tip } from './Tip'

/** Maths inside a line: kept as <span data-math="…">, typeset where it stands. */
type Ask = (latex: string, put: (latex: string) => void) => void
const Maths = Node.create<{ ask: Ask }>({
  name: 'maths',
  addOptions: () => ({ ask: () => undefined }),
  group: 'inline',
  inline: true,
  atom: true,
  addAttributes() {
    return {
      latex: {
        default: '',
        parseHTML: (el) => el.getAttribute('data-math') ?? '',
        renderHTML: (a: Record<string, unknown>) => ({ 'data-math': String(a.latex ?? '') }),
      },
    }
  },
  parseHTML: () => [{ tag: 'span[data-math]' }],
  renderHTML: ({ HTMLAttributes }) => ['span', mergeAttributes(HTMLAttributes)],
  addNodeView() {
    const { ask } = this.options
    return ({ node, editor, getPos }) => {
      const dom = document.createElement('span')
      dom.className = 'cursor-pointer rounded bg-rust-pale px-1'
      dom.title = 'Maths: click to change'
      const latex = String(node.attrs.latex)
      void import('@/lib/maths').then(({ typeset }) => typeset(latex, dom))
      dom.addEventListener('click', () => {
        ask(latex, (next) => {
          const at = getPos()
          if (typeof at === 'number')
            editor.view.dispatch(editor.state.tr.setNodeMarkup(at, undefined, { latex: next }))
        })
      })
      return { dom }
    }
  },
})

/** Letters that stand lower or higher: H₂O, m². One puts out the other. */
const shifted = (name: 'sub' | 'sup', key: string) =>
  Mark.create({
    name,
    excludes: 'sub sup',
    parseHTML: () => [{ tag: name }],
    renderHTML: ({ HTMLAttributes }) => [name, HTMLAttributes, 0],
    addKeyboardShortcuts() {
      return { [key]: () => this.editor.commands.toggleMark(name) }
    },
  })
const Lower = shifted('sub', 'Mod-,')
const Upper = shifted('sup', 'Mod-.')

// What a prompt is made of, and no more: each part is fetched with the editor.
const PARTS = [
  Document,
  Paragraph,
  Text,
  HardBreak,
  Bold,
  Italic,
  Lower,
  Upper,
  BulletList,
  OrderedList,
  ListItem,
  ListKeymap,
  UndoRedo,
]

const empty = (html: string) => (html === '<p></p>' ? '' : html)

type Props = {
  label: string
  value: string
  onChange: (html: string) => void
  small?: boolean
  hideLabel?: boolean
  /** without a box, on the sheet as it will be read */
  inPlace?: boolean
  placeholder?: string
  /** takes the focus when it appears */
  focused?: boolean
}

/** Rich text in place: bold, italics, lists, maths. */
export function RichEditor({
  label,
  value,
  onChange,
  small = false,
  hideLabel = false,
  inPlace = false,
  placeholder,
  focused = false,
}: Props) {
  const latest = useRef(onChange)
  const [asked, setAsked] = useState<{ latex: string; put: (latex: string) => void } | null>(null)
  useEffect(() => {
    latest.current = onChange
  })
  const editor = useEditor({
    extensions: [...PARTS, Maths.configure({ ask: (latex, put) => setAsked({ latex, put }) })],
    content: value,
    autofocus: focused ? 'end' : false,
    editorProps: {
      attributes: { role: 'textbox', 'aria-multiline': 'true', 'aria-label': label, class: small ? '' : 'text-lg' },
    },
    onUpdate: ({ editor: e }) => latest.current(empty(e.getHTML())),
  })
  useEffect(() => {
    // Only what comes from outside (undo, a reload) is put in; one's own typing is already there. A tree that was hidden
    // for a moment comes back with an editor that has been taken down, and gets a new one with the next rendering.
    if (editor && !editor.isDestroyed && !editor.isFocused && empty(editor.getHTML()) !== value)
      editor.commands.setContent(value, { emitUpdate: false })
  }, [editor, value])
  return (
    <div className="flex flex-col gap-1">
      <span className={hideLabel ? 'sr-only' : 'text-sm font-semibold'}>{label}</span>
      <div
        className={
          inPlace
            ? 'group relative border-b border-dashed border-transparent focus-within:border-solid focus-within:border-blue hover:border-edge'
            : `group rounded border border-edge bg-sheet focus-within:outline-2 focus-within:outline-blue ${small ? 'flex flex-row-reverse items-start' : ''}`
        }
      >
        {editor ? (
          <Tools
            editor={editor}
            small={small}
            inPlace={inPlace}
            onMaths={() =>
              setAsked({
                latex: '',
                put: (latex) => editor.chain().focus().insertContent({ type: 'maths', attrs: { latex } }).run(),
              })
            }
          />
        ) : null}
        {placeholder && value === '' ? (
          <span aria-hidden className="pointer-events-none absolute top-0.5 left-0 text-quiet">
            {placeholder}
          </span>
        ) : null}
        <EditorContent editor={editor} className={`rich min-w-0 flex-1 ${inPlace ? 'py-0.5' : 'px-3 py-2'}`} />
      </div>
      {asked ? (
        <MathsDialog
          latex={asked.latex}
          onClose={() => setAsked(null)}
          onKeep={(latex) => {
            asked.put(latex)
            setAsked(null)
          }}
        />
      ) : null}
    </div>
  )
}

function Tools({
  editor,
  small,
  inPlace,
  onMaths,
}: {
  editor: Editor
  small: boolean
  inPlace: boolean
  onMaths: () => void
}) {
  const on = useEditorState({
    editor,
    selector: ({ editor: e }) => ({
      bold: e.isActive('bold'),
      italic: e.isActive('italic'),
      lower: e.isActive('sub'),
      upper: e.isActive('sup'),
      bullets: e.isActive('bulletList'),
      numbers: e.isActive('orderedList'),
    }),
  })
  const tool = (label: string, active: boolean, run: () => void, face: string, style = '') => (
    <Tip says={label}>
      <Toolbar.Button
        aria-label={label}
        aria-pressed={active}
        className={`min-w-8 rounded px-2 py-0.5 text-sm ${active ? 'bg-ink text-ground' : 'hover:bg-rust-pale'} ${style}`}
        onClick={run}
      >
        {face}
      </Toolbar.Button>
    </Tip>
  )
  return (
    <Toolbar.Root
      aria-label="Text tools"
      // Beside a small text and always in its place: tools that come and go would move the page under the hand.
      // On a sheet they float above what is written, and are there while it has the focus.
      className={
        inPlace
          ? 'invisible absolute right-0 bottom-full z-10 mb-0.5 flex gap-1 rounded border border-edge bg-sheet px-1 py-0.5 shadow-float group-focus-within:visible'
          : `flex gap-1 px-1 py-0.5 ${small ? 'opacity-0 group-focus-within:opacity-100 group-hover:opacity-100' : 'border-b'}`
      }
    >
      {tool('Bold', on.bold, () => editor.chain().focus().toggleBold().run(), 'B', 'font-bold')}
      {tool('Italics', on.italic, () => editor.chain().focus().toggleItalic().run(), 'I', 'italic')}
      {tool('Lower, as in H₂O', on.lower, () => editor.chain().focus().toggleMark('sub').run(), 'x₂')}
      {tool('Higher, as in m²', on.upper, () => editor.chain().focus().toggleMark('sup').run(), 'x²')}
      {small
        ? null
        : tool('Bulleted list', on.bullets, () => editor.chain().focus().toggleBulletList().run(), '• list')}
      {small
        ? null
        : tool('Numbered list', on.numbers, () => editor.chain().focus().toggleOrderedList().run(), '1. list')}
      {tool('Maths', false, onMaths, '∑ maths')}
    </Toolbar.Root>
  )
}
