import { router } from '@inertiajs/react';

import type { FixByAct } from '../lib/generated/types';
import { to } from '../lib/route';

/** What assistants may do too. */
const HELP = new Set(['grant', 'extend', 'finish']);

/** Whether a byAct is one step for this reader; an extension asks for how long, and is made from the person's page. */
export function mayDo(what: FixByAct, mayRun: boolean): boolean {
  return what.do !== 'extend' && (mayRun || HELP.has(what.do));
}

/** Does it; it can be taken back from the note that tells of it. */
export function byAct(person: number, what: FixByAct, onDone?: () => void): void {
  router.post(
    to('keep.people.act'),
    { people: [person], do: what.do, course: what.course, item: what.item, offer: what.offer, label: what.label },
    { preserveScroll: true, preserveState: true, ...(onDone === undefined ? {} : { onSuccess: onDone }) },
  );
}
