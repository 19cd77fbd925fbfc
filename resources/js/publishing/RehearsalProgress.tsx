import { router } from '@inertiajs/react';
import { useEffect, useState } from 'react';
import { clsx } from 'clsx';

import { postJson } from '../lib/http';
import { say, saying } from '../lib/keepSay';
import type { EffectCount, RehearsalProgress } from '../lib/generated/types';
import { to } from '../lib/route';
import { TAKES } from './takes';
import css from './publishing.module.css';
import ui from '../ui/ui.module.css';

interface ProgressProps {
  course: string;
  back: number | null;
  setFor: string | null;
  looked: number;
  of: number;
  totals: EffectCount[];
}

/** Milliseconds between two questions of how far it has come. */
const ASKS_EVERY = 700;

/** Has a long rehearsal made and tells how far it has come; it can be left, and is there when the page is opened again. */
export function Progress({ course, back, setFor, looked, of, totals }: ProgressProps) {
  const [soFar, setSoFar] = useState({ looked, totals });
  const [stopped, setStopped] = useState(false);
  useEffect(() => {
    let left = false;
    let timer = 0;
    const goOn = async () => {
      const progress = await postJson<RehearsalProgress>(to('keep.rehearsal', { course }), { back, for: setFor });
      if (left) {
        return;
      }
      if (progress === null) {
        setStopped(true);
      } else if (progress.finished) {
        router.reload();
      } else {
        // What the queue begins anew is not shown until it knows more than the page did.
        setSoFar((shown) => (progress.looked > shown.looked ? progress : shown));
        timer = window.setTimeout(() => void goOn(), ASKS_EVERY);
      }
    };
    void goOn();
    return () => {
      left = true;
      window.clearTimeout(timer);
    };
  }, [course, back, setFor]);
  return (
    <section aria-label={say('publishing.progress.title')} className={ui.progress}>
      <h2>{say('publishing.progress.heading')}</h2>
      <progress max={of} value={soFar.looked} aria-label={say('publishing.progress.looked')} />
      <p role="status">
        {stopped
          ? saying('publishing.progress.stopped', {
              go_on: (
                <button key="on" type="button" className={clsx(ui.linklike, css.linklike)} onClick={() => router.reload()}>
                  {say('publishing.progress.go_on')}
                </button>
              ),
            })
          : say('publishing.progress.far', { done: soFar.looked, of })}
      </p>
      {soFar.totals.length > 0 && (
        <>
          <h3>{say('publishing.progress.so_far')}</h3>
          <ul className={css.totals}>
            {soFar.totals.map((total) => (
              <li key={total.effect} className={TAKES.has(total.effect) ? clsx(ui.takes, css.takes) : css.gives}>
                <b>{say('publishing.effect', { count: total.count })}</b> {total.words}
              </li>
            ))}
          </ul>
        </>
      )}
    </section>
  );
}
