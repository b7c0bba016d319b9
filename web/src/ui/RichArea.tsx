import { Bold } from '@tiptap/extension-bold'
import { Document } from '@tiptap/extension-document'
import { HardBreak } from '@tiptap/extension-hard-break'
import { Italic } from '@tiptap/extension-italic'
import { BulletList, ListItem, ListKeymap, OrderedList } from '@tiptap/extension-list'
import { Paragraph } from '@tiptap/extension-paragraph'
import { Text } from '@tiptap/extension-text'
import { UndoRedo } from '@tiptap/extensions'
import { addColumnAfter, addRowAfter, deleteColumn, deleteRow, deleteTable } from '@tiptap/pm/tables'
import { EditorContent, useEditor, useEditorState, type Editor } from '@tiptap/react'
import { Toolbar } from 'radix-ui'
import { memo, useCallback, useContext, useEffect, useRef, useState } from 'react'
import { PictureAsked, PictureSent, PictureUrl, type TextPicture } from '@/lib/pictures'
import { MathsDialog } from './MathsDialog'
import { LinkDialog } from './LinkDialog'
import { pastedPictures } from './pastedPictures'
import { NoteDialog } from './NoteDialog'
import { askForWords, Code, Link, Lit, Lower, Maths, NumberedLines, Picture, settle, TABLE, Upper } from './richParts'
import { frames, textIn, type RichProps } from './rich'
import { Tip } from './Tip'
import { toast } from './toast'

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
  Code,
  Link,
  Lit,
  BulletList,
  OrderedList,
  NumberedLines,
  ListItem,
  ListKeymap,
  UndoRedo,
  ...TABLE,
]

const asText = ({ file, alt, width, height }: TextPicture) => ({
  file,
  alt,
  width: String(width),
  height: String(height),
})

const EMPTY_TABLE =
  '<table><tr><th><p></p></th><th><p></p></th></tr><tr><td><p></p></td><td><p></p></td></tr></table><p></p>'
const TABLE_ACTS = [
  ['A row below', '+ row', addRowAfter],
  ['A column to the right', '+ column', addColumnAfter],
  ['Take this row out', '− row', deleteRow],
  ['Take this column out', '− column', deleteColumn],
  ['Take the table out', '− table', deleteTable],
] as const

/** Puts in an empty table, with the cursor in its first cell. */
function putTable(editor: Editor) {
  const { from } = editor.state.selection
  editor.chain().focus().insertContent(EMPTY_TABLE).run()
  let first = -1
  editor.state.doc.nodesBetween(from, editor.state.doc.content.size, (node, at) => {
    if (first < 0 && node.type.name === 'tableHeader') first = at + 2
    return first < 0
  })
  if (first >= 0) editor.commands.setTextSelection(first)
}

/** The chosen words lead there; without any the address stands for itself. An empty address takes the link away. */
function putLink(editor: Editor, href: string) {
  const chain = editor.chain().focus().extendMarkRange('link')
  if (href === '') chain.unsetMark('link').run()
  else if (editor.state.selection.empty && !editor.isActive('link'))
    chain.insertContent({ type: 'text', text: href, marks: [{ type: 'link', attrs: { href } }] }).run()
  else chain.setMark('link', { href }).run()
}

/** Whether a paste is more than a list of plain lines could keep. */
const laidOut = (data: DataTransfer | null) => /<(?:table|img|sub|sup|math)\b/i.test(data?.getData('text/html') ?? '')

/** The chosen words, or those that are lit where the cursor stands, have this note at the margin; they stay lit without it. */
const putNote = (editor: Editor, note: string) =>
  editor
    .chain()
    .focus()
    .extendMarkRange('lit')
    .setMark('lit', { note: note || null })
    .run()

/** By the time that an editor is there, the hand for which it was fetched may be typing elsewhere. */
const isTyping = () => document.activeElement?.matches('input, textarea, [contenteditable=true]') === true

