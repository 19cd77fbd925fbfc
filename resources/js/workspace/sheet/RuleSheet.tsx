import type { ReactNode } from 'react';

import { RuleEditor } from '../lenses/RuleEditor';
import type { OutlineRow, RuleRow } from '../../lib/generated/types';
import { counted } from '../../lib/words';
import type { ConditionNames } from './ConditionEditor';
import { HoldsUp, Vain, WaitedFor, WORD_NAMES } from './RuleNotes';

export interface SheetRow {
  row: OutlineRow;
  rule: RuleRow;
}

export interface RuleSheetProps {
  course: string;
  version: number;
  plan: string | null;
  names: ConditionNames;
  /** What the sheet is about: one row, or all that are selected. */
  shown: SheetRow[];
  /** All rows of the course, in order. */
  all: SheetRow[];
  mayEdit: boolean;
  /** The word whose editor is open. */
  editing: string | null;
  onEdit: (word: string) => void;
  /** What is edited now was kept, or left. */
  onEdited: () => void;
  /** The row whose rules were copied. */
  copied: OutlineRow | null;
  onCopy: (row: OutlineRow) => void;
  onPaste: (items: string[]) => void;
  onShow: (key: string) => void;
  onClose: () => void;
}

const VARIOUS = 'various';

/** The rule of what is selected, as one sentence whose words are its controls. */
export function RuleSheet({ course, version, plan, names, shown, all, mayEdit, editing, onEdit, onEdited, copied, onCopy, onPaste, onShow, onClose }: RuleSheetProps) {
  const [first] = shown;
  if (first === undefined) {
    return null;
  }
  const rows = shown.map(({ row }) => row);
  const many = shown.length > 1;
  const title = many ? counted(shown.length, 'row') : first.row.title;
  const word = (name: string, words: (rule: RuleRow) => string, own: (rule: RuleRow) => boolean, fixed = false): ReactNode => {
    const differing = new Set(shown.map(({ rule }) => words(rule)));
    const text = differing.size === 1 ? words(first.rule) : VARIOUS;
    const look = shown.some(({ rule }) => own(rule)) ? 'word own' : 'word';
    if (!mayEdit || fixed) {
      return <b className={look}>{text}</b>;
    }
    const control = (
      // A button would not break over lines as the sentence around it does.
      <span
        role="button"
        tabIndex={0}
        className={look}
        data-word={name}
        aria-label={`${WORD_NAMES[name] ?? name}: ${text}`}
        onClick={() => onEdit(name)}
        onKeyDown={(event) => {
          if (event.target === event.currentTarget && (event.key === 'Enter' || event.key === ' ')) {
            event.preventDefault();
            onEdit(name);
          }
        }}
      >
        {text}
      </span>
    );
    return editing === name ? (
      <RuleEditor course={course} version={version} plan={plan} names={names} column={name} row={first.rule} rows={rows} onClose={onEdited}>
        {control}
      </RuleEditor>
    ) : (
      control
    );
  };
  return (
    <aside className="sheet" aria-label={`The rule of ${title}`}>
      <header>
        <div>
          <h2>{title}</h2>
          <p>{many ? <Titles rows={rows} /> : <Place row={first.row} all={all} onShow={onShow} />}</p>
        </div>
        <button type="button" className="x" onClick={onClose}>
          <kbd>Esc</kbd> <span className="vh">close the sheet</span> <span aria-hidden>×</span>
        </button>
      </header>
      <section>
        <h3>{plan === null ? 'Rule' : `Rule, in the ${plan} plan`}</h3>
        <RuleSentence shown={shown} plan={plan} tiers={names.tiers.length > 0} word={word} />
      </section>
      <HoldsUp course={course} version={version} shown={shown} mayEdit={mayEdit} />
      <Vain course={course} version={version} plan={plan} shown={shown} mayEdit={mayEdit} />
      {!many && <WaitedFor row={first.row} all={all} onShow={onShow} />}
      {mayEdit && (
        <section className="sheet-acts">
          {!many && (
            <button type="button" className="linklike" onClick={() => onCopy(first.row)}>
              <kbd>Ctrl C</kbd> copy these rules
            </button>
          )}
          {copied !== null && (many || copied.key !== first.row.key) && (
            <button type="button" className="linklike" onClick={() => onPaste(rows.map(({ key }) => key))}>
              <kbd>Ctrl V</kbd> set the rules of {copied.title} here
            </button>
          )}
        </section>
      )}
    </aside>
  );
}

