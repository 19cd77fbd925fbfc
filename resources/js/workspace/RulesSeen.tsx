import type { RulesVersion } from '../lib/generated/types';
import { say } from '../lib/keepSay';
import css from './workspace.module.css';

export interface RulesSeenProps {
  see: RulesVersion;
  /** Whether both can be looked at at once. */
  both?: boolean;
  /** Nothing is published yet. */
  onlyDraft?: boolean;
  onSee: (see: RulesVersion) => void;
}

/** Whether what is published is looked at, or the draft. */
export function RulesSeen({ see, both = false, onlyDraft = false, onSee }: RulesSeenProps) {
  const choices: { is: RulesVersion; title: string }[] = [
    { is: 'published', title: say('workspace.rules_seen.as_published') },
    { is: 'draft', title: say('workspace.rules_seen.with_the_changes') },
    ...(both ? [{ is: 'both' as const, title: say('workspace.rules_seen.both') }] : []),
  ];
  return (
    <div className={css.seg} role="group" aria-label={say('workspace.rules_seen.which')}>
      {choices.map(({ is, title }) => (
        <button key={is} type="button" aria-pressed={see === is} disabled={onlyDraft && is !== 'draft'} onClick={() => onSee(is)}>
          {title}
        </button>
      ))}
    </div>
  );
}
