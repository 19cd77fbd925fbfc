import type { PeoplePage } from '../lib/generated/types';

/** Whom an act is for: people by number, or all that the list's filter lets through. */
export type Whom = { people: number[] } | { filter: PeoplePage['filter'] };

/** An act as it is asked for. */
export interface Act {
  do: string;
  offer?: string;
  pass?: number;
  grant?: number;
  course?: string;
  item?: string;
  label?: string;
  observer?: number;
  from?: string;
  until?: string;
  days?: number;
  anew?: boolean;
  stops?: boolean;
  subject?: string;
  body?: string;
}
