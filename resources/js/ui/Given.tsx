import type { WhyCard } from '../lib/generated/types';
import { plainText } from '../lib/words';
import { Words } from './Words';
import ui from './ui.module.css';

/** Who or what gave that by which something is open to somebody. */
export function Given({ card: { given } }: { card: WhyCard }) {
  return given.map((words) => (
    <p key={plainText(words)} className={ui.soft}>
      <Words segments={words.segments} />
    </p>
  ));
}
