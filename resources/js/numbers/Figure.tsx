import { useIntersection } from '@mantine/hooks';
import { lazy, Suspense, useState } from 'react';

import { say } from '../lib/keepSay';
import type { Drawing } from './drawing';
import css from './numbers.module.css';
import ui from '../ui/ui.module.css';

// Fetched as it is looked at: no other page draws anything.
const Drawn = lazy(() => import('./Drawn'));

export interface FigureProps extends Drawing {
  title: string;
  told: string;
  /** What heads the column of the table in which each row is named. */
  head: string;
  /** What is said where every number is 0. */
  none: string;
  /** Whether numbers still come: its place is kept until they have. */
  counting: boolean;
}

/** A figure with what it is of, and the same as a table. */
export function Figure({ title, told, head, none, counting, kind, rows, series }: FigureProps) {
  const { ref, entry } = useIntersection();
  const [seen, setSeen] = useState(false);
  if (!seen && entry?.isIntersecting === true) {
    // Drawn as it comes into sight, and from then on.
    setSeen(true);
  }
  const anything = rows.some((row) => series.some(({ name }) => Number(row[name]) > 0));
  return (
    <section className={css.figure}>
      <h2>{title}</h2>
      <p className={ui.soft}>{told}</p>
      {anything || counting ? (
        <>
          <div ref={ref} aria-hidden className={css.drawn}>
            {seen && !counting && (
              <Suspense>
                <Drawn kind={kind} rows={rows} series={series} />
              </Suspense>
            )}
          </div>
          <details>
            <summary>{say('numbers.table')}</summary>
            <div className={css.scroll}>
              <table className={ui.list}>
                <caption className={ui.vh}>{title}</caption>
                <thead>
                  <tr>
                    <th scope="col">{head}</th>
                    {series.map(({ name, label }) => (
                      <th key={name} scope="col" className={ui.num}>
                        {label}
                      </th>
                    ))}
                  </tr>
                </thead>
                <tbody>
                  {rows.map((row) => (
                    <tr key={row.when}>
                      <th scope="row">{row.when}</th>
                      {series.map(({ name }) => (
                        <td key={name} className={ui.num}>
                          {row[name]}
                        </td>
                      ))}
                    </tr>
                  ))}
                </tbody>
              </table>
            </div>
          </details>
        </>
      ) : (
        <p>{none}</p>
      )}
    </section>
  );
}
