import { clsx } from 'clsx';
import type { OutlineRow } from '../lib/generated/types';
import { say, saying } from '../lib/keepSay';
import css from './workspace.module.css';
import ui from '../ui/ui.module.css';

export interface RulesFootProps {
  plan: string | null;
  mayEdit: boolean;
  /** How many rows. */
  selected: number;
  /** The row whose rules were copied. */
  copied: OutlineRow | null;
  onClear: () => void;
}

/** Under the Rules lens: what the keys do, or how many rows are set together. */
export function RulesFoot({ plan, mayEdit, selected, copied, onClear }: RulesFootProps) {
  if (!mayEdit) {
    return <p className={css.hint}>{say('workspace.workspace_foot.you_see_every_rule')}</p>;
  }
  if (selected > 1) {
    return (
      <p className={css.hint} role="status">
        {saying('workspace.workspace_foot.selected', {
          selected,
          count: <b key="count">{say('workspace.workspace_foot.selected_rows_selected', { selected })}</b>,
          let_go: (
            <button key="let-go" type="button" className={clsx(ui.linklike, css.linklike)} onClick={onClear}>
              {saying('workspace.workspace_foot.let_go', { key: <kbd>{say('keep.keys.esc')}</kbd> })}
            </button>
          ),
        })}
      </p>
    );
  }
  if (copied !== null) {
    return (
      <p className={css.hint} role="status">
        {saying('workspace.workspace_foot.copied', { what: <b key="what">{say('workspace.workspace_foot.rules_title_copied', { title: copied.title })}</b>, key: <kbd key="key">{say('keep.keys.ctrl_v')}</kbd> })}
      </p>
    );
  }
  return (
    <p className={css.hint}>
      {saying('workspace.workspace_foot.keys', {
        arrows: (
          <span key="arrows">
            <kbd>↑</kbd> <kbd>↓</kbd>
          </span>
        ),
        shift: <kbd key="shift">{say('keep.keys.shift')}</kbd>,
        enter: <kbd key="enter">{say('keep.keys.enter')}</kbd>,
        new: <kbd key="new">N</kbd>,
        plans: plan === null ? 'none' : 'some',
      })}
    </p>
  );
}
