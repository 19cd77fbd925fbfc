import { clsx } from 'clsx';
import type { ActOutcome } from '../lib/generated/types';
import { say, saying } from '../lib/keepSay';
import { capital } from '../lib/words';
import ui from '../ui/ui.module.css';

/** What an act does to how many, with the names of the first. */
export function OutcomeList({ outcomes }: { outcomes: ActOutcome[] }) {
  return outcomes.map((outcome) => (
    <details key={outcome.words} className={clsx(!(outcome.changes) && ui.soft)}>
      <summary>
        {saying('people.outcome_list.line', { count: <b key="count">{say('people.outcome_list.count', { count: outcome.count })}</b>, what: capital(outcome.words) })}
      </summary>
      <p>
        {say('people.outcome_list.names', { names: outcome.names.join(', '), more: Math.max(0, outcome.count - outcome.names.length) })}
      </p>
    </details>
  ));
}