const empty = (html: string) => (html === '<p></p>' ? '' : html)

/** Rich text in place: bold, italics, lists, maths, pictures, tables. */
export function RichArea({
  label,
  value,
  onChange,
  small = false,
  hideLabel = false,
  inPlace = false,
  placeholder,
  focused = false,
  onPastedIntoEmpty,
}: RichProps) {
  const latest = useRef(onChange)
  const askPicture = useContext(PictureAsked)
  const urlOf = useContext(PictureUrl)
  const sendPicture = useContext(PictureSent)
  const paste = useRef<(event: ClipboardEvent) => boolean>(() => false)
  const [asked, setAsked] = useState<{ latex: string; put: (latex: string) => void } | null>(null)
  const [linking, setLinking] = useState<string | null>(null)
  const [noting, setNoting] = useState<string | null>(null)
  useEffect(() => {
    latest.current = onChange
  })
  const editor = useEditor({
    extensions: [
      ...PARTS,
      Maths.configure({ ask: (latex, put) => setAsked({ latex, put }) }),
      Picture.configure({ ask: askPicture, urlOf }),
    ],
    content: value,
    onCreate: ({ editor: e }) => {
      if (!focused || isTyping()) return
      e.commands.setTextSelection(e.state.doc.content.size)
      // Now, and not with the next frame, as its command would.
      e.view.focus()
    },
    editorProps: {
      attributes: { role: 'textbox', 'aria-multiline': 'true', 'aria-label': label, class: small ? '' : 'text-lg' },
      handlePaste: (_, event) => paste.current(event),
    },
    onUpdate: ({ editor: e }) => latest.current(empty(e.getHTML())),
  })
  useEffect(() => {
    // Only what comes from outside (undo, a reload) is put in; one's own typing is already there. A tree that was hidden
    // for a moment comes back with an editor that has been taken down, and gets a new one with the next rendering.
    if (editor && !editor.isDestroyed && !editor.isFocused && empty(editor.getHTML()) !== value)
      editor.commands.setContent(value, { emitUpdate: false })
  }, [editor, value])
  useEffect(() => {
    paste.current = (event) => {
      const words = event.clipboardData?.getData('text/plain') ?? ''
      const stays = editor?.isEmpty && !laidOut(event.clipboardData) ? onPastedIntoEmpty?.(words) : null
      if (editor && typeof stays === 'string') {
        editor.commands.setContent(stays, { emitUpdate: false })
        return true
      }
      const pasted = editor && sendPicture ? pastedPictures(event.clipboardData, () => crypto.randomUUID()) : null
      if (!pasted || !editor || !sendPicture) return false
      editor.view.pasteHTML(pasted.html)
      const sent = pasted.pictures.map(async ({ key, file, alt }) => {
        try {
          const picture = { ...(await sendPicture(file)), alt }
          settle(editor, key, picture)
          return picture.file
        } catch (thrown) {
          settle(editor, key, null)
          toast(`A pasted picture could not be kept. ${(thrown as Error).message}`, { bad: true })
          return ''
        }
      })
      void Promise.all(sent).then((files) => askPicture && askForWords(editor, files, askPicture))
      return true
    }
  }, [editor, sendPicture, askPicture, onPastedIntoEmpty])
  // The tools are drawn anew when what they show changes, not with each key.
  const link = useCallback(() => setLinking(String(editor?.getAttributes('link').href ?? '')), [editor])
  const note = useCallback(() => {
    if (editor?.state.selection.empty && !editor.isActive('lit')) toast('Choose the words first that the note is of.')
    else setNoting(String(editor?.getAttributes('lit').note ?? ''))
  }, [editor])
  const putMaths = useCallback(
    () =>
      setAsked({
        latex: '',
        put: (latex) => editor?.chain().focus().insertContent({ type: 'maths', attrs: { latex } }).run(),
      }),
    [editor],
  )
  const putPicture = useCallback(
    () =>
      askPicture?.(null, (picture) => {
        if (picture)
          editor
            ?.chain()
            .focus()
            .insertContent({ type: 'picture', attrs: asText(picture) })
            .run()
      }),
    [editor, askPicture],
  )
  return (
    <div className="flex flex-col gap-1">
      <span className={hideLabel ? 'sr-only' : 'text-sm font-semibold'}>{label}</span>
      <div className={frames({ inPlace, small })}>
        {editor ? (
          <Tools
            editor={editor}
            small={small}
            inPlace={inPlace}
            onPicture={askPicture ? putPicture : null}
            onLink={link}
            onNote={note}
            onMaths={putMaths}
          />
        ) : null}
        {placeholder && value === '' ? (
          <span aria-hidden className="pointer-events-none absolute top-0.5 left-0 text-quiet">
            {placeholder}
          </span>
        ) : null}
        <EditorContent editor={editor} className={`rich ${textIn({ inPlace })}`} />
      </div>
      {linking !== null ? (
        <LinkDialog
          href={linking}
          onClose={() => setLinking(null)}
          onKeep={(href) => {
            putLink(editor, href)
            setLinking(null)
          }}
        />
      ) : null}
      {noting !== null ? (
        <NoteDialog
          note={noting}
          onClose={() => setNoting(null)}
          onKeep={(words) => {
            putNote(editor, words)
            setNoting(null)
          }}
        />
      ) : null}
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

const Tools = memo(function Tools({
  editor,
  small,
  inPlace,
  onMaths,
  onPicture,
  onLink,
  onNote,
}: {
  editor: Editor
  small: boolean
  inPlace: boolean
  onMaths: () => void
  onPicture: (() => void) | null
  onLink: () => void
  onNote: () => void
}) {
  const on = useEditorState({
    editor,
    selector: ({ editor: e }) => ({
      bold: e.isActive('bold'),
      italic: e.isActive('italic'),
      lower: e.isActive('sub'),
      upper: e.isActive('sup'),
      code: e.isActive('code'),
      link: e.isActive('link'),
      lit: e.isActive('lit'),
      noted: Boolean(e.getAttributes('lit').note),
      lines: e.isActive('lines'),
      bullets: e.isActive('bulletList'),
      numbers: e.isActive('orderedList'),
      table: e.isActive('table'),
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
          ? `invisible absolute bottom-full left-0 z-10 mb-0.5 flex w-max gap-x-1 rounded border border-edge bg-sheet px-1 py-0.5 font-normal whitespace-nowrap text-ink not-italic shadow-float group-focus-within:visible ${small ? '' : 'max-w-[36.5rem] flex-wrap'}`
          : `flex flex-wrap gap-1 px-1 py-0.5 whitespace-nowrap ${small ? 'opacity-0 group-focus-within:opacity-100 group-hover:opacity-100' : 'border-b'}`
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
      {small
        ? null
        : tool(
            'Lines with their numbers',
            on.lines,
            () => editor.chain().focus().toggleList('lines', 'listItem').run(),
            '# lines',
          )}
      {tool('Code', on.code, () => editor.chain().focus().toggleMark('code').run(), '‹ ›', 'font-mono')}
      {tool('Maths', false, onMaths, '∑ maths')}
      {tool('Link', on.link, onLink, 'link')}
      {small ? null : tool('Highlight', on.lit, () => editor.chain().focus().toggleMark('lit').run(), 'highlight')}
      {small ? null : tool('Note at the margin', on.noted, onNote, 'note')}
      {onPicture ? tool('Picture', false, onPicture, 'picture') : null}
      {small
        ? null
        : on.table
          ? TABLE_ACTS.map(([label, face, act]) => (
              <span key={label}>{tool(label, false, () => act(editor.state, editor.view.dispatch), face)}</span>
            ))
          : tool('Table', false, () => putTable(editor), 'table')}
    </Toolbar.Root>
  )
})
