import { useState } from 'react';

import type { OutlineRow, WorkspacePage } from '../../lib/generated/types';
import { SchoolTime } from '../../lib/time';
import { type Picked, TITLE } from '../grid/useCellRange';
import type { Edits } from '../useEdits';
import type { CellContext } from './cellChoices';
import { copyCells, type CopiedCells, fromText, putCells, reach, type RulesGrid, type Span, toText } from './paste';
import type { CellName, RuleSet } from './ruleSets';
import { type Copied, useClipboard } from './useClipboard';

export interface RulesActsProps {
  page: WorkspacePage;
  edits: Edits;
  /** The columns as they are shown. */
  ids: CellName[];
  /** The rows that are shown, with their indexes among all. */
  shown: { row: OutlineRow; index: number }[];
  /** The row that has the focus. */
  here: string | null;
  picked: Picked;
  /** Why nothing was set; null: it was. */
  onProblem: (problem: string | null) => void;
  onCopied: (rows: OutlineRow[] | readonly [number, number]) => void;
  /** Words of another program were pasted on a title. */
  onLines: (titles: string) => void;
}

/** What empties a cell. */
const NO_RULE: CopiedCells = [[{ words: '', own: true, column: null, rules: null }]];

/** Copying, pasting, filling and emptying what is selected in the Rules lens: of each what it changes in the draft. */
export function useRulesActs({ page, edits, ids, shown, here, picked, onProblem, onCopied, onLines }: RulesActsProps) {
  const { course, rows: all, plan, mayEdit } = page;
  const [opened] = useState(() => Date.now() / 1000);
  const time = new SchoolTime(page.offsets, opened);
  const ruleOf = (key: string) => edits.rules[all.findIndex((row) => row.key === key)];
  const contextOf = (together: OutlineRow[]): RulesGrid['contextOf'] => (row, rule): CellContext => ({
    rows: together.length === 0 ? [row] : together,
    row,
    rule,
    plan,
    outline: all,
    tiers: page.tiers,
    labels: page.labels,
    offers: page.offers,
    now: time.wall(opened),
    words: (wall) => time.words(time.instant(wall) ?? 0),
  });
  const rules: RulesGrid = { rows: shown.flatMap(({ row, index }) => (edits.rules[index] === undefined ? [] : [{ row, rule: edits.rules[index] }])), columns: ids, plan, contextOf: contextOf([]) };
  const place = shown.findIndex(({ row }) => row.key === here);
  /** Rows that an act on one of them is for: those that are selected, if it is. */
  const together = (row: OutlineRow, column?: CellName) => {
    const some = picked.rows.has(row.key) ? all.filter((one) => picked.rows.has(one.key)) : [row];
    return column === 'finish' ? some.filter((one) => ruleOf(one.key)?.finish !== undefined) : some;
  };
  const blockOf = (column: number): { rows: Span; columns: Span } => {
    const at = (key: string) => picked.rows.has(key);
    const [first, last] = [shown.findIndex(({ row }) => at(row.key)), shown.findLastIndex(({ row }) => at(row.key))];
    return picked.rows.size === 0 || first === -1 ? { rows: [place, place], columns: [column, column] } : { rows: [first, last], columns: picked.columns ?? [column, column] };
  };
  const put = (cells: CopiedCells, onto: { rows: Span; columns: Span }) => {
    const done = putCells(cells, rules, onto.rows, onto.columns);
    onProblem(done.problem);
    edits.set(done.sets, done.cells, onProblem);
  };
  /** @param across null: whole rows, with all their rules and their titles */
  const copied = (taken: OutlineRow[], across: Span | null): Copied => {
    const cells = copyCells({ ...rules, rows: rules.rows.filter(({ row }) => taken.includes(row)) }, [0, taken.length - 1], across ?? [0, ids.length - 1]);
    onCopied(across === null ? taken : [cells.length, across[1] - across[0] + 1]);
    const text = toText(across !== null ? cells : cells.map((line, index) => [{ words: taken[index]?.title ?? '', own: true, column: null, rules: null }, ...line]));
    return { clip: { course: course.key, rows: across === null ? taken.map(({ key }) => key) : null, cells }, text };
  };
  const copyNow = useClipboard(
    !mayEdit
      ? null
      : {
          onCopy: () => {
            const column = focusedColumn();
            const block = blockOf(Math.max(0, column));
            const taken = shown.slice(block.rows[0], block.rows[1] + 1).map(({ row }) => row).filter((row) => picked.rows.size === 0 || picked.rows.has(row.key));
            return copied(taken, column === TITLE || (picked.rows.size > 0 && picked.columns === null) ? null : block.columns);
          },
          onPaste: (clip, text) => {
            const column = focusedColumn();
            const ofRows = clip?.course === course.key ? clip.rows : null;
            if (ofRows !== null) {
              pasteRows(ofRows);
            } else if (column === TITLE) {
              if (clip === null && text.trim() !== '') {
                onLines(text);
              } else if (clip !== null) {
                paste(clip.cells, 0);
              }
            } else if (clip !== null || text.trim() !== '') {
              paste(clip?.cells ?? fromText(text), column);
            }
          },
        },
  );
  const paste = (cells: CopiedCells, column: number) => {
    const block = blockOf(column);
    put(cells, reach(cells, block.rows, block.columns));
  };
  const pasteRows = (from: string[]) => {
    const block = blockOf(0);
    const onto = picked.rows.size > 1 ? shown.filter(({ row }) => picked.rows.has(row.key)) : shown.slice(block.rows[0], block.rows[0] + from.length);
    edits.set(rowsPasted(from, onto.map(({ row }) => row.key)), [], onProblem);
  };
  return {
    ruleOf,
    contextOf,
    together,
    copyRows: (rows: OutlineRow[]) => copyNow(copied(rows, null)),
    empty: (column: number) => put(NO_RULE, blockOf(column)),
    fill: (from: Span, to: Span, across: Span) => put(copyCells(rules, from, across), { rows: to, columns: across }),
    /** The first of what is selected into the others; of one cell what stands above it. */
    fillDown: (column: number) => {
      const { rows: [first, last], columns: across } = blockOf(column);
      const from = first === last ? first - 1 : first;
      const source = shown[from]?.row.key;
      if (source === undefined) {
        return;
      }
      if (column === TITLE) {
        pasteRows([source]);
      } else {
        put(copyCells(rules, [from, from], across), { rows: [from + 1, last], columns: across });
      }
    },
  };
}

function focusedColumn(): number {
  const cell = document.activeElement;
  return cell instanceof HTMLTableCellElement && cell.dataset['col'] !== undefined ? Number(cell.dataset['col']) : TITLE;
}

/** Rules of whole rows for others, one after the other, over and over where these are more. */
function rowsPasted(from: string[], onto: string[]): RuleSet[] {
  const sets = new Map<string, string[]>();
  onto.forEach((item, index) => {
    const source = from[index % from.length] ?? item;
    if (source !== item) {
      sets.set(source, [...(sets.get(source) ?? []), item]);
    }
  });
  return [...sets].map(([source, items]) => ({ set: 'rules', from: source, items }));
}
