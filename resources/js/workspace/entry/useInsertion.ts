import { useRef, useState } from 'react';

import type { Kind, OutlineRow } from '../../lib/generated/types';
import { to } from '../../lib/route';
import type { Edits } from '../useEdits';

/** Where a row can be put that is not there yet. */
export interface Level {
  kind: Kind;
  depth: number;
  /** The row inside which it is put, at the beginning, or after which. */
  item: string;
  inside: boolean;
  /** The row right under which it shows. */
  under: string;
}

/** Of what is not in the outline yet. */
export const NEW = 'new row';

/** Where a row can come below another one, from the deepest to the outermost. */
export function levelsAt(rows: OutlineRow[], key: string): Level[] {
  const at = rows.findIndex((row) => row.key === key);
  const row = rows[at];
  if (row === undefined) {
    return [];
  }
  const inside: Kind | null = row.kind === 'module' ? 'lesson' : row.kind === 'lesson' ? 'part' : null;
  const chain = [row];
  for (let above = at - 1, depth = row.depth; above >= 0 && depth > 0; above--) {
    const one = rows[above];
    if (one !== undefined && one.depth < depth) {
      chain.push(one);
      depth = one.depth;
    }
  }
  const lastOf = (one: OutlineRow) => {
    const from = rows.indexOf(one);
    const next = rows.findIndex((other, index) => index > from && other.depth <= one.depth);
    return rows[(next === -1 ? rows.length : next) - 1]?.key ?? one.key;
  };
  return [
    ...(inside === null ? [] : [{ kind: inside, depth: row.depth + 1, item: row.key, inside: true, under: row.key }]),
    ...chain.map((one): Level => ({ kind: one.kind === 'board' ? 'lesson' : one.kind, depth: one.depth, item: one.key, inside: false, under: lastOf(one) })),
  ];
}

interface Insertion {
  level: Level;
  levels: Level[];
  /** Titles that are on their way. */
  sent: string[];
}

/** Rows typed one after the other: the next can be typed while the one before is on its way. */
export function useInsertion(course: string, rows: OutlineRow[], edits: Edits) {
  const [insertion, setInsertion] = useState<Insertion | null>(null);
  const busy = useRef(false);
  const next = useRef<{ level: Level; titles: string[] } | null>(null);
  /** Counts insertions: what comes back of one that was left changes nothing. */
  const run = useRef(0);
  const [refused, setRefused] = useState<string | null>(null);

  const send = () => {
    const batch = next.current;
    if (busy.current || batch === null || batch.titles.length === 0) {
      return;
    }
    busy.current = true;
    next.current = null;
    const [mine, known] = [run.current, new Set(rows.map(({ key }) => key))];
    edits.send(
      to('keep.draft.outline', { course }),
      { do: 'add', kind: batch.level.kind, item: batch.level.item, inside: batch.level.inside, first: batch.level.inside, titles: batch.titles.join('\n') },
      {
        onRefused: (message) => {
          busy.current = false;
          setRefused(message);
        },
        onDone: (page) => {
          busy.current = false;
          const last = page.rows.findLast(({ key }) => !known.has(key));
          const levels = last === undefined ? [] : levelsAt(page.rows, last.key);
          const level = levels.find(({ item, inside }) => item === last?.key && !inside);
          const left = next.current as typeof batch | null;
          if (level === undefined) {
            return;
          }
          next.current = left === null ? null : { ...left, level };
          setInsertion((now) => (now === null || run.current !== mine ? now : { level, levels, sent: left?.titles ?? [] }));
          send();
        },
      },
    );
  };
  return {
    refused,
    forgive: () => setRefused(null),
    /** What is shown below the row under which it comes; null: nothing is being added. */
    insertion,
    begin: (row: string) => {
      const levels = levelsAt(rows, row);
      const level = levels[0]?.inside === true && levels[0].kind === 'part' ? levels[1] : levels[0];
      if (level !== undefined) {
        run.current++;
        setRefused(null);
        setInsertion({ level, levels, sent: [] });
      }
    },
    add: (title: string) => {
      if (insertion === null) {
        return;
      }
      next.current = { level: insertion.level, titles: [...(next.current?.titles ?? []), title] };
      setInsertion({ ...insertion, sent: [...insertion.sent, title] });
      send();
    },
    shift: (deeper: boolean) => {
      if (insertion !== null && insertion.sent.length === 0) {
        const level = insertion.levels[insertion.levels.indexOf(insertion.level) + (deeper ? -1 : 1)];
        setInsertion(level === undefined ? insertion : { ...insertion, level });
      }
    },
    end: () => setInsertion(null),
  };
}

/** The rows as they show while some are being added. */
export function withNew(rows: { row: OutlineRow; index: number }[], insertion: Insertion | null): { row: OutlineRow; index: number }[] {
  if (insertion === null) {
    return rows;
  }
  const { level, sent } = insertion;
  const made = [...sent, ''].map((title, index) => ({ row: { key: index === sent.length ? NEW : `${NEW} ${index}`, title, kind: level.kind, depth: level.depth, draft: false }, index: -1 }));
  const at = rows.findIndex(({ row }) => row.key === level.under);
  return at === -1 ? [...rows, ...made] : [...rows.slice(0, at + 1), ...made, ...rows.slice(at + 1)];
}