export interface RuleSentenceProps {
  shown: { row: OutlineRow; rule: RuleRow }[];
  plan: string | null;
  /** Whether the course has any. */
  tiers: boolean;
  /** Draws a word of the sentence. */
  word: (name: string, words: (rule: RuleRow) => string, own: (rule: RuleRow) => boolean, fixed?: boolean) => ReactNode;
}

/** The rule of one or several rows as a sentence. */
export function RuleSentence({ shown, plan, tiers, word }: RuleSentenceProps) {
  const [first] = shown;
  if (first === undefined) {
    return null;
  }
  const cell = (name: 'opens' | 'closes' | 'sample' | 'guests' | 'observers') => word(name, (rule) => rule[name].words, (rule) => rule[name].own === true, plan === null && (name === 'opens' || name === 'closes'));
  const waits = shown.some(({ rule }) => rule.afterWords !== undefined);
  const after = word('after', ({ afterWords, turn }) => afterWords ?? (turn === true ? 'its turn' : 'nothing'), ({ afterWords }) => afterWords !== undefined);
  return (
    <p className="say">
      Opens {cell('opens')}, closes {cell('closes')}; {waits ? <>once {after} {isOne(first.rule) ? 'is' : 'are'} finished</> : <>waits for {after}</>}; it is {word('optional', ({ optional }) => (optional.words === 'yes' ? 'optional' : 'required'), ({ optional }) => optional.own === true)}; for{' '}
      {word('tiers', tiersWords, (rule) => rule.tiers !== undefined, !tiers)}; condition {word('only', ({ onlyWords }) => onlyWords ?? 'none', ({ only }) => only !== undefined)}; sample{' '}
      {cell('sample')}; guests {cell('guests')}; observers {cell('observers')}; while closed{' '}
      {word('whenClosed', ({ whenClosed }) => (whenClosed.words === 'hidden' ? 'it is hidden' : 'its title shows'), ({ whenClosed }) => whenClosed.own === true)}.
      {shown.every(({ row }) => row.kind === 'module') && (
        <> What is inside opens {word('inOrder', ({ afterRule }) => (afterRule?.inOrder === true ? 'one after the other' : 'in any order'), ({ afterRule }) => afterRule?.inOrder === true)}.</>
      )}
      {shown.every(({ rule }) => rule.finish !== undefined) && (
        <> Finished {word('finish', ({ finish }) => finish?.words ?? '', ({ finish }) => finish !== undefined && finish.by !== 'mark')}.</>
      )}
    </p>
  );
}

function tiersWords({ tiers }: RuleRow): string {
  if (tiers === undefined) {
    return 'every pass';
  }
  return tiers.length === 0 ? 'no pass' : tiers.length === 1 ? `${tiers[0]} passes` : `${tiers.slice(0, -1).join(', ')} or ${tiers[tiers.length - 1]} passes`;
}

function isOne({ afterRule }: RuleRow): boolean {
  return afterRule === undefined || afterRule.of.length === 1 || afterRule.mode === 'any';
}

function Titles({ rows }: { rows: OutlineRow[] }) {
  const told = rows.slice(0, 4).map(({ title }) => title);
  return (
    <>
      {told.join(', ')}
      {rows.length > told.length && ` and ${rows.length - told.length} more`}
    </>
  );
}

function Place({ row, all, onShow }: { row: OutlineRow; all: SheetRow[]; onShow: (key: string) => void }) {
  const at = all.findIndex((one) => one.row.key === row.key);
  const above = all.slice(0, at).findLast((one) => one.row.depth < row.depth)?.row;
  return above === undefined ? (
    <>{row.kind} at the top</>
  ) : (
    <>
      {row.kind} in{' '}
      <button type="button" className="linklike" onClick={() => onShow(above.key)}>
        {above.title}
      </button>
    </>
  );
}
