import { say } from '../../lib/keepSay';
import type { CellName } from './ruleSets';

/** What the columns of the Rules lens are called. */
export const COLUMN_TITLES: Record<CellName, string> = {
  opens: say('lenses.columns.opens'),
  closes: say('lenses.columns.closes'),
  after: say('lenses.columns.after'),
  optional: say('lenses.columns.optional'),
  forWhom: say('lenses.columns.forWhom'),
  sample: say('lenses.columns.sample'),
  guests: say('lenses.columns.guests'),
  observers: say('lenses.columns.observers'),
  whenClosed: say('lenses.columns.whenClosed'),
  finish: say('lenses.columns.finish'),
};
