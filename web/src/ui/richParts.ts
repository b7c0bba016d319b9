import { NodeSelection } from '@tiptap/pm/state'
import { tableEditing, goToNextCell } from '@tiptap/pm/tables'
import { Mark, mergeAttributes, Node, type Editor } from '@tiptap/react'
import type { AskPicture, TextPicture } from '@/lib/pictures'

/** What stands in a line as one piece knows how it is changed. */
type Changed = { change: (editor: Editor, at: number) => void }
function askAt(editor: Editor, at: number | undefined) {
  const name = typeof at === 'number' ? editor.state.doc.nodeAt(at)?.type.name : undefined
  if (typeof at === 'number' && name) (editor.storage as unknown as Record<string, Changed>)[name]?.change(editor, at)
}

/** The piece that the arrow keys have come to stand on. */
function askChosen(editor: Editor, name: string) {
  const { selection } = editor.state
  if (!(selection instanceof NodeSelection) || selection.node.type.name !== name) return false
  askAt(editor, selection.from)
  return true
}

/** Maths inside a line: kept as <span data-math="…">, typeset where it stands. */
export type AskMaths = (latex: string, put: (latex: string) => void) => void
export const Maths = Node.create<{ ask: AskMaths }>({
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
    return ({ node, editor, getPos }) => {
      const dom = document.createElement('span')
      dom.className = 'cursor-pointer rounded bg-rust-pale px-1'
      dom.title = 'Maths: click, or Enter where it is chosen, to change it'
      const latex = String(node.attrs.latex)
      void import('@/lib/maths').then(({ typeset }) => typeset(latex, dom))
      dom.addEventListener('click', () => askAt(editor, getPos()))
      return { dom }
    }
  },
  addKeyboardShortcuts: () => ({ Enter: ({ editor }) => askChosen(editor, 'maths') }),
  addStorage() {
    const { ask } = this.options
    return {
      change: (editor: Editor, at: number) =>
        ask(String(editor.state.doc.nodeAt(at)?.attrs.latex), (next) =>
          editor.view.dispatch(editor.state.tr.setNodeMarkup(at, undefined, { latex: next })),
        ),
    }
  },
})

function putAt(editor: Editor, at: number, next: TextPicture | null) {
  const { tr } = editor.state
  editor.view.dispatch(next ? tr.setNodeMarkup(at, undefined, next) : tr.delete(at, at + 1))
}

/** A picture of the team's in a line: kept by its file, with words for who cannot see it. */
export const Picture = Node.create<{ ask: AskPicture | null; urlOf: (id: string) => string }>({
  name: 'picture',
  addOptions: () => ({ ask: null, urlOf: (id) => id }),
  group: 'inline',
  inline: true,
  atom: true,
  addAttributes() {
    const kept = (name: string, as: string) => ({
      default: '',
      parseHTML: (el: HTMLElement) => el.getAttribute(as) ?? '',
      renderHTML: (a: Record<string, unknown>) => ({ [as]: String(a[name] ?? '') }),
    })
    return {
      file: kept('file', 'data-file'),
      alt: kept('alt', 'alt'),
      width: kept('width', 'width'),
      height: kept('height', 'height'),
      // A pasted one that is on its way, by the key that its place is found by.
      pasted: { default: '', parseHTML: (el: HTMLElement) => el.getAttribute('data-pasted') ?? '', rendered: false },
    }
  },
  parseHTML: () => [{ tag: 'img[data-file]' }, { tag: 'img[data-pasted]' }],
  renderHTML: ({ HTMLAttributes }) => ['img', mergeAttributes(HTMLAttributes)],
  addNodeView() {
    const { urlOf } = this.options
    return ({ node, editor, getPos }) => {
      const now = node.attrs as TextPicture
      if (now.file === '') return { dom: onItsWay() }
      const dom = document.createElement('img')
      dom.src = urlOf(now.file)
      dom.alt = now.alt
      dom.className = 'inline-block max-h-60 cursor-pointer'
      dom.addEventListener('click', () => askAt(editor, getPos()))
      return { dom }
    }
  },
  addKeyboardShortcuts: () => ({ Enter: ({ editor }) => askChosen(editor, 'picture') }),
  addStorage() {
    const { ask } = this.options
    return {
      change: (editor: Editor, at: number) =>
        ask?.(editor.state.doc.nodeAt(at)?.attrs as TextPicture, (next) => putAt(editor, at, next)),
    }
  },
})

function onItsWay() {
  const dom = document.createElement('span')
  dom.className = 'rounded bg-pale px-1 text-quiet'
  dom.textContent = 'picture on its way …'
  return dom
}

/** The place of a pasted picture, wherever the text around it has moved to. */
function placeOf(editor: Editor, key: string): number | null {
  let place: number | null = null
  editor.state.doc.descendants((node, at) => {
    if (node.type.name === 'picture' && node.attrs.pasted === key) place = at
  })
  return place
}

