import { clsx } from 'clsx';
import type { OutlineRow } from '../lib/generated/types';
import { say, saying } from '../lib/keepSay';
import { COLUMN_TITLES } from './entry/columnTitles';
import { useCutWords } from './useCutWords';
import css from './workspace.module.css';
import ui from '../ui/ui.module.css';

/** What was copied: the rules of whole rows, or cells of so many rows and columns. */
export type Copied = OutlineRow[] | readonly [number, number];

export function isOfRows(copied: Copied | null): copied is OutlineRow[] {
  return copied !== null && typeof copied[0] === 'object';
}

export interface RulesFootProps {
  plan: string | null;
  mayEdit: boolean;
  /** How many rows. */
  selected: number;
  /** What was copied: whole rows, or how many rows and columns. */
  copied: Copied | null;
  onClear: () => void;
  onColumns: () => void;
}

/** Under the Rules lens: what its cell has no room for, what the keys do, or how many rows are set together; and which columns there are. */
export function RulesFoot({ onColumns, ...told }: RulesFootProps) {
  const cut = useCutWords();
  return (
    <>
      {cut !== null && told.selected <= 1 && told.copied === null ? (
        <p className={css.hint}>
          <b>{COLUMN_TITLES[cut.column]}</b> {cut.words}
        </p>
      ) : (
        <Hint {...told} />
      )}
      <button type="button" className={clsx(ui.linklike, css.linklike, css.aside)} onClick={onColumns}>
        {say('workspace.columns.columns')}
      </button>
    </>
  );
}

function Hint({ plan, mayEdit, selected, copied, onClear }: Omit<RulesFootProps, 'onColumns'>) {
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
    const [first] = isOfRows(copied) ? copied : [];
    return (
      <p className={css.hint} role="status">
        {isOfRows(copied)
          ? saying('workspace.workspace_foot.copied', {
              what: <b key="what">{copied.length === 1 ? say('workspace.workspace_foot.rules_title_copied', { title: first?.title ?? '' }) : say('workspace.workspace_foot.rows_copied', { rows: copied.length })}</b>,
              key: <kbd key="key">{say('keep.keys.ctrl_v')}</kbd>,
            })
          : saying('workspace.workspace_foot.cells_copied', { what: <b key="what">{say('workspace.workspace_foot.cells', { rows: copied[0], columns: copied[1] })}</b>, key: <kbd key="key">{say('keep.keys.ctrl_v')}</kbd> })}
      </p>
    );
  }
  return (
    <p className={css.hint}>
      {saying('workspace.workspace_foot.keys', {
        type: say('workspace.workspace_foot.type'),
        enter: <kbd key="enter">{say('keep.keys.enter')}</kbd>,
        arrows: (
          <span key="arrows">
            <kbd>↑</kbd> <kbd>↓</kbd>
          </span>
        ),
        shift: <kbd key="shift">{say('keep.keys.shift')}</kbd>,
        fill: <kbd key="fill">{say('keep.keys.ctrl_d')}</kbd>,
        new: <kbd key="new">{say('keep.keys.ctrl_enter')}</kbd>,
        help: <kbd key="help">{say('keep.keys.question')}</kbd>,
        plans: plan === null ? 'none' : 'some',
      })}
    </p>
  );
}
