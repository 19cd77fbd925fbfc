import { useForm } from '@inertiajs/react';
import { Button, Popover } from '@mantine/core';
import { Fragment, type FormEvent, type KeyboardEvent, type ReactNode } from 'react';

import { withQuery } from '../../lib/address';
import { openings } from '../../lib/generated/rules';
import type { SchoolTime } from '../../lib/time';
import type { OpeningRule, OutlineRow, Sentence } from '../../lib/generated/types';
import { say, saying } from '../../lib/keepSay';
import { FocusBack, useOpener } from '../../ui/FocusBack';
import { CountInput } from '../../ui/CountInput';
import { WallInput } from '../../ui/WallInput';
import { Words } from '../../ui/Words';
import { to } from '../../lib/route';
import { useAsked } from '../../lib/useAsked';
import css from '../workspace.module.css';
import ui from '../../ui/ui.module.css';

/** The rule that a moved opening would set. */
export interface MovedRule {
  row: OutlineRow;
  plan: string;
  /** As it is; null: nothing is set. */
  rule: OpeningRule | null;
  /** The instant at which it opens now, and for a pass the one from which its days count. */
  opens: number;
  since: number | null;
}

/** From Monday, as rules count them. */
const WEEKDAYS = [say('lenses.move_opening.mondays'), say('lenses.move_opening.tuesdays'), say('lenses.move_opening.wednesdays'), say('lenses.move_opening.thursdays'), say('lenses.move_opening.fridays'), say('lenses.move_opening.saturdays'), say('lenses.move_opening.sundays')];

/** The same rule so many days later. */
export function movedBy({ rule, opens, since }: MovedRule, days: number, time: SchoolTime) {
  if (rule?.rule === 'on' && rule.at !== null) {
    const at = time.instant(rule.at) ?? opens;
    return { ...rule, at: `${time.wall(time.dayStart(at, days)).slice(0, 10)}${rule.at.slice(10)}` };
  }
  if (rule !== null && openings[rule.rule].includes('days')) {
    return { ...rule, days: Math.max(0, (rule.days ?? 0) + days) };
  }
  return since === null
    ? { rule: 'on', at: time.wall(time.dayStart(opens, days)).slice(0, 10) + time.wall(opens).slice(10), days: null, time: null, weekday: null }
    : { rule: 'after_start', at: null, days: Math.max(0, time.daysBetween(since, opens) + days), time: null, weekday: null };
}

export interface MoveOpeningProps {
  course: string;
  version: number;
  vantage: string;
  moved: MovedRule;
  days: number;
  /** Still held by the pointer. */
  held: boolean;
  time: SchoolTime;
  onDays: (days: number) => void;
  onClose: () => void;
  children: ReactNode;
}

/** Says what a moved opening would mean before it is kept. */
export function MoveOpening({ course, version, vantage, moved, days, held, time, onDays, onClose, children }: MoveOpeningProps) {
  const next = movedBy(moved, days, time);
  const dated = next.rule === 'on';
  const body = { version, set: 'opens', plan: moved.plan, items: [moved.row.key], rule: next.rule, at: next.at, days: next.days, time: next.time, weekday: next.weekday };
  const form = useForm(body);
  const told = useAsked<{ lines: Sentence[] }>(withQuery(to('keep.draft.dates', { course }), { v: [vantage] }), body, 150);
  const opener = useOpener();
  const leave = (event: KeyboardEvent) => {
    if (event.key === 'Escape' && !(event.target instanceof Element && event.target.closest('[data-picks]') !== null)) {
      event.stopPropagation();
      onClose();
    }
  };
  const keep = (event: FormEvent) => {
    event.preventDefault();
    form.transform(() => body);
    form.post(to('keep.draft.edit', { course }), { preserveScroll: true, preserveState: true, onSuccess: onClose });
  };
  const was = moved.rule?.rule === 'on' ? time.words(time.instant(moved.rule.at ?? '') ?? moved.opens) : moved.rule === null || moved.rule.days === null ? say('lenses.move_opening.nothing_set') : String(moved.rule.days);
  const error = form.errors.days ?? form.errors.at ?? form.errors.rule;
  return (
    <Popover opened position="bottom-start" width={480} withArrow trapFocus={!held} returnFocus>
      <Popover.Target>{children}</Popover.Target>
      <Popover.Dropdown className={css.editor}>
        <FocusBack to={opener} />
        <form onKeyDownCapture={leave} onSubmit={keep} aria-label={say('lenses.move_opening.move_opening_title', { title: moved.row.title })} noValidate>
          <p className={css.moveline}>
            {saying('lenses.move_opening.line', {
              title: <b key="title">{moved.row.title}</b>,
              when: dated ? (
                <WallInput
                  key="when"
                  aria-label={say('keep.date_and_time_school')}
                  size="xs"
                  data-autofocus
                  value={next.at ?? ''}
                  onWall={(wall) => {
                    const chosen = time.instant(wall);
                    if (chosen !== null) {
                      onDays(time.daysBetween(moved.rule?.rule === 'on' ? (time.instant(moved.rule.at ?? '') ?? moved.opens) : moved.opens, chosen));
                    }
                  }}
                />
              ) : (
                <Fragment key="when">
                  {saying('lenses.move_opening.counted', {
                    days: <CountInput key="days" aria-label={say('keep.days')} size="xs" w={72} min={0} allowDecimal={false} data-autofocus value={next.days ?? 0} onCount={(count) => onDays(days + count - (next.days ?? 0))} />,
                    count: next.days ?? 0,
                    after: say(next.rule === 'after_previous' ? 'rules.opens.after_previous.after' : 'rules.opens.after_start.after'),
                  })}
                  {next.weekday !== null && say('lenses.move_opening.on_weekday', { weekday: WEEKDAYS[next.weekday - 1] ?? '' })}
                  {next.time !== null && `, ${next.time}`}
                </Fragment>
              ),
              was: (
                <span key="was" className={ui.soft}>
                  {say('lenses.move_opening.was_was', { was })}
                </span>
              ),
            })}
          </p>
          <ul className={css.eff} role="status">
            {told.state === 'waiting' ? (
              <li className={ui.soft}>{say('lenses.move_opening.looking_what_follows')}</li>
            ) : told.answer === null ? (
              <li className={ui.takes}>{say('lenses.move_opening.what_follows_could_not')}</li>
            ) : told.answer.lines.length === 0 ? (
              <li className={ui.soft}>{say('lenses.move_opening.no_date_changes_for')}</li>
            ) : (
              told.answer.lines.map((line) => (
                <li key={JSON.stringify(line)}>
                  <Words segments={line.segments} titles="b" />
                </li>
              ))
            )}
          </ul>
          {error !== undefined && <p className={ui.takes}>{error}</p>}
          <div className={css['editor-acts']}>
            <Button type="button" variant="default" size="xs" onClick={onClose}>
              {say('lenses.move_opening.leave_as_was')}
            </Button>
            <Button type="submit" size="xs" loading={form.processing}>
              {say('keep.keep_in_the_draft')}
            </Button>
          </div>
        </form>
      </Popover.Dropdown>
    </Popover>
  );
}
