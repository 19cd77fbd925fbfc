import { type KeyboardEvent, type ReactNode, type RefObject, useState } from 'react';

import type { OutlineRow, WorkspacePage } from '../../lib/generated/types';
import { say } from '../../lib/keepSay';
import { type OutlineActs, outlineKey, type OutlineTask, RowMenu } from '../dialogs/outline';
import { emptied, takes } from '../entry/cellChoices';
import { CellEntry, type Onward } from '../entry/CellEntry';
import { bare, type CellName } from '../entry/ruleSets';
import { TitleEntry } from '../entry/TitleEntry';
import { useRulesActs } from '../entry/useRulesActs';
import { NEW, useInsertion, withNew } from '../entry/useInsertion';
import { useFolds } from '../folds';
import { Grid, type GridHandle } from '../grid/Grid';
import { type Picked, TITLE } from '../grid/useCellRange';
import type { ConditionNames } from '../sheet/ConditionEditor';
import type { Columns } from '../useColumns';
import { type Edits, pendingCells } from '../useEdits';
import { RuleEditor } from './RuleEditor';
import { RulesCell, rulesColumns } from './rules';
import css from '../workspace.module.css';
import ui from '../../ui/ui.module.css';

/** What is edited in the grid. */
export type CellEditing =
  /** Typed into a cell; `typed` null: what it tells now. */
  | { what: 'entry'; row: string; column: CellName; typed: string | null; refused?: string }
  /** A form beside a cell. */
  | { what: 'form'; row: string; column: CellName; word: string }
  | { what: 'title'; row: string; typed: string | null };

export interface RulesLensProps {
  page: WorkspacePage;
  edits: Edits;
  names: ConditionNames;
  columns: Columns;
  grid: RefObject<GridHandle | null>;
  corner: (rows: number) => ReactNode;
  rows: { row: OutlineRow; index: number }[];
  here: string | null;
  onHere: (row: string) => void;
  picked: Picked;
  onPicked: (picked: Picked) => void;
  editing: CellEditing | null;
  onEditing: (editing: CellEditing | null) => void;
  acts: OutlineActs;
  onTask: (task: OutlineTask) => void;
  onPlans: () => void;
  /** Opens the sheet of a row. */
  onSheet: (row: string) => void;
  /** Closes it; whether it was open. */
  onLeaveSheet: () => boolean;
  /** Whole rows were copied, or cells (how many rows and columns). */
  onCopied: (rows: OutlineRow[] | readonly [number, number]) => void;
  addressOf: (plan: string) => string;
}

