import { clsx } from 'clsx';

import { withQuery } from '../lib/address';
import type { PastWhy } from '../lib/generated/types';
import { say } from '../lib/keepSay';
import { to } from '../lib/route';
import { useAsked } from '../lib/useAsked';
import { Arch } from '../ui/Arch';
import { Words } from '../ui/Words';
import css from './past.module.css';
import ui from '../ui/ui.module.css';

export interface PastWhyCardProps {
  person: number;
  course: string;
  item: string;
  title: string;
  at: number;
  when: string;
  with: number | null;
}

/** Why a row was as it was at an instant: the gates in order, by the rules and facts of then. */
export function PastWhyCard({ person, course, item, title, at, when, with: learner }: PastWhyCardProps) {
  const { answer, last, state } = useAsked<PastWhy>(withQuery(to('keep.person.past.why', { person }), { course, item, at: String(at), with: learner === null ? null : String(learner) }), undefined, 120);
  const card = answer ?? (state === 'waiting' ? last : null);
  return (
    <div className={css.why} aria-busy={state === 'waiting'}>
      {card === null ? (
        <p role="status">{state === 'failed' ? say('past.why_failed') : `${title}…`}</p>
      ) : (
        <>
          <h3>{say('past.why', { title, state: card.word, when })}</h3>
          <ul className={ui.gates}>
            {card.gates.map((gate) => (
              <li key={`${gate.name} ${gate.inner}`} className={clsx(gate.passed ? ui.pass : ui.fail, gate.inner && ui.inner)}>
                <Arch glyph={gate.passed ? 'open' : 'locked'} size={15} />
                <b>{gate.name}</b>
                <span>
                  <Words segments={gate.words.segments} />
                </span>
              </li>
            ))}
          </ul>
          {card.knownNow !== null && (
            <p>
              <Words segments={card.knownNow.segments} />
            </p>
          )}
          <p>{card.rules}</p>
        </>
      )}
    </div>
  );
}
