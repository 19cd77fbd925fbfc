import { router } from '@inertiajs/react';

import type { FixByAct } from '../lib/generated/types';
import { to } from '../lib/route';
import type { Act } from './acts';

/** What assistants may do too. */
const HELP = new Set(['grant', 'extend', 'finish']);

/** Whether a byAct is one step for this reader; an extension asks for how long, and is made from the person's page. */
export function mayDo(what: FixByAct, mayRun: boolean): boolean {
  return what.do !== 'extend' && (mayRun || HELP.has(what.do));
}

/** Does something to somebody at once; it can be taken back from the note that tells of it. */
export function at(person: number, act: Act): void {
  router.post(to('keep.people.act'), { people: [person], ...act }, { preserveScroll: true, preserveState: true });
}

/** Does it; it can be taken back from the note that tells of it. */
export function byAct(person: number, what: FixByAct, onDone?: () => void): void {
  router.post(
    to('keep.people.act'),
    { people: [person], do: what.do, course: what.course, item: what.item, ...(what.items.length > 0 ? { items: what.items } : {}), offer: what.offer, label: what.label },
    { preserveScroll: true, preserveState: true, ...(onDone === undefined ? {} : { onSuccess: onDone }) },
  );
}

/** To whom it is done: the viewer, or whom they look in on; null where that is nobody in particular. */
export function doneTo(what: FixByAct, vantage: string, viewer: number | null): number | null {
  const of = /^(observer:)?person:(\d+)$/.exec(vantage);
  if (what.toLearner) {
    return of?.[1] === undefined ? null : Number(of[2]);
  }
  return of !== null && of[1] === undefined ? Number(of[2]) : viewer;
}
