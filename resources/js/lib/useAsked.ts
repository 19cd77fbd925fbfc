import { useEffect, useState } from 'react';

import { getJson, postJson } from './http';

export interface Asked<T> {
  /** The answer to just what is asked now; null until it is there. */
  answer: T | null;
  /** The newest answer to whatever was asked, for what would flicker otherwise. */
  last: T | null;
  /** `idle`: nothing is asked; `failed`: the server could not be reached or refused. */
  state: 'idle' | 'waiting' | 'ready' | 'failed';
}

/**
 * Asks the server about what is being typed or moved, once it has rested a moment. Of answers that come late or out of order
 * none is taken for another.
 *
 * @param address null: nothing is to be asked
 * @param body left out: it is got; else it is posted
 * @param rest milliseconds
 */
export function useAsked<T>(address: string | null, body?: unknown, rest = 200): Asked<T> {
  const [told, setTold] = useState<{ key: string; answer: T | null } | null>(null);
  const [last, setLast] = useState<T | null>(null);
  const sent = body === undefined ? null : JSON.stringify(body);
  const key = address === null ? null : `${address} ${sent ?? ''}`;
  useEffect(() => {
    if (address === null || key === null) {
      return undefined;
    }
    let wanted = true;
    const timer = window.setTimeout(() => {
      void (sent === null ? getJson<T>(address) : postJson<T>(address, JSON.parse(sent))).then((answer) => {
        if (wanted) {
          setTold({ key, answer });
          setLast((before) => answer ?? before);
        }
      });
    }, rest);
    return () => {
      wanted = false;
      window.clearTimeout(timer);
    };
  }, [address, key, sent, rest]);
  const answer = key !== null && told?.key === key ? told.answer : null;
  return { answer, last, state: key === null ? 'idle' : told?.key !== key ? 'waiting' : answer === null ? 'failed' : 'ready' };
}