/** Puts a pasted picture that has arrived into its place, or takes the place away. Not an act that can be undone by itself. */
export function settle(editor: Editor, key: string, picture: TextPicture | null) {
  const at = editor.isDestroyed ? null : placeOf(editor, key)
  if (at === null) return
  const { tr } = editor.state
  editor.view.dispatch(
    (picture ? tr.setNodeMarkup(at, undefined, { ...picture, pasted: '' }) : tr.delete(at, at + 1)).setMeta(
      'addToHistory',
      false,
    ),
  )
}

/** Asks, of the first of these pictures that does not say what it shows, for the words; of the next once that is answered. */
export function askForWords(editor: Editor, files: readonly string[], ask: AskPicture) {
  let found: number | null = null
  if (!editor.isDestroyed)
    editor.state.doc.descendants((node, at) => {
      if (
        found === null &&
        node.type.name === 'picture' &&
        node.attrs.alt === '' &&
        files.includes(String(node.attrs.file))
      )
        found = at
    })
  if (found === null) return
  const at: number = found
  ask(editor.state.doc.nodeAt(at)?.attrs as TextPicture, (next) => {
    putAt(editor, at, next)
    // The page that asked is put away first.
    setTimeout(() => askForWords(editor, files, ask))
  })
}

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
export const Lower = shifted('sub', 'Mod-,')
export const Upper = shifted('sup', 'Mod-.')

/** What is typed as it is: code, a key, a command. */
export const Code = Mark.create({
  name: 'code',
  excludes: 'sub sup',
  parseHTML: () => [{ tag: 'code' }],
  renderHTML: ({ HTMLAttributes }) => ['code', HTMLAttributes, 0],
  addKeyboardShortcuts() {
    return { 'Mod-e': () => this.editor.commands.toggleMark('code') }
  },
})

/** Somewhere else to read on. */
export const Link = Mark.create({
  name: 'link',
  inclusive: false,
  addAttributes: () => ({ href: { default: '' } }),
  parseHTML: () => [{ tag: 'a[href^="http"]' }],
  renderHTML: ({ HTMLAttributes }) => ['a', HTMLAttributes, 0],
})

/** Words that are lit, with a note at the margin where there is something to say of them. */
export const Lit = Mark.create({
  name: 'lit',
  addAttributes: () => ({
    note: {
      default: null,
      parseHTML: (place) => place.getAttribute('data-note'),
      renderHTML: ({ note }) => (note ? { 'data-note': String(note) } : {}),
    },
  }),
  parseHTML: () => [{ tag: 'mark' }],
  renderHTML: ({ HTMLAttributes }) => ['mark', HTMLAttributes, 0],
})

/** Lines with their numbers beside them, so that a question can speak of line 3. */
export const NumberedLines = Node.create({
  name: 'lines',
  group: 'block list',
  content: 'listItem+',
  parseHTML: () => [{ tag: 'ol[data-lines]', priority: 100 }],
  renderHTML: () => ['ol', { 'data-lines': '' }, 0],
})

declare module '@tiptap/core' {
  // The names are the library's.
  // eslint-disable-next-line @typescript-eslint/no-unused-vars
  interface NodeConfig<Options, Storage> {
    /** what part of a table a node plays */
    tableRole?: string
  }
}

const cell = (name: 'tableCell' | 'tableHeader', tag: 'td' | 'th') =>
  Node.create({
    name,
    content: 'paragraph+',
    tableRole: name === 'tableHeader' ? 'header_cell' : 'cell',
    isolating: true,
    // No merged cells: a table in a question is read row by row, by every reader.
    addAttributes: () => ({
      colspan: { default: 1, rendered: false },
      rowspan: { default: 1, rendered: false },
      colwidth: { default: null, rendered: false },
    }),
    parseHTML: () => [{ tag }],
    renderHTML: ({ HTMLAttributes }) => [tag, HTMLAttributes, 0],
  })
const Cell = cell('tableCell', 'td')
const HeaderCell = cell('tableHeader', 'th')
const Row = Node.create({
  name: 'tableRow',
  content: '(tableCell | tableHeader)*',
  tableRole: 'row',
  parseHTML: () => [{ tag: 'tr' }],
  renderHTML: ({ HTMLAttributes }) => ['tr', HTMLAttributes, 0],
})
const Table = Node.create({
  name: 'table',
  group: 'block',
  content: 'tableRow+',
  tableRole: 'table',
  isolating: true,
  parseHTML: () => [{ tag: 'table' }],
  renderHTML: ({ HTMLAttributes }) => ['table', HTMLAttributes, ['tbody', 0]],
  addProseMirrorPlugins: () => [tableEditing()],
  addKeyboardShortcuts() {
    const go = (by: 1 | -1) => () => goToNextCell(by)(this.editor.state, this.editor.view.dispatch)
    return { Tab: go(1), 'Shift-Tab': go(-1) }
  },
  // The schema wants to know what part of a table each node plays.
  extendNodeSchema: (extension) => ({ tableRole: (extension.config as { tableRole?: string }).tableRole }),
})

export const TABLE = [Table, Row, Cell, HeaderCell]
