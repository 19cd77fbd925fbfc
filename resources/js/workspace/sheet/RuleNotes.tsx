import { router } from '@inertiajs/react';
import { Fragment } from 'react';
import { clsx } from 'clsx';

import type { OutlineRow } from '../../lib/generated/types';
import { say, saying } from '../../lib/keepSay';
import { listed } from '../../lib/words';
import { to } from '../../lib/route';
import type { RuleSheetProps, SheetRow } from './RuleSheet';
import css from '../workspace.module.css';
import ui from '../../ui/ui.module.css';

/** What the controls of the sentence are called. */
export const WORD_NAMES: Record<string, string> = {
  opens: say('sheet.rule_notes.opens'),
  closes: say('sheet.rule_notes.closes'),
  after: say('sheet.rule_notes.what_must_be_finished'),
  tiers: say('sheet.rule_notes.for_passes'),
  only: say('sheet.rule_notes.condition'),
  optional: say('sheet.rule_notes.optional'),
  sample: say('sheet.rule_notes.sample'),
  guests: say('sheet.rule_notes.guests'),
  observers: say('keep.observers'),
  whenClosed: say('sheet.rule_notes.while_closed'),
  inOrder: say('sheet.rule_notes.what_is_inside_opens'),
  finish: say('sheet.rule_notes.finished'),
};

/** How each value is cleared that may be without effect. */
const CLEARING: Record<string, Record<string, string | null>> = {
  opens: { set: 'opens', rule: null },
  closes: { set: 'closes', rule: null },
  after: { set: 'in_order', value: 'no' },
  optional: { set: 'optional', value: 'no' },
  sample: { set: 'sample', value: 'no' },
  guests: { set: 'guests', value: say('sheet.rule_notes.as_above') },
  observers: { set: 'observers', value: say('sheet.rule_notes.as_above') },
};

const VAIN_CELLS = ['opens', 'closes', 'after', 'optional', 'sample', 'guests', 'observers'] as const;

export function Vain({ course, version, plan, shown, mayEdit }: Pick<RuleSheetProps, 'course' | 'version' | 'plan' | 'shown' | 'mayEdit'>) {
  const found = VAIN_CELLS.flatMap((name) => {
    const rows = shown.filter(({ rule }) => rule[name].vain !== undefined);
    const [first] = rows;
    return first === undefined ? [] : [{ name, words: first.rule[name].words, reason: first.rule[name].vain, items: rows.map(({ row }) => row.key) }];
  });
  if (found.length === 0) {
    return null;
  }
  return (
    <section>
      <h3>{say('sheet.rule_notes.without_effect')}</h3>
      <ul className={clsx(ui.vains, css.vains)}>
        {found.map(({ name, words, reason, items }) => (
          <li key={name}>
            <span>
              {WORD_NAMES[name]} <s>{words}</s>. {reason}
            </span>
            {mayEdit && (
              <button
                type="button"
                className={clsx(ui.linklike, css.linklike)}
                onClick={() =>
                  router.post(to('keep.draft.edit', { course }), { version, plan, items, ...CLEARING[name] }, { preserveScroll: true, preserveState: true })
                }
              >
                {say('sheet.rule_notes.clear_it')}
              </button>
            )}
          </li>
        ))}
      </ul>
    </section>
  );
}

/** Rows for a label that whoever has it must finish before something else. */
export function HoldsUp({ course, version, shown, mayEdit }: Pick<RuleSheetProps, 'course' | 'version' | 'shown' | 'mayEdit'>) {
  const found = shown.flatMap(({ row, rule }) => (rule.holdsUp === undefined ? [] : [{ row, ...rule.holdsUp }]));
  if (found.length === 0) {
    return null;
  }
  return (
    <section>
      <h3>{say('sheet.rule_notes.holds_up_those_who')}</h3>
      <ul className={clsx(ui.vains, css.vains)}>
        {found.map(({ row, labels, waits }) => (
          <li key={row.key}>
            <span>
              {saying('sheet.rule_notes.must_finish', {
                labels: <b key="labels">{listed(labels, 'or')}</b>,
                what: found.length > 1 ? <b key="what">{row.title}</b> : say('sheet.rule_notes.it'),
                waits: <b key="waits">{waits}</b>,
              })}
            </span>
          </li>
        ))}
      </ul>
      {mayEdit && (
        <button
          type="button"
          className={clsx(ui.linklike, css.linklike)}
          onClick={() => router.post(to('keep.draft.edit', { course }), { version, set: 'optional', items: found.map(({ row }) => row.key), value: 'yes' }, { preserveScroll: true, preserveState: true })}
        >
          {say('sheet.rule_notes.make_optional', { count: found.length })}
        </button>
      )}
    </section>
  );
}

export function WaitedFor({ row, all, onShow }: { row: OutlineRow; all: SheetRow[]; onShow: (key: string) => void }) {
  const waiting = all.filter(({ rule }) => rule.afterRule?.of.includes(row.key) === true);
  if (waiting.length === 0) {
    return null;
  }
  return (
    <section>
      <h3>{say('sheet.rule_notes.waiting_for_it')}</h3>
      <p>
        {waiting.map(({ row: one }, index) => (
          <Fragment key={one.key}>
            {index > 0 && ', '}
            <button type="button" className={clsx(ui.linklike, css.linklike)} onClick={() => onShow(one.key)}>
              {one.title}
            </button>
          </Fragment>
        ))}
      </p>
    </section>
  );
}