/** What is set: a row of rules for each row of the outline, edited as a spreadsheet is. */
export function RulesLens({ page, edits, names, columns, grid, corner, rows: shown, here, onHere, picked, onPicked, editing, onEditing, acts, onTask, onPlans, onSheet, onLeaveSheet, onCopied, addressOf }: RulesLensProps) {
  const { course, rows: all, plan, mayEdit } = page;
  const [problem, setProblem] = useState<string | null>(null);
  const [explained, setExplained] = useState<CellName | null>(null);
  const insertion = useInsertion(course.key, all, edits);
  const folds = useFolds();
  /** What is added inside is seen there. */
  const addBelow = (row: string) => {
    if (folds.folded.has(row)) {
      folds.toggle(row);
    }
    insertion.begin(row);
  };
  const rows = withNew(shown, insertion.insertion);
  const ids = columns.shown.map(({ id }) => id);
  const work = useRulesActs({ page, edits, ids, shown, here, picked, onProblem: setProblem, onCopied, onLines: (titles) => onTask({ task: 'add', row: all.find(({ key }) => key === here) ?? null, titles }) });
  const { ruleOf, contextOf, together } = work;
  const onward = (to: Onward | null) => {
    onEditing(null);
    if (to !== null) {
      grid.current?.step(...(picked.rows.size > 1 ? ([0, 0] as const) : to));
    }
  };

  const onRowKey = (event: KeyboardEvent, row: OutlineRow, column: number): boolean => {
    const held = (event.ctrlKey || event.metaKey) && !event.altKey && !event.shiftKey;
    const free = !event.ctrlKey && !event.metaKey && !event.altKey;
    const name = ids[column];
    const rule = ruleOf(row.key);
    if (event.key === 'Escape' && picked.rows.size === 0) {
      return onLeaveSheet();
    }
    if (event.key === 'F1' && name !== undefined) {
      setExplained(name);
      return true;
    }
    if (!mayEdit) {
      return false;
    }
    if ((held && event.key === 'Enter') || (free && event.key === 'Insert')) {
      addBelow(row.key);
    } else if (held && event.key.toLowerCase() === 'd') {
      work.fillDown(column);
    } else if (column === TITLE && (event.key === 'F2' || (free && isTyped(event)))) {
      onEditing({ what: 'title', row: row.key, typed: event.key === 'F2' ? null : event.key });
    } else if (column === TITLE && free && event.key === 'Delete') {
      acts.remove(together(row).map(({ key }) => key));
    } else if (free && event.key === 'Delete') {
      work.empty(column);
    } else if (name !== undefined && rule !== undefined && emptied(name, contextOf([])(row, rule)) !== null && (event.key === 'F2' || (free && isTyped(event) && takes(name, event.key)))) {
      onEditing({ what: 'entry', row: row.key, column: name, typed: event.key === 'F2' ? null : event.key });
    } else {
      return outlineKey(event, row, acts);
    }
    return true;
  };
  const entryOf = (editingNow: CellEditing & { what: 'entry' }, row: OutlineRow) => {
    const { column } = editingNow;
    const rule = ruleOf(row.key);
    const set = together(row, column);
    if (rule === undefined) {
      return null;
    }
    const cell = column === 'finish' ? { words: rule.finish?.words ?? '', own: true } : rule[column];
    return (
      <CellEntry
        column={column}
        context={contextOf(set)(row, rule)}
        present={cell.own === true ? cell.words : ''}
        typed={editingNow.typed}
        last={ids.indexOf(column) >= ids.length - 2}
        {...(editingNow.refused === undefined ? {} : { refused: editingNow.refused })}
        onKeep={(choice, typed, to) => {
          onward(to);
          setProblem(null);
          edits.set(
            choice.sets,
            pendingCells(set.map(({ key }) => key), column, choice.words, choice.own, choice.sets.map(bare)),
            (refused) => onEditing({ ...editingNow, typed, refused }),
          );
        }}
        onLeave={onward}
        onForm={(word) => onEditing({ what: 'form', row: row.key, column, word })}
      />
    );
  };

  const told = problem ?? insertion.refused;
  return (
    <>
      <Grid
        ref={grid}
        caption={say('workspace.workspace.what_set_for_each', { title: course.title })}
        corner={corner(shown.length)}
        columns={rulesColumns({ columns: columns.shown, plans: page.plans, plan, addressOf, ...(mayEdit ? { onPlans } : {}), explained, example: all.find(({ key }) => key === here)?.title ?? '', onExplain: setExplained })}
        rows={rows}
        picked={picked}
        onPicked={onPicked}
        startAt={here}
        onWiden={columns.widen}
        onFocusRow={(row) => row.key.startsWith(NEW) || onHere(row.key)}
        onRowKey={onRowKey}
        titleEditor={(row) =>
          row.key === NEW ? (
            <TitleEntry
              key={NEW}
              label={say('edits.outline.new_row', { kind: row.kind })}
              title=""
              select={false}
              onKeep={(title, to) => {
                insertion.add(title);
                if (to === null) {
                  insertion.end();
                }
              }}
              onLeave={(to) => {
                insertion.end();
                if (to !== null && here !== null) {
                  grid.current?.toRow(insertion.insertion?.level.under ?? here);
                }
              }}
              onLevel={insertion.shift}
              onLines={(text) => {
                insertion.end();
                onTask({ task: 'add', row: all.find(({ key }) => key === insertion.insertion?.level.item) ?? null, titles: text });
              }}
            />
          ) : editing?.what === 'title' && editing.row === row.key ? (
            <TitleEntry
              label={say('edits.outline.title_of', { title: row.title })}
              title={editing.typed ?? row.title}
              select={editing.typed === null}
              onKeep={(title, to) => {
                acts.rename(row, title);
                onward(to);
              }}
              onLeave={onward}
            />
          ) : undefined
        }
        {...(mayEdit ? { rowMenu: (row: OutlineRow) => (row.key.startsWith(NEW) ? null : <RowMenu row={row} acts={acts} onTask={onTask} onAdd={() => addBelow(row.key)} onRename={() => onEditing({ what: 'title', row: row.key, typed: null })} onCopy={() => work.copyRows([row])} />), onDropRows: acts.place, onFill: work.fill } : {})}
        onOpenRow={(index) => onSheet(all[index]?.key ?? '')}
        onEnter={(index) => onSheet(all[index]?.key ?? '')}
        onCell={(index, column, again) => {
          const [row, name] = [all[index], ids[column]];
          const rule = row === undefined ? undefined : ruleOf(row.key);
          if (again && mayEdit && row !== undefined && rule !== undefined && name !== undefined && emptied(name, contextOf([])(row, rule)) !== null) {
            onEditing({ what: 'entry', row: row.key, column: name, typed: null });
          }
        }}
        cell={(index, column) => {
          const [item, name] = [all[index], ids[column]];
          const row = edits.rules[index];
          if (row === undefined || item === undefined || name === undefined) {
            return null;
          }
          if (editing === null || editing.row !== item.key || editing.what === 'title' || editing.column !== name) {
            return <RulesCell row={row} column={name} />;
          }
          return editing.what === 'entry' ? (
            entryOf(editing, item)
          ) : (
            <RuleEditor course={course.key} version={course.draftVersion} plan={plan} names={names} column={editing.word} row={row} rows={together(item, name)} onClose={() => onward([0, 0])}>
              <div>
                <RulesCell row={row} column={name} />
              </div>
            </RuleEditor>
          );
        }}
      />
      {told !== null && (
        <div role="alert" className={css['grid-problem']}>
          <p>{told}</p>
          <button type="button" className={ui.linklike} onClick={() => [setProblem(null), insertion.forgive()]}>
            {say('keep.close')}
          </button>
        </div>
      )}
    </>
  );
}

/** Whether a key writes a character, and does nothing else here. */
function isTyped({ key }: KeyboardEvent): boolean {
  return key.length === 1 && key !== ' ' && !'/?[]+-'.includes(key);
}
