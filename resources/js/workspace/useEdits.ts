import { router } from '@inertiajs/react';
import { useEffect, useMemo, useRef, useState } from 'react';

import type { RuleRow, WorkspacePage } from '../lib/generated/types';
import { to } from '../lib/route';
import { type PendingCell, withPending } from './entry/shownRules';
import { type CellName, type Rule, type RuleSet } from './entry/ruleSets';

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
  /** Any other edit of the draft. */
  send: (address: string, data: Data, then?: { onRefused?: (message: string) => void; onDone?: (page: WorkspacePage) => void }) => void;
  /** The rules as they are, with what waits to be kept. */
  rules: RuleRow[];
}

/** What cells will tell that were set to the same. */
export function pendingCells(items: string[], column: CellName, words: string, own: boolean, rules: Rule[]): PendingCell[] {
  return items.map((item) => ({ item, column, words, own, rules }));
}

/**
 * Edits of the draft one after the other, in the order in which they were made: whoever types faster than the school answers loses
 * nothing, and each is made in the draft that the one before has left.
 */
export function useEdits({ course, rows, rules }: WorkspacePage): Edits {
  const waiting = useRef<Edit[]>([]);
  const busy = useRef(false);
  const version = useRef(course.draftVersion);
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
    set: (sets, cells, onRefused) => sets.length > 0 && add({ address: to('keep.draft.edit', { course: course.key }), data: sets.length === 1 && sets[0] !== undefined ? (sets[0] as Data) : { sets }, cells, onRefused, onDone: undefined }),
    send: (address, data, then) => add({ address, data, cells: [], onRefused: then?.onRefused, onDone: then?.onDone }),
    rules: shown,
  };
}
