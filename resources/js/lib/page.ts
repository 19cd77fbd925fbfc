import { usePage } from '@inertiajs/react';

import { learnerAddress } from './address';
import type { Flash, Looking, SchoolHead, SignedIn, StandIn } from './generated/types';

/** What every page gets. */
export interface Shared {
  school: SchoolHead;
  signedIn: SignedIn | null;
  flash: Flash | null;
  /** With whom they may look; null: they observe nobody. */
  looking?: Looking | null;
  /** On a learner's page that is looked at by somebody who stands in for its viewer. */
  standIn?: StandIn;
  [key: string]: unknown;
}

export function useShared(): Shared {
  return usePage<Shared>().props;
}

/** Whether whoever looks may help people: hand out, extend, give one more try. */
export function useHelps(): boolean {
  const { signedIn } = useShared();
  return signedIn?.role === 'administrator' || signedIn?.role === 'assistant';
}

/** Where the pages of a course are: its own, or those of whoever stands in for its viewer. */
export function useLearnerAddress(): (course: string, item?: string) => string {
  const { standIn } = useShared();
  return standIn === undefined
    ? learnerAddress
    : (_course, item) => `${standIn.base}${item === undefined ? '' : `/${encodeURIComponent(item)}`}?${standIn.query}`;
}
