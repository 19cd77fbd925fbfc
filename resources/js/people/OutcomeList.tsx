import type { ActOutcome } from '../lib/generated/types';

/** What an act does to how many, with the names of the first. */
export function OutcomeList({ outcomes }: { outcomes: ActOutcome[] }) {
  return outcomes.map((outcome) => (
    <details key={outcome.words} className={outcome.changes ? '' : 'soft'}>
      <summary>
        <b>{outcome.count.toLocaleString('en')}</b> {outcome.words}
      </summary>
      <p>
        {outcome.names.join(', ')}
        {outcome.count > outcome.names.length && ` and ${(outcome.count - outcome.names.length).toLocaleString('en')} more`}
      </p>
    </details>
  ));
}
