import { type Parts, words } from './generated/words';
import { sayer } from './sayer';

/** What there are words for on the learner's side, as lang/en/learn.php has them. */
export type Key = keyof typeof words;

export const { say, saying, speak } = sayer<Parts>(words);
