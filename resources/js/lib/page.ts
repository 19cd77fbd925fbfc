import { usePage } from '@inertiajs/react';

import type { Flash, SchoolHead, SignedIn } from './types';

/** What every page gets. */
export interface Shared {
  school: SchoolHead;
  signedIn: SignedIn | null;
  flash: Flash | null;
  [key: string]: unknown;
}

export function useShared(): Shared {
  return usePage<Shared>().props;
}
