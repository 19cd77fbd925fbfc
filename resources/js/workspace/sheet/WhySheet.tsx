import { router } from '@inertiajs/react';
import { Button } from '@mantine/core';
import { type ReactNode } from 'react';
import { clsx } from 'clsx';

import { Arch } from '../../ui/Arch';
import { withQuery } from '../../lib/address';
import { isoOf, type SchoolTime } from '../../lib/time';
import type { Expected, Gate, FixByRule, OutlineRow, Vantage, PossibleFix, WhyCard, WhyLink } from '../../lib/generated/types';
import { say, saying } from '../../lib/keepSay';
import { plainText } from '../../lib/words';
import { mayDo, byAct } from '../../people/byAct';
import { Words } from '../../ui/Words';
import { Given } from '../../ui/Given';
import { RuleSentence } from './RuleSheet';
import { to } from '../../lib/route';
import { useAsked } from '../../lib/useAsked';
import css from '../workspace.module.css';
import ui from '../../ui/ui.module.css';

export interface WhySheetProps {
  course: string;
  /** Of the draft; what is published. */
  version: number;
  revision: number | null;
  /** Another one whenever what is expected of the course is. */
  expectations: string | null;
  row: OutlineRow;
  rows: OutlineRow[];
  /** Whether the course has any. */
  tiers: boolean;
  vantage: Vantage;
  at: number;
  see: string;
  time: SchoolTime;
  mayEdit: boolean;
  onShow: (row: string) => void;
  onAt: (at: number) => void;
  onVantage: (id: string, at: number) => void;
  onCourse: () => void;
  onRule: (item: string, word: string | null, plan: string | null) => void;
  onClose: () => void;
}

/** Beside a cell: the rule, why the cell is as it is, and what would open it. */
export function WhySheet(props: WhySheetProps) {
  const { course, version, revision, expectations, row, rows, tiers, vantage, at, see, time, mayEdit, onShow, onRule, onClose } = props;
  const { card, state } = useWhy(course, row.key, vantage.id, at, see, `${revision ?? 0}.${version}.${expectations ?? ''}`);
  const place = rows.findIndex(({ key }) => key === row.key);
  const above = rows.slice(0, place).findLast((one) => one.depth < row.depth);
  const fix = (fixes: FixByRule[]) => router.post(to('keep.draft.fix', { course }), { version, fixes: fixes.map((one) => ({ ...one })) }, { preserveScroll: true, preserveState: true });
  const word = (name: string, words: (rule: WhyCard['rule']) => string, own: (rule: WhyCard['rule']) => boolean, fixed = false): ReactNode => {
    if (card === null) {
      return null;
    }
    const look = clsx(css.word, own(card.rule) && css.own);
    return fixed || !mayEdit ? (
      <b className={look}>{words(card.rule)}</b>
    ) : (
      <span
        role="button"
        tabIndex={0}
        className={look}
        onClick={() => onRule(row.key, name, card.plan)}
        onKeyDown={(event) => {
          if (event.key === 'Enter' || event.key === ' ') {
            event.preventDefault();
            onRule(row.key, name, card.plan);
          }
        }}
      >
        {words(card.rule)}
      </span>
    );
  };
  return (
    <aside className={css.sheet} aria-label={say('sheet.why_sheet.why_title_as_for', { title: row.title, name: vantage.name })} aria-busy={state === 'waiting'}>
      <header>
        <div>
          <h2>{row.title}</h2>
          <p>
            {above === undefined
              ? say('sheet.place.top', { kind: row.kind })
              : saying('sheet.place.inside', {
                  kind: row.kind,
                  above: (
                    <button key="above" type="button" className={clsx(ui.linklike, css.linklike)} onClick={() => onShow(above.key)}>
                      {above.title}
                    </button>
                  ),
                })}
          </p>
        </div>
        <button type="button" className={css.x} onClick={onClose}>
          <kbd>{say('keep.keys.esc')}</kbd> <span className={ui.vh}>{say('sheet.why_sheet.close_the_sheet')}</span> <span aria-hidden>×</span>
        </button>
      </header>
      {state === 'failed' && <p className={clsx(css.sheetnote, ui.takes)}>{say('sheet.why_sheet.reasons_could_not_be')}</p>}
      {state === 'waiting' && card === null && <p className={clsx(css.sheetnote, ui.soft)}>{say('sheet.why_sheet.looking_for_the_reasons')}</p>}
      {card !== null && (
        <>
          {card.blind !== null && (
            <section className={css.blindspot} role="note">
              <h3>{say('sheet.why_sheet.nothing_at_all_open', { name: vantage.name })}</h3>
              <p>
                <b>
                  <Words segments={card.blind.words.segments} />
                </b>
              </p>
              {card.blind.fixed !== null && (
                <p className={ui.soft}>
                  <Words segments={card.blind.fixed.segments} />
                </p>
              )}
              {mayEdit && card.blind.fixes.length > 0 && (
                <Button size="xs" mt={6} onClick={() => fix(card.blind?.fixes ?? [])}>
                  {say('sheet.why_sheet.fix_in_draft')}
                </Button>
              )}
            </section>
          )}
          <section>
            <h3>{card.plan === null ? say('sheet.why_sheet.rule') : say('sheet.why_sheet.rule_in_plan_plan', { plan: card.plan })}</h3>
            <RuleSentence shown={[{ row, rule: card.rule }]} plan={card.plan} tiers={tiers} word={word} />
          </section>
          <section aria-live="polite">
            <h3>
              {say('sheet.why_sheet.why_for', { name: vantage.name, when: time.words(at) })}
            </h3>
            <p className={ui.verdict}>
              <Arch glyph={card.glyph} look={card.look} silent />
              {card.word} <span>{card.look ? say('sheet.why_sheet.look_not_work_summary', { summary: card.summary }) : card.summary}</span>
            </p>
            {card.otherwise !== null && (
              <p className={ui.otherwise}>
                <Words segments={card.otherwise.segments} />
              </p>
            )}
            <ul className={ui.gates}>
              {card.gates.map((gate) => (
                <GateLine key={`${gate.name} ${gate.inner} ${plainText(gate.words)}`} gate={gate} {...props} />
              ))}
            </ul>
            <Given card={card} />
          </section>
          {card.intro !== null && (
            <section>
              <h3>{say('sheet.why_sheet.what_would_open_it')}</h3>
              <p className={css.note}>
                <Words segments={card.intro.segments} />
              </p>
              <ul className={ui.ways}>
                {card.ways.map((way) => (
                  <WayLine key={`${way.by} ${plainText(way.title)}`} way={way} person={vantage.kind === 'person' ? Number(vantage.id.slice(7)) : null} onMend={fix} {...props} />
                ))}
              </ul>
            </section>
          )}
          <Keeping course={course} card={card} vantage={vantage} at={at} time={time} mayEdit={mayEdit} />
          <section className={css['sheet-acts']}>
            <a href={withQuery(to('keep.stand-in', { course }), { v: [vantage.id], at: isoOf(at), see: see === 'published' ? see : null, item: row.key })}>{say('sheet.why_sheet.stand_in_for_name', { name: vantage.name })}</a>
          </section>
        </>
      )}
    </aside>
  );
}

