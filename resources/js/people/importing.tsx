import { router } from '@inertiajs/react';
import { useEffect, useState } from 'react';
import { clsx } from 'clsx';

import type { ImportOutcome, ImportProgress } from '../lib/generated/types';
import { getJson } from '../lib/http';
import { say } from '../lib/keepSay';
import { to } from '../lib/route';
import { shortened } from '../lib/shortened';
import ui from '../ui/ui.module.css';
import css from './people.module.css';

/** States in which the server goes on by itself. */
export const GOING_ON = ['reading', 'bringing in', 'taking back'];

const rowsOf = (count: number) => say('keep.rows', { count });

/** What the server is doing with a file, and how far it has come. */
export function UnderWay({ state, read, progress }: { state: string; read: number; progress: ImportProgress | null }) {
  return (
    <section className={clsx(ui.progress, css.progress)}>
      <h2>{state === 'reading' ? say('imports.import.reading_the_file') : state === 'taking back' ? say('imports.import.taking_it_back') : say('imports.import.bringing_them_in')}</h2>
      <progress {...(state === 'bringing in' ? { max: read, value: progress?.in ?? 0 } : {})} aria-label={say('imports.import.rows')} />
      <p role="status">
        {state === 'reading' ? say('imports.import.read_rows', { rows: rowsOf(progress?.read ?? read) }) : state === 'taking back' ? say('imports.import.taken_at_once') : say('imports.import.prepared', { in: progress?.in ?? 0, rows: rowsOf(read) })}
      </p>
    </section>
  );
}

/** The first rows of a file, and what each would do. */
export function FirstRows({ rows, read }: { rows: ImportOutcome[]; read: number }) {
  if (rows.length === 0) {
    return null;
  }
  return (
    <>
      <table className={clsx(ui.list, css.list, css.people)}>
        <caption className={ui.vh}>{say('imports.import.first_rows_file_and')}</caption>
        <thead>
          <tr>
            <th scope="col" className={ui.num}>
              {say('imports.import.line')}
            </th>
            <th scope="col">{say('keep.name')}</th>
            <th scope="col">{say('imports.import.is')}</th>
            <th scope="col">{say('imports.import.gets')}</th>
          </tr>
        </thead>
        <tbody>
          {rows.map((row) => (
            <tr key={`${row.line} ${row.gets} ${row.email}`}>
              <td className={ui.num}>{row.line}</td>
              <th scope="row">
                {shortened(row.name, 80)}
                <span>{shortened(row.email, 80)}</span>
              </th>
              <td>{row.outcome}</td>
              <td>{row.gets}</td>
            </tr>
          ))}
        </tbody>
      </table>
      {read > rows.length && <p className={ui.soft}>{say('imports.import.first_of', { shown: rows.length, rows: say('keep.rows', { count: read }) })}</p>}
    </>
  );
}

/** How far the server has come with what it does by itself; the page is loaded anew once that is over. */
export function useImportProgress(id: number, state: string): ImportProgress | null {
  const [progress, setProgress] = useState<ImportProgress | null>(null);
  useEffect(() => {
    if (!GOING_ON.includes(state)) {
      return undefined;
    }
    const timer = window.setInterval(() => {
      void getJson<ImportProgress>(to('keep.import.progress', { import: id })).then((now) => {
        setProgress(now);
        if (now !== null && now.state !== state) {
          router.reload();
        }
      });
    }, 700);
    return () => window.clearInterval(timer);
  }, [id, state]);
  return progress;
}
