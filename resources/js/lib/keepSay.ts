import { type KeepParts, keepWords } from './generated/keepWords';
import { sayer } from './sayer';

/** Words of the administrator's side, which learners' pages do not load. */
export const { say, saying } = sayer<KeepParts>(keepWords);
