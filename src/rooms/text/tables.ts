import type { Editor } from '@tiptap/core'
import { Fragment, type Node } from '@tiptap/pm/model'
import { type EditorState, Selection, TextSelection, type Transaction } from '@tiptap/pm/state'
import { difference, newTable, placeOf, type TableJson, withRow } from '@/core/book'

/** The table that the cursor is in, and its cell there. */
export interface FoundTable {
  node: Node
  pos: number
  /** From 0; `cell` counts the row's cells, `column` its columns. */
  row: number
  cell: number
  column: number
}

export function tableAt({ selection: { $from } }: Pick<EditorState, 'selection'>): FoundTable | undefined {
  for (let d = $from.depth; d > 1; d--) {
    if ($from.node(d).type.name !== 'cell') continue
    const node = $from.node(d - 2)
    const [row, cell] = [$from.index(d - 2), $from.index(d - 1)]
    const json = node.toJSON() as TableJson
    return { node, pos: $from.before(d - 2), row, cell, column: placeOf(json, row, cell)?.column ?? 0 }
  }
  return undefined
}

/** A cell of a table by row and number; the nearest there is. */
export interface CellPlace {
  row: number
  cell: number
}

/** Where a cell's text begins. */
function startOf(table: Node, pos: number, { row, cell }: CellPlace): number {
  const r = Math.min(row, table.childCount - 1)
  let at = pos + 1
  for (let i = 0; i < r; i++) at += table.child(i).nodeSize
  const line = table.child(r)
  at++
  for (let i = 0; i < Math.min(cell, line.childCount - 1); i++) at += line.child(i).nodeSize
  return at + 1
}

/** Makes the table at the cursor another, by the steps that lead there; `undefined` takes it out. The cursor goes to a cell. */
export function changeTable(
  editor: Editor,
  { node, pos }: FoundTable,
  operation: (table: TableJson) => TableJson | undefined,
  to: CellPlace,
): void {
  const { state, view } = editor
  const is = operation(node.toJSON() as TableJson)
  const tr = state.tr
  if (!is) tr.delete(pos, pos + node.nodeSize)
  else {
    const next = state.tr.replaceWith(pos, pos + node.nodeSize, state.schema.nodeFromJSON(is)).doc
    // Only what is another: what somebody types elsewhere in the table stays as it is.
    for (const step of difference(state.doc, next)) tr.step(step)
    const table = tr.doc.nodeAt(pos)!
    tr.setSelection(Selection.near(tr.doc.resolve(startOf(table, pos, to))))
  }
  view.dispatch(tr.scrollIntoView())
  view.focus()
}

/** Puts an empty table after the block at the cursor, and the cursor into it. */
export function insertTable(editor: Editor): void {
  const { state, view } = editor
  const { $from } = state.selection
  const after = $from.depth ? $from.after(1) : $from.pos
  const table = state.schema.nodeFromJSON(newTable(3, 2))
  // Behind it one can go on.
  const more = after === state.doc.content.size ? [state.schema.nodes.paragraph!.create()] : []
  const tr = state.tr.insert(after, Fragment.from([table, ...more]))
  view.dispatch(tr.setSelection(TextSelection.near(tr.doc.resolve(after + 3))).scrollIntoView())
  view.focus()
}

/** Goes to the next cell or the one before; behind the last one a row is added. */
export const goToCell =
  (editor: Editor, way: 1 | -1) =>
  (state: EditorState, dispatch?: (tr: Transaction) => void): boolean => {
    const found = tableAt(state)
    if (!found) return false
    const { node, pos, row, cell } = found
    const [end, begin] = [cell + way >= node.child(row).childCount, cell + way < 0]
    const to = end
      ? { row: row + 1, cell: 0 }
      : begin
        ? { row: row - 1, cell: row ? node.child(row - 1).childCount - 1 : 0 }
        : { row, cell: cell + way }
    if (to.row < 0) return true
    if (to.row === node.childCount) changeTable(editor, found, t => withRow(t, to.row), to)
    else dispatch?.(state.tr.setSelection(Selection.near(state.doc.resolve(startOf(node, pos, to)))).scrollIntoView())
    return true
  }
