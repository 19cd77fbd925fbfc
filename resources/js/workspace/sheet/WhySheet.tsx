import { Link, router } from '@inertiajs/react';
import { Button } from '@mantine/core';
import { type ReactNode } from 'react';
import { clsx } from 'clsx';

import { Arch } from '../../ui/Arch';
import { withQuery } from '../../lib/address';
import { isoOf, type SchoolTime } from '../../lib/time';
import type { Gate, FixByRule, OutlineRow, Vantage, PossibleFix, WhyCard, WhyLink } from '../../lib/generated/types';
import { say, saying } from '../../lib/keepSay';
import { plainText } from '../../lib/words';
import { useHelps } from '../../lib/page';
import { byAct, doneTo, mayDo } from '../../people/byAct';
import { Words } from '../../ui/Words';
import { Given } from '../../ui/Given';
import { RuleSentence } from './RuleSheet';
import { to } from '../../lib/route';
import { Keeping } from './Keeping';
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
                  <WayLine key={`${way.by} ${plainText(way.title)}`} way={way} point={vantage.id} onMend={fix} {...props} />
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
export function useWhy(course: string, item: string, vantage: string, at: number | null, see: string, of: string) {
  const address = withQuery(to('keep.why', { course }), { item, v: [vantage], at: at === null ? null : isoOf(at), see: see === 'published' ? see : null, of });
  // Not while the cell or the time is still on the move.
  const { answer, last, state } = useAsked<WhyCard>(address, undefined, 120);
  return { card: answer ?? (state === 'waiting' && last?.item === item ? last : null), state };
}

type LinkProps = Pick<WhySheetProps, 'course' | 'onAt' | 'onVantage' | 'onCourse' | 'onRule' | 'mayEdit'>;

/** The page to which a link leads, where it is another one. */
export function pageOf({ to: where }: WhyLink, course: string): string | null {
  return where === 'rehearsal' ? to('keep.rehearsal', { course }) : where === 'school' ? to('keep.school') : null;
}

function Follow({ link, course, onAt, onVantage, onCourse, onRule, mayEdit }: LinkProps & { link: WhyLink }) {
  const page = pageOf(link, course);
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
  return link.to === 'course' && !mayEdit ? null : page !== null ? (
    <Link href={page}>{link.text}</Link>
  ) : (
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

function WayLine({ way, point, onMend, ...links }: LinkProps & { way: PossibleFix; /** The vantage that is asked about. */ point: string; onMend: (fixes: FixByRule[]) => void }) {
  const person = way.byAct === null ? null : doneTo(way.byAct, point, null);
  const helps = useHelps();
  return (
    <li>
      <b>
        <Words segments={way.title.segments} />
      </b>
      <span>
        <Words segments={way.words.segments} />
      </span>
      {way.link !== null && person === null && <Follow link={way.link} {...links} />}
      {person !== null && way.byAct !== null && helps && mayDo(way.byAct, links.mayEdit) && (
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
