import { Combobox, useCombobox } from '@mantine/core';
import { type FocusEvent, type KeyboardEvent, useId, useRef, useState } from 'react';
import { clsx } from 'clsx';

import { say } from '../../lib/keepSay';
import { type CellChoice, type CellContext, cellChoices, emptied } from './cellChoices';
import { COLUMN_TITLES } from './columnTitles';
import type { CellName } from './ruleSets';
import css from './entry.module.css';
import ui from '../../ui/ui.module.css';

/** Where the focus goes once a cell is left: rows down, columns to the right. */
export type Onward = readonly [number, number];

export const STAY: Onward = [0, 0];

export interface CellEntryProps {
  column: CellName;
  context: CellContext;
  /** What the cell tells now, if it is its own. */
  present: string;
  /** What stands in the box at first; null: what the cell tells. */
  typed: string | null;
  /** Why it was not taken. */
  refused?: string;
  /** Whether there is no room to the right of the column. */
  last: boolean;
  /** `onward` null: wherever the focus has gone already. */
  onKeep: (choice: CellChoice, typed: string, onward: Onward | null) => void;
  onLeave: (onward: Onward | null) => void;
  /** Opens the form with all that can be set; by the word of the sheet. */
  onForm: (word: string) => void;
}

/** The form of each column that says more than can be typed. */
const FORMS: Partial<Record<CellName, { word: string; label: string }[]>> = {
  opens: [{ word: 'opens', label: say('entry.cell.all_settings') }],
  closes: [{ word: 'closes', label: say('entry.cell.all_settings') }],
  after: [{ word: 'after', label: say('entry.cell.all_settings') }],
  forWhom: [
    { word: 'tiers', label: say('entry.cell.tiers') },
    { word: 'only', label: say('entry.cell.condition') },
  ],
  finish: [{ word: 'finish', label: say('entry.cell.all_settings') }],
};

const EXAMPLES: Partial<Record<CellName, string>> = {
  opens: say('entry.examples.opens'),
  closes: say('entry.examples.closes'),
  after: say('entry.examples.after'),
  forWhom: say('entry.examples.forWhom'),
  finish: say('entry.examples.finish'),
};

