import { Loader } from '@mantine/core';
import { useEffect, useState } from 'react';

import type { CountedChange } from '../lib/generated/types';
import { getJson } from '../lib/http';
import { say } from '../lib/keepSay';
import css from './school.module.css';

/** Milliseconds between two looks. */
const EVERY = 700;

export interface Counted {
  /** Null as long as nothing is known. */
  change: CountedChange | null;
  done: boolean;
}

/**
 * What a change would do to the people of each course, as far as the queue has counted it: looked at again until all is counted.
 *
 * @param address null: nothing is to be counted
 */
export function useCounted(address: string | null): Counted {
  const [told, setTold] = useState<{ address: string; change: CountedChange } | null>(null);
  useEffect(() => {
    if (address === null) {
      return undefined;
    }
    let timer = 0;
    let left = false;
    const look = async () => {
      const change = await getJson<CountedChange>(address);
      if (left) {
        return;
      }
      if (change !== null) {
        setTold({ address, change });
      }
      if (change === null || change.lines.some(({ done }) => !done)) {
        timer = window.setTimeout(() => void look(), EVERY);
      }
    };
    timer = window.setTimeout(() => void look(), 200);
    return () => {
      left = true;
      window.clearTimeout(timer);
    };
  }, [address]);
  const change = told?.address === address ? told.change : null;
  return { change, done: change !== null && change.lines.every(({ done }) => done) };
}

/** @param none what is said where no course is touched at all */
export function CountedLines({ counted: { change, done }, none }: { counted: Counted; none: string }) {
  return (
    <div aria-live="polite" aria-busy={!done}>
      {change !== null && change.told !== '' && <p>{change.told}</p>}
      {change !== null && change.lines.length === 0 && <p>{none}</p>}
      <ul className={css.counted}>
        {change?.lines.map(({ text }) => (
          <li key={text}>{text}</li>
        ))}
      </ul>
      {!done && <Loader size={16} aria-label={say('school.counted.looking')} />}
    </div>
  );
}
