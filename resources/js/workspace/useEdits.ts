import { router } from '@inertiajs/react';
import { useEffect, useMemo, useRef, useState } from 'react';

import type { RuleRow, WorkspacePage } from '../lib/generated/types';
import { to } from '../lib/route';
import { type PendingCell, withPending } from './entry/shownRules';
import { type CellName, type Rule, type RuleSet, rulesOf } from './entry/ruleSets';

type Data = Record<string, string | string[] | number | boolean | null | RuleSet[]>;

interface Edit {
  address: string;
  data: Data;
  cells: PendingCell[];
  onRefused: ((message: string) => void) | undefined;
  onDone: ((page: WorkspacePage) => void) | undefined;
}

export interface Edits {
  /** Sets rules; what the cells will tell is shown at once. */
  set: (sets: RuleSet[], cells: PendingCell[], onRefused?: (message: string) => void) => void;
  /** Takes the last edit back; where it was made here, what the cells told before is shown at once. */
  undo: () => void;
  /** Any other edit of the draft. */
  send: (address: string, data: Data, then?: { onRefused?: (message: string) => void; onDone?: (page: WorkspacePage) => void }) => void;
  /** Whether any are on their way: what the page says of undo and redo is of before. */
  areWaiting: () => boolean;
  /** The rules as they are, with what waits to be kept. */
  rules: RuleRow[];
}

/** What cells will tell that were set to the same. */
export function pendingCells(items: string[], column: CellName, words: string, own: boolean, rules: Rule[]): PendingCell[] {
  return items.map((item) => ({ item, column, words, own, rules }));
}

/** What a cell tells now, to be told again. */
function asTold({ item, column }: PendingCell, row: RuleRow | undefined, plan: string | null): PendingCell {
  const cell = column === 'finish' ? { words: row?.finish?.words ?? '', own: row?.finish !== undefined && row.finish.by !== 'mark', edited: row?.finish?.edited } : row?.[column];
  return { item, column, words: cell?.words ?? '', own: cell?.own === true, edited: cell?.edited === true, rules: row === undefined ? [] : (rulesOf(column, row, plan) ?? []) };
}

/**
 * Edits of the draft one after the other, in the order in which they were made: whoever types faster than the school answers loses
 * nothing, and each is made in the draft that the one before has left.
 */
export function useEdits({ course, plan, rows, rules }: WorkspacePage): Edits {
  const waiting = useRef<Edit[]>([]);
  const busy = useRef(false);
  const version = useRef(course.draftVersion);
  /** What cells told before each edit that was made here and not yet followed by another from elsewhere. */
  const made = useRef<{ before: PendingCell[]; version: number | null }[]>([]);
  const [pending, setPending] = useState<PendingCell[]>([]);
  useEffect(() => {
    if (!busy.current) {
      version.current = course.draftVersion;
    }
  }, [course.draftVersion]);
  const next = () => {
    const edit = waiting.current[0];
    if (busy.current || edit === undefined) {
      return;
    }
    busy.current = true;
    router.post(edit.address, { version: version.current, ...edit.data } as never, {
      preserveScroll: true,
      preserveState: true,
      onSuccess: (page) => {
        const now = page.props as unknown as WorkspacePage;
        version.current = now.course.draftVersion;
        edit.onDone?.(now);
      },
      onError: (errors) => edit.onRefused?.(Object.values(errors)[0] ?? ''),
      onFinish: () => {
        busy.current = false;
        waiting.current.shift();
        setPending(waiting.current.flatMap(({ cells }) => cells));
        next();
      },
    });
  };
  const add = (edit: Edit) => {
    waiting.current.push(edit);
    if (edit.cells.length > 0) {
      setPending((now) => [...now, ...edit.cells]);
    }
    next();
  };
  const shown = useMemo(() => {
    if (pending.length === 0) {
      return rules;
    }
    const byItem = new Map<string, PendingCell[]>();
    for (const cell of pending) {
      byItem.set(cell.item, [...(byItem.get(cell.item) ?? []), cell]);
    }
    return rules.map((rule, index) => {
      const cells = byItem.get(rows[index]?.key ?? '');
      return cells === undefined ? rule : withPending(rule, cells);
    });
  }, [rules, rows, pending]);
  return {
    set: (sets, cells, onRefused) => {
      if (sets.length === 0) {
        return;
      }
      const step: (typeof made.current)[number] = { before: cells.map((cell) => asTold(cell, shown[rows.findIndex(({ key }) => key === cell.item)], plan)), version: null };
      made.current.push(step);
      add({
        address: to('keep.draft.edit', { course: course.key }),
        data: sets.length === 1 && sets[0] !== undefined ? (sets[0] as Data) : { sets },
        cells,
        onRefused: (message) => {
          made.current = made.current.filter((one) => one !== step);
          onRefused?.(message);
        },
        onDone: (page) => {
          step.version = page.course.draftVersion;
        },
      });
    },
    undo: () => {
      const last = made.current.pop();
      const isLast = last !== undefined && (last.version === null || last.version === version.current);
      // After an undo the draft has another version: those before it are not the last ones any more by number, but by order.
      add({
        address: to('keep.draft.undo', { course: course.key }),
        data: {},
        cells: isLast ? last.before : [],
        onRefused: undefined,
        onDone: (page) => {
          const before = made.current.at(-1);
          if (before !== undefined && isLast) {
            before.version = page.course.draftVersion;
          } else {
            made.current = [];
          }
        },
      });
    },
    send: (address, data, then) => {
      made.current = [];
      add({ address, data, cells: [], onRefused: then?.onRefused, onDone: then?.onDone });
    },
    areWaiting: () => waiting.current.length > 0,
    rules: shown,
  };
}