/** A cell being edited: what is typed, and what it can mean. Enter keeps and goes down, Tab keeps and goes right, Esc leaves. */
export function CellEntry({ column, context, present, typed: first, refused, last, onKeep, onLeave, onForm }: CellEntryProps) {
  const [typed, setTyped] = useState(first ?? present);
  const [isTyped, setIsTyped] = useState(first !== null && first !== '');
  const [pointed, setPointed] = useState<number | null>(null);
  const [problem, setProblem] = useState(refused ?? null);
  const box = useRef<HTMLInputElement>(null);
  const done = useRef(false);
  const store = useCombobox({ opened: true });
  const id = useId();
  const choices = cellChoices(column, isTyped ? typed : '', context);
  const cleared = isTyped && typed.trim() === '';
  const exact = choices.findIndex(({ words }) => words.toLowerCase() === (isTyped ? typed.trim() : present).toLowerCase());
  const at = pointed ?? (exact === -1 && isTyped && !cleared && choices.length > 0 ? 0 : exact);
  const chosen = cleared && pointed === null ? emptied(column, context) : (choices[at] ?? null);
  const changed = isTyped || pointed !== null;

  const take = (choice: CellChoice, onward: Onward | null) => {
    done.current = true;
    onKeep(choice, typed, onward);
  };
  const leave = (onward: Onward | null) => {
    done.current = true;
    onLeave(onward);
  };
  const keep = (onward: Onward | null) => {
    if (!changed) {
      leave(onward);
    } else if (chosen !== null) {
      take(chosen, onward);
    } else {
      setProblem(say('entry.cell.nothing_such', { typed: typed.trim() }));
      box.current?.focus();
    }
  };
  const onKeyDown = (event: KeyboardEvent<HTMLInputElement>) => {
    if (event.nativeEvent.isComposing) {
      return;
    }
    const acts: Record<string, () => void> = {
      Enter: () => keep([event.shiftKey ? -1 : 1, 0]),
      Tab: () => keep([0, event.shiftKey ? -1 : 1]),
      Escape: () => leave(STAY),
      ArrowDown: () => setPointed(Math.min(choices.length - 1, at + 1)),
      ArrowUp: () => setPointed(Math.max(0, at - 1)),
      F4: () => forms[0] !== undefined && form(forms[0].word),
    };
    const act = acts[event.key];
    event.stopPropagation();
    if (act !== undefined) {
      event.preventDefault();
      act();
    }
  };
  // What is typed is never dropped: by a click elsewhere it is kept, or asked about.
  const onBlur = ({ relatedTarget }: FocusEvent) => {
    if (done.current || !document.hasFocus() || (relatedTarget instanceof Element && relatedTarget.closest('[data-entry-list]') !== null)) {
      return;
    }
    keep(null);
  };
  // Of tiers there is nothing to be chosen in a course without any.
  const forms = (FORMS[column] ?? []).filter(({ word }) => word !== 'tiers' || context.tiers.length > 0 || context.rule.tiers !== undefined);
  const form = (word: string) => {
    done.current = true;
    onForm(word);
  };
  const examples = EXAMPLES[column] ?? '';
  return (
    <Combobox store={store} withinPortal position={last ? 'bottom-end' : 'bottom-start'} width={column in FORMS ? 340 : 200} offset={2}>
      <Combobox.Target withKeyboardNavigation={false} withAriaAttributes={false}>
        <input
          ref={(element) => {
            box.current = element;
          }}
          className={clsx(css.entry, column in FORMS && css.wide, last && css.toleft)}
          autoFocus
          role="combobox"
          aria-autocomplete="list"
          aria-expanded
          aria-controls={`${id}-list`}
          aria-activedescendant={at === -1 ? undefined : `${id}-${at}`}
          aria-invalid={problem !== null}
          aria-label={say('entry.cell.label', { column: COLUMN_TITLES[column], title: context.rows.length > 1 ? say('keep.rows', { count: context.rows.length }) : context.row.title })}
          value={typed}
          onFocus={({ currentTarget }) => currentTarget.setSelectionRange(currentTarget.value.length, currentTarget.value.length)}
          onChange={({ currentTarget }) => {
            setTyped(currentTarget.value);
            setIsTyped(true);
            setPointed(null);
            setProblem(null);
          }}
          onKeyDown={onKeyDown}
          onBlur={onBlur}
          onClick={(event) => event.stopPropagation()}
        />
      </Combobox.Target>
      <Combobox.Dropdown data-entry-list className={css['entry-list']} onMouseDown={(event) => event.preventDefault()}>
        {problem !== null && (
          <div role="alert" className={css['entry-problem']}>
            <p>{problem}</p>
            <button type="button" className={ui.linklike} onClick={() => leave(STAY)}>
              {say('entry.cell.leave')}
            </button>
          </div>
        )}
        <ul role="listbox" id={`${id}-list`} aria-label={COLUMN_TITLES[column]}>
          {choices.map((choice, index) => (
            <li key={choice.words} id={`${id}-${index}`} role="option" aria-selected={index === at} onMouseDown={() => take(choice, STAY)}>
              {choice.words}
              {choice.words === present && <span className={ui.soft}>{say('entry.cell.now')}</span>}
            </li>
          ))}
        </ul>
        {choices.length === 0 && !cleared && problem === null && <p className={ui.soft}>{say('entry.cell.nothing_such', { typed: typed.trim() })}</p>}
        {examples !== '' && (!isTyped || choices.length === 0) && <p className={ui.soft}>{say('entry.cell.what_here', { examples })}</p>}
        {forms.map(({ word, label }) => (
          <button key={word} type="button" className={clsx(ui.linklike, css['more-form'])} tabIndex={-1} onClick={() => form(word)}>
            {label} {word === forms[0]?.word && <kbd>{say('keep.keys.f4')}</kbd>}
          </button>
        ))}
        <span className={ui.vh} role="status">
          {chosen === null ? '' : say('entry.cell.reads', { count: choices.length, words: chosen.words })}
        </span>
      </Combobox.Dropdown>
    </Combobox>
  );
}
