import { router } from '@inertiajs/react';
import type { ReactNode } from 'react';
import { clsx } from 'clsx';

import type { Expected, Vantage, WhyCard } from '../../lib/generated/types';
import { say } from '../../lib/keepSay';
import { to } from '../../lib/route';
import type { SchoolTime } from '../../lib/time';
import { Words } from '../../ui/Words';
import css from '../workspace.module.css';
import ui from '../../ui/ui.module.css';

/** What is expected of this cell, which every rehearsal checks. */
export function Keeping({ course, card, vantage, at, time, mayEdit }: { course: string; card: WhyCard; vantage: Vantage; at: number; time: SchoolTime; mayEdit: boolean }) {
  const open = card.glyph === 'open' || card.glyph === 'sample';
  const now = vantage.since === null || vantage.day === null ? vantage.id : vantage.id.replace(`:${vantage.day}:`, `:${time.daysBetween(vantage.since, at)}:`);
  const keep = (must: string) => router.post(to('keep.expectations.keep', { course }), { vantage: now, item: card.item, must }, { preserveScroll: true, preserveState: true });
  if (!mayEdit && card.expected.length === 0) {
    return null;
  }
  return (
    <section>
      <h3>{say('sheet.why_sheet.expected_whatever_is_edited')}</h3>
      {card.expected.length > 0 && (
        <ul className={clsx(ui.vains, css.vains)}>
          {card.expected.map((one) => (
            <ExpectedLine key={one.id} course={course} expected={one} mayEdit={mayEdit} />
          ))}
        </ul>
      )}
      {mayEdit && (
        <p className={css.keeps}>
          <button type="button" className={clsx(ui.linklike, css.linklike)} onClick={() => keep(open ? 'open' : 'closed')}>
            {say(open ? 'sheet.why_sheet.expect_open' : 'sheet.why_sheet.expect_closed')}
          </button>
          {!open && (
            <button type="button" className={clsx(ui.linklike, css.linklike)} onClick={() => keep('never')}>
              {say('sheet.why_sheet.expect_never_open_for')}
            </button>
          )}
        </p>
      )}
    </section>
  );
}

export function ExpectedLine({ course, expected, mayEdit, children }: { course: string; expected: Expected; mayEdit: boolean; children?: ReactNode }) {
  return (
    <li>
      <span>
        <Words segments={expected.words.segments} />
        {expected.instead !== null && (
          <>
            .{' '}
            <b className={ui.takes}>
              <Words segments={expected.instead.segments} />
            </b>
          </>
        )}
      </span>
      <span className={ui.lineacts}>
        {children}
        {mayEdit && (
          <button type="button" className={clsx(ui.linklike, css.linklike)} onClick={() => router.delete(to('keep.expectations.let-go', { course, expectation: expected.id }), { preserveScroll: true, preserveState: true })}>
            {say('sheet.why_sheet.let_it_go')}
          </button>
        )}
      </span>
    </li>
  );
}
