import type { Kind } from './generated/types';

/** A row of an outline as somebody wrote it elsewhere. */
export interface WrittenRow {
  /** 0 is the outermost. */
  depth: number;
  title: string;
}

/** A title has so many characters at most (app/Http/Requests/EditOutlineRequest.php). */
const LONGEST = 255;

/**
 * An outline in plain text: levels told by indentation, by decimal numbers (`1.2 Planes`), by number signs (`## Planes`), or by the
 * columns of a spreadsheet, in which what stands to the right is inside. Bullets and numbers are no part of titles.
 */
export function readOutline(text: string): WrittenRow[] {
  const lines = text
    .replace(/\r\n?/g, '\n')
    .split('\n')
    .map((line) => line.replace(/\s+$/, ''))
    .filter((line) => line.trim() !== '');
  const rows = lines.some((line) => /\S.*\t/.test(line)) ? byColumns(lines) : byMarks(lines) ?? byIndent(lines);
  return settled(rows.map(({ depth, title }) => ({ depth, title: title.trim().slice(0, LONGEST).trim() })).filter(({ title }) => title !== ''));
}

/** What stands in the same column as before is the same row, once. */
function byColumns(lines: string[]): WrittenRow[] {
  const rows: WrittenRow[] = [];
  let before: string[] = [];
  for (const line of lines) {
    const cells = line.split('\t').map((cell) => cell.trim());
    cells.forEach((title, depth) => {
      const known = before[depth] === title && cells.slice(0, depth).every((cell, at) => cell === '' || cell === before[at]);
      if (title !== '' && !(known && depth < cells.length - 1)) {
        rows.push({ depth, title: unmarked(title) });
        before = [...before.slice(0, depth), title];
      }
    });
  }
  return rows;
}

/** `# Tools`, or `1 Tools` and `1.1 Planes`; null where lines are told apart by neither. */
function byMarks(lines: string[]): WrittenRow[] | null {
  if (lines.some((line) => /^#{1,6}\s/.test(line))) {
    let under = -1;
    return lines.map((line) => {
      const found = /^(#{1,6})\s+(.*)$/.exec(line);
      under = found === null ? under : (found[1]?.length ?? 1) - 1;
      return found === null ? { depth: under + 1 + indentOf(line) / 2, title: unmarked(line) } : { depth: under, title: found[2] ?? '' };
    });
  }
  const numbered = lines.map((line) => /^\s*(\d+(?:\.\d+)*)[.)]?\s+(.*)$/.exec(line));
  if (numbered.every((found) => found !== null) && numbered.some((found) => found?.[1]?.includes('.') === true)) {
    return numbered.map((found) => ({ depth: (found?.[1]?.split('.').length ?? 1) - 1, title: found?.[2] ?? '' }));
  }
  return null;
}

function byIndent(lines: string[]): WrittenRow[] {
  const outer: number[] = [];
  return lines.map((line) => {
    const indent = indentOf(line);
    while (outer.length > 0 && (outer.at(-1) ?? 0) >= indent) {
      outer.pop();
    }
    outer.push(indent);
    return { depth: outer.length - 1, title: unmarked(line) };
  });
}

/** A tab stands for four blanks. */
function indentOf(line: string): number {
  return (/^\s*/.exec(line)?.[0] ?? '').replace(/\t/g, '    ').length;
}

function unmarked(title: string): string {
  return title.trim().replace(/^(?:[-*+•–◦▪]|\d+(?:\.\d+)*[.)]|[a-z][.)])\s+/, '');
}

/** Without gaps: what would stand two steps further in than the one before stands one. */
function settled(rows: WrittenRow[]): WrittenRow[] {
  const outer: number[] = [];
  return rows.map(({ depth, title }) => {
    while (outer.length > 0 && (outer.at(-1) ?? 0) >= depth) {
      outer.pop();
    }
    outer.push(depth);
    return { depth: outer.length - 1, title };
  });
}

/** Modules, lessons and parts are what most mean. */
function unusual(kinds: Kind[]): number {
  return kinds.length === 1 ? 0 : Number(kinds[0] !== 'module') + 2 * Number(kinds[1] === 'module');
}

/** What the levels of an outline can be, from the outermost in; inside a lesson there are parts alone. */
export function kindsFor(levels: number, place: Kind | null): Kind[][] {
  const beside: Kind[] = place === 'lesson' ? ['part'] : ['lesson', 'module', 'board'];
  const chains = (left: number, may: Kind[]): Kind[][] =>
    left === 0 ? [[]] : may.flatMap((kind) => (left > 1 && kind !== 'module' && kind !== 'lesson' ? [] : chains(left - 1, kind === 'module' ? ['lesson', 'module', 'board'] : kind === 'lesson' ? ['part'] : []).map((rest) => [kind, ...rest])));
  // Levels of boards alone are no outline.
  return chains(levels, beside).filter((kinds) => levels === 1 || !kinds.includes('board')).toSorted((a, b) => unusual(a) - unusual(b));
}
