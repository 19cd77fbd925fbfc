import type { ReactNode } from 'react';
import { clsx } from 'clsx';

import { RuleEditor } from '../lenses/RuleEditor';
import type { OutlineRow, RuleRow } from '../../lib/generated/types';
import { say, saying } from '../../lib/keepSay';
import { listed } from '../../lib/words';
import type { ConditionNames } from './ConditionEditor';
import { HoldsUp, Vain, WaitedFor, WORD_NAMES } from './RuleNotes';
import css from '../workspace.module.css';
import ui from '../../ui/ui.module.css';

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
  /** The row whose rules were copied; null: none, or not one alone. */
  copied: OutlineRow | null;
  onCopy: (row: OutlineRow) => void;
  onPaste: (items: string[]) => void;
  onShow: (key: string) => void;
  onClose: () => void;
}

const VARIOUS = say('sheet.rule_sheet.various');

/** The rule of what is selected, as one sentence whose words are its controls. */
export function RuleSheet({ course, version, plan, names, shown, all, mayEdit, editing, onEdit, onEdited, copied, onCopy, onPaste, onShow, onClose }: RuleSheetProps) {
  const [first] = shown;
  if (first === undefined) {
    return null;
  }
  const rows = shown.map(({ row }) => row);
  const many = shown.length > 1;
  const title = many ? say('keep.rows', { count: shown.length }) : first.row.title;
  const word = (name: string, words: (rule: RuleRow) => string, own: (rule: RuleRow) => boolean, fixed = false): ReactNode => {
    const differing = new Set(shown.map(({ rule }) => words(rule)));
    const text = differing.size === 1 ? words(first.rule) : VARIOUS;
    const look = clsx(css.word, shown.some(({ rule }) => own(rule)) && css.own);
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
    <aside className={css.sheet} aria-label={say('sheet.rule_sheet.the_rule_of_title', { title })}>
      <header>
        <div>
          <h2>{title}</h2>
          <p>{many ? <Titles rows={rows} /> : <Place row={first.row} all={all} onShow={onShow} />}</p>
        </div>
        <button type="button" className={css.x} onClick={onClose}>
          <kbd>{say('keep.keys.esc')}</kbd> <span className={ui.vh}>{say('sheet.rule_sheet.close_the_sheet')}</span> <span aria-hidden>×</span>
        </button>
      </header>
      <section>
        <h3>{plan === null ? say('sheet.rule_sheet.rule') : say('sheet.rule_sheet.rule_in_plan_plan', { plan })}</h3>
        <RuleSentence shown={shown} plan={plan} tiers={names.tiers.length > 0} word={word} />
      </section>
      <HoldsUp course={course} version={version} shown={shown} mayEdit={mayEdit} />
      <Vain course={course} version={version} plan={plan} shown={shown} mayEdit={mayEdit} />
      {!many && <WaitedFor row={first.row} all={all} onShow={onShow} />}
      {mayEdit && (
        <section className={css['sheet-acts']}>
          {!many && (
            <button type="button" className={clsx(ui.linklike, css.linklike)} onClick={() => onCopy(first.row)}>
              {saying('sheet.rule_sheet.copy', { key: <kbd>{say('keep.keys.ctrl_c')}</kbd> })}
            </button>
          )}
          {copied !== null && (many || copied.key !== first.row.key) && (
            <button type="button" className={clsx(ui.linklike, css.linklike)} onClick={() => onPaste(rows.map(({ key }) => key))}>
              {saying('sheet.rule_sheet.paste', { key: <kbd key="key">{say('keep.keys.ctrl_v')}</kbd>, title: copied.title })}
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
  const after = word('after', ({ afterWords, turn }) => afterWords ?? (turn === true ? say('sheet.rule_sheet.its_turn') : say('sheet.rule_sheet.nothing')), ({ afterWords }) => afterWords !== undefined);
  return (
    <p className={css.say}>
      {saying('sheet.rule_sheet.sentence', {
        opens: cell('opens'),
        closes: cell('closes'),
        after: waits ? saying('sheet.rule_sheet.once_finished', { after, count: isOne(first.rule) ? 1 : 2 }) : saying('sheet.rule_sheet.waits_for_after', { after }),
        optional: word('optional', ({ optional }) => say(optional.words === 'yes' ? 'sheet.rule_sheet.optional' : 'sheet.rule_sheet.required'), ({ optional }) => optional.own === true),
        tiers: word('tiers', tiersWords, (rule) => rule.tiers !== undefined, !tiers),
        condition: word('only', ({ onlyWords }) => onlyWords ?? say('sheet.rule_sheet.no_condition'), ({ only }) => only !== undefined),
        sample: cell('sample'),
        guests: cell('guests'),
        observers: cell('observers'),
        closed: word('whenClosed', ({ whenClosed }) => (whenClosed.words === 'hidden' ? say('sheet.rule_sheet.it_is_hidden') : say('sheet.rule_sheet.its_title_shows')), ({ whenClosed }) => whenClosed.own === true),
      })}
      {shown.every(({ row }) => row.kind === 'module') && (
        <> {saying('sheet.rule_sheet.inside', { order: word('inOrder', ({ afterRule }) => (afterRule?.inOrder === true ? say('sheet.rule_sheet.one_after_the_other') : say('sheet.rule_sheet.in_any_order')), ({ afterRule }) => afterRule?.inOrder === true) })}</>
      )}
      {shown.every(({ rule }) => rule.finish !== undefined) && (
        <> {saying('sheet.rule_sheet.finished', { how: word('finish', ({ finish }) => finish?.words ?? '', ({ finish }) => finish !== undefined && finish.by !== 'mark') })}</>
      )}
    </p>
  );
}

function tiersWords({ tiers }: RuleRow): string {
  if (tiers === undefined) {
    return say('sheet.rule_sheet.every_pass');
  }
  return tiers.length === 0 ? say('sheet.rule_sheet.no_pass') : say('sheet.rule_sheet.passes_of', { tiers: listed(tiers, 'or') });
}

function isOne({ afterRule }: RuleRow): boolean {
  return afterRule === undefined || afterRule.of.length === 1 || afterRule.mode === 'any';
}

function Titles({ rows }: { rows: OutlineRow[] }) {
  const told = rows.slice(0, 4).map(({ title }) => title);
  return say('sheet.rule_sheet.titles', { titles: told.join(', '), more: rows.length - told.length });
}

function Place({ row, all, onShow }: { row: OutlineRow; all: SheetRow[]; onShow: (key: string) => void }) {
  const at = all.findIndex((one) => one.row.key === row.key);
  const above = all.slice(0, at).findLast((one) => one.row.depth < row.depth)?.row;
  return above === undefined
    ? say('sheet.place.top', { kind: row.kind })
    : saying('sheet.place.inside', {
        kind: row.kind,
        above: (
          <button key="above" type="button" className={clsx(ui.linklike, css.linklike)} onClick={() => onShow(above.key)}>
            {above.title}
          </button>
        ),
      });
}
