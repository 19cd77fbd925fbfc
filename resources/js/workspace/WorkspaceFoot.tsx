import type { OutlineRow } from '../lib/generated/types';

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
    return <p className="hint">You see every rule; only administrators change them.</p>;
  }
  if (selected > 1) {
    return (
      <p className="hint" role="status">
        <b>{selected} rows selected.</b> Setting a cell of one of them sets all {selected} ·{' '}
        <button type="button" className="linklike" onClick={onClear}>
          <kbd>Esc</kbd> let go
        </button>
      </p>
    );
  }
  if (copied !== null) {
    return (
      <p className="hint" role="status">
        <b>The rules of {copied.title} are copied.</b> <kbd>Ctrl V</kbd> sets them on the row you are on, or on all that are selected
      </p>
    );
  }
  return (
    <p className="hint">
      <kbd>↑</kbd> <kbd>↓</kbd> move · <kbd>Shift</kbd> selects several · <kbd>Enter</kbd> opens the sheet · <kbd>N</kbd> adds rows · edits gather in the draft, learners
      see them once published{plan === null ? ' · no release plan: everything opens at once' : ''}
    </p>
  );
}
