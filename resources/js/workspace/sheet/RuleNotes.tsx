import { router } from '@inertiajs/react';
import { Fragment } from 'react';

import type { OutlineRow } from '../../lib/generated/types';
import { to } from '../../lib/route';
import type { RuleSheetProps, SheetRow } from './RuleSheet';

/** What the controls of the sentence are called. */
export const WORD_NAMES: Record<string, string> = {
  opens: 'Opens',
  closes: 'Closes',
  after: 'What must be finished first',
  tiers: 'For passes',
  only: 'Condition',
  optional: 'Optional',
  sample: 'Sample',
  guests: 'Guests',
  observers: 'Observers',
  whenClosed: 'While closed',
  inOrder: 'What is inside opens',
  finish: 'Finished',
};

/** How each value is cleared that may be without effect. */
const CLEARING: Record<string, Record<string, string | null>> = {
  opens: { set: 'opens', rule: null },
  closes: { set: 'closes', rule: null },
  after: { set: 'in_order', value: 'no' },
  optional: { set: 'optional', value: 'no' },
  sample: { set: 'sample', value: 'no' },
  guests: { set: 'guests', value: 'as above' },
  observers: { set: 'observers', value: 'as above' },
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
      <h3>Without effect</h3>
      <ul className="vains">
        {found.map(({ name, words, reason, items }) => (
          <li key={name}>
            <span>
              {WORD_NAMES[name]} <s>{words}</s>. {reason}
            </span>
            {mayEdit && (
              <button
                type="button"
                className="linklike"
                onClick={() =>
                  router.post(to('keep.draft.edit', { course }), { version, plan, items, ...CLEARING[name] }, { preserveScroll: true, preserveState: true })
                }
              >
                Clear it
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
      <h3>Holds up those who have it</h3>
      <ul className="vains">
        {found.map(({ row, labels, waits }) => (
          <li key={row.key}>
            <span>
              Whoever has <b>{labels.join(' or ')}</b> must finish {found.length > 1 ? <b>{row.title}</b> : 'it'} before <b>{waits}</b> opens to them.
            </span>
          </li>
        ))}
      </ul>
      {mayEdit && (
        <button
          type="button"
          className="linklike"
          onClick={() => router.post(to('keep.draft.edit', { course }), { version, set: 'optional', items: found.map(({ row }) => row.key), value: 'yes' }, { preserveScroll: true, preserveState: true })}
        >
          Make {found.length > 1 ? 'them' : 'it'} optional
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
      <h3>Waiting for it</h3>
      <p>
        {waiting.map(({ row: one }, index) => (
          <Fragment key={one.key}>
            {index > 0 && ', '}
            <button type="button" className="linklike" onClick={() => onShow(one.key)}>
              {one.title}
            </button>
          </Fragment>
        ))}
      </p>
    </section>
  );
}