/** The reasons of a cell; those of the cell before stay in sight until the next ones are there. */
export function useWhy(course: string, item: string, vantage: string, at: number, see: string, of: string) {
  const address = withQuery(to('keep.why', { course }), { item, v: [vantage], at: isoOf(at), see: see === 'published' ? see : null, of });
  // Not while the cell or the time is still on the move.
  const { answer, last, state } = useAsked<WhyCard>(address, undefined, 120);
  return { card: answer ?? (state === 'waiting' && last?.item === item ? last : null), state };
}

type LinkProps = Pick<WhySheetProps, 'onAt' | 'onVantage' | 'onCourse' | 'onRule' | 'mayEdit'>;

function Follow({ link, onAt, onVantage, onCourse, onRule, mayEdit }: LinkProps & { link: WhyLink }) {
  const go = () => {
    if (link.to === 'course') {
      onCourse();
    } else if (link.to === 'vantage' && link.vantage !== null && link.at !== null) {
      onVantage(link.vantage, link.at);
    } else if (link.to === 'instant' && link.at !== null) {
      onAt(link.at);
    } else if (link.item !== null) {
      onRule(link.item, link.word, link.plan);
    }
  };
  // The form of the course is for those who may fill it in.
  return link.to === 'course' && !mayEdit ? null : (
    <button type="button" className={clsx(ui.linklike, css.linklike)} onClick={go}>
      {link.text}
    </button>
  );
}

function GateLine({ gate, ...links }: LinkProps & { gate: Gate }) {
  return (
    <li className={clsx(gate.passed ? ui.pass : ui.fail, gate.inner && ui.inner)}>
      <Arch glyph={gate.passed ? 'open' : 'locked'} size={15} />
      <b>{gate.name}</b>
      <span>
        <Words segments={gate.words.segments} /> {gate.link !== null && <Follow link={gate.link} {...links} />}
      </span>
    </li>
  );
}

function WayLine({ way, person, onMend, ...links }: LinkProps & { way: PossibleFix; person: number | null; onMend: (fixes: FixByRule[]) => void }) {
  return (
    <li>
      <b>
        <Words segments={way.title.segments} />
      </b>
      <span>
        <Words segments={way.words.segments} />
      </span>
      {way.link !== null && (person === null || way.byAct === null) && <Follow link={way.link} {...links} />}
      {person !== null && way.byAct !== null && mayDo(way.byAct, links.mayEdit) && (
        <button type="button" className={clsx(ui.linklike, css.linklike)} onClick={() => way.byAct !== null && byAct(person, way.byAct)}>
          {way.byAct.button}
        </button>
      )}
      {way.fixes.length > 0 && links.mayEdit && (
        <button type="button" className={clsx(ui.linklike, css.linklike)} onClick={() => onMend(way.fixes)}>
          {say('sheet.why_sheet.set_in_the_draft')}
        </button>
      )}
    </li>
  );
}

/** What is expected of this cell, which every rehearsal checks. */
function Keeping({ course, card, vantage, at, time, mayEdit }: { course: string; card: WhyCard; vantage: Vantage; at: number; time: SchoolTime; mayEdit: boolean }) {
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
