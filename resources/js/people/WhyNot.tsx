import { Link, router } from '@inertiajs/react';
import { Select } from '@mantine/core';
import { Fragment, useState } from 'react';
import { clsx } from 'clsx';

import { Arch } from '../ui/Arch';
import { withQuery } from '../lib/address';
import type { CoursePick, FoundPerson, FoundThing, OutlineRow, PossibleFix, WhyCard, WhyLink } from '../lib/generated/types';
import { say } from '../lib/keepSay';
import { useAsked } from '../lib/useAsked';
import { plainText } from '../lib/words';
import { pageOf, useWhy } from '../workspace/sheet/WhySheet';
import { Words } from '../ui/Words';
import { Given } from '../ui/Given';
import { useHelps } from '../lib/page';
import { byAct, doneTo, mayDo } from './byAct';
import { to } from '../lib/route';
import css from './people.module.css';
import ui from '../ui/ui.module.css';

export interface WhyNotProps {
  person: number;
  name: string;
  courses: CoursePick[];
  /** Of the courses they hold something of, first. */
  theirs: string[];
  mayRun: boolean;
  /** With whom they observe. */
  observes: FoundPerson[];
  /** An extension asks for how long. */
  onExtend: (offer: string) => void;
}

/** Of those with whom they observe; more would be a list, not an answer. */
const MOST_WAYS = 4;

/** Why can't they see something: the full reason, and what would fix it, each in one step. */
export function WhyNot({ person, name, courses, theirs, mayRun, observes, onExtend }: WhyNotProps) {
  const [asked] = useState(() => new URLSearchParams(window.location.search).get('why'));
  const [chosen, setChosen] = useState<string | null>(asked);
  // Whoever was found from anywhere goes on typing.
  const [asksWhy] = useState(() => new URLSearchParams(window.location.search).get('ask') === 'why');
  const [round, setRound] = useState(0);
  const [typed, setTyped] = useState('');
  const sorted = courses.toSorted((one, other) => Number(theirs.includes(other.key)) - Number(theirs.includes(one.key)));
  const choose = (value: string | null) => {
    setChosen(value);
    window.history.replaceState(window.history.state, '', withQuery(window.location.pathname + window.location.search, { why: value }));
  };
  // Who only looks with somebody is let in by that, and by nothing else: so it is told first.
  const withThem = observes.slice(0, MOST_WAYS).map((learner) => ({ id: `observer:person:${learner.id}`, words: say('people.why_not.with_name', { name: learner.name }) }));
  const alone = { id: `person:${person}`, words: say('people.why_not.as_themselves') };
  const ways = theirs.length === 0 ? [...withThem, alone] : [alone, ...withThem];
  const [course, item] = chosen === null ? [null, null] : [chosen.slice(0, chosen.indexOf('/')), chosen.slice(chosen.indexOf('/') + 1)];
  const brought = sorted.map(({ key, title, rows, waiting }) => ({ group: title, items: [...rows.map((row) => ({ value: `${key}/${row.key}`, label: row.title })), ...waiting.map((row) => ({ value: `${key}/${row.key}`, label: say('people.why_not.not_live', { title: row.title }) }))] })).filter(({ items }) => items.length > 0);
  const others = useFoundRows(sorted, chosen, typed);
  return (
    <section className={css.whynot}>
      <h2>{say('people.why_not.why_cant_they_see')}</h2>
      <Select
        aria-label={say('people.why_not.what_name_cannot_see', { name })}
        placeholder={say('people.why_not.type_title_lesson_module')}
        searchable
        clearable
        selectFirstOptionOnChange
        autoFocus={asksWhy}
        data={[...brought, ...others]}
        onSearchChange={setTyped}
        value={chosen}
        onChange={choose}
        limit={60}
      />
      {course !== null &&
        item !== null &&
        ways.map(({ id, words }) => (
          <Fragment key={`${chosen} ${id}`}>
            {ways.length > 1 && <h3>{words}</h3>}
            <Reasons course={course} item={item} way={id} person={person} now={null} round={round} mayRun={mayRun} onExtend={onExtend} onMended={() => setRound(round + 1)} />
          </Fragment>
        ))}
    </section>
  );
}

/** Of courses that did not bring their rows with the page: those that are found by what is typed, and the one that is asked about. */
function useFoundRows(courses: CoursePick[], chosen: string | null, typed: string) {
  const without = new Map(courses.filter(({ rows }) => rows.length === 0).map(({ key, title }) => [key, title]));
  const course = chosen?.slice(0, chosen.indexOf('/')) ?? '';
  const { answer: its } = useAsked<OutlineRow[]>(without.has(course) ? to('keep.people.rows', { course }) : null, undefined, 0);
  const { answer, last } = useAsked<FoundThing[]>(without.size > 0 && typed.trim() !== '' ? withQuery(to('keep.find.rows'), { q: typed.trim() }) : null, undefined, 120);
  const groups = new Map<string, Map<string, string>>();
  const add = (key: string, value: string, label: string) => groups.set(key, (groups.get(key) ?? new Map<string, string>()).set(value, label));
  for (const row of its ?? []) {
    if (chosen === `${course}/${row.key}`) {
      add(course, chosen, row.title);
    }
  }
  for (const { course: key, item, title } of answer ?? last ?? []) {
    if (key !== null && item !== null && without.has(key)) {
      add(key, `${key}/${item}`, title);
    }
  }
  return [...groups].map(([key, items]) => ({ group: without.get(key) ?? key, items: [...items].map(([value, label]) => ({ value, label })) }));
}

export interface ReasonsProps extends Pick<WhyNotProps, 'person' | 'mayRun' | 'onExtend'> {
  /** Instant; null: the present. */
  now: number | null;
  course: string;
  item: string;
  /** The vantage that is asked about. */
  way: string;
  /** Asked again after each fix. */
  round: number;
  onMended: () => void;
}

/** The full reason of one row for one viewer, and what would open it. */
export function Reasons(props: ReasonsProps) {
  const { course, item, way: vantage, now, round } = props;
  const { card, state } = useWhy(course, item, vantage, now, 'published', String(round));
  if (card === null) {
    return <p className={state === 'failed' ? ui.takes : ui.soft}>{state === 'failed' ? say('people.why_not.reasons_could_not_be') : say('people.why_not.looking_for_the_reasons')}</p>;
  }
  return (
    <div aria-live="polite">
      <p className={ui.verdict}>
        <Arch glyph={card.glyph} look={card.look} silent />
        {card.word} <span>{card.summary}</span>
      </p>
      {card.otherwise !== null && (
        <p className={ui.otherwise}>
          <Words segments={card.otherwise.segments} />
        </p>
      )}
      <ul className={clsx(ui.gates, css.gates)}>
        {card.gates.map((gate) => (
          <li key={`${gate.name} ${gate.inner} ${plainText(gate.words)}`} className={clsx(gate.passed ? ui.pass : clsx(ui.fail, css.fail), gate.inner && ui.inner)}>
            <Arch glyph={gate.passed ? 'open' : 'locked'} size={15} />
            <b>{gate.name}</b>
            <span>
              <Words segments={gate.words.segments} /> {gate.link !== null && <RuleLink course={course} link={gate.link} />}
            </span>
          </li>
        ))}
      </ul>
      <Given card={card} />
      {card.intro !== null && (
        <>
          <p>
            <Words segments={card.intro.segments} />
          </p>
          <ul className={ui.ways}>
            {card.ways.map((way) => (
              <WayOut key={`${way.by} ${plainText(way.title)}`} way={way} card={card} vantage={vantage} course={course} item={item} person={props.person} now={now} round={round} mayRun={props.mayRun} onExtend={props.onExtend} onMended={props.onMended} />
            ))}
          </ul>
        </>
      )}
      <p>
        <Link href={withQuery(to('keep.course', { course }), { lens: 'sightlines', row: item, who: vantage, v: [vantage] })}>{say('people.why_not.see_whole_course_through')}</Link>
      </p>
    </div>
  );
}

/** One way in which it opens, with what does it. */
function WayOut({ way, card, course, vantage, person, mayRun, onExtend, onMended }: Omit<ReasonsProps, 'way'> & { way: PossibleFix; card: WhyCard; vantage: string }) {
  const { byAct: act } = way;
  const helps = useHelps();
  const whom = act === null ? null : doneTo(act, vantage, person);
  return (
    <li>
      <b>
        <Words segments={way.title.segments} />
      </b>
      <span>
        <Words segments={way.words.segments} />
        {way.fixes.length > 0 && ` ${say('people.why_not.for_everybody')}`}
      </span>
      {way.link !== null && pageOf(way.link, course) !== null && <RuleLink course={course} link={way.link} />}
      {act !== null && whom !== null && helps && mayDo(act, mayRun) && (
        <button type="button" className={clsx(ui.linklike, css.linklike)} onClick={() => byAct(whom, act, onMended)}>
          {act.button}
        </button>
      )}
      {act?.do === 'extend' && !act.toLearner && helps && (
        <button type="button" className={clsx(ui.linklike, css.linklike)} onClick={() => onExtend(act.offer ?? '')}>
          {act.button}…
        </button>
      )}
      {way.fixes.length > 0 && mayRun && (
        <button type="button" className={clsx(ui.linklike, css.linklike)} onClick={() => router.post(to('keep.draft.fix', { course }), { version: card.version, fixes: way.fixes.map((one) => ({ ...one })) }, { preserveScroll: true, preserveState: true, onSuccess: onMended })}>
          {say('sheet.why_sheet.set_in_the_draft')}
        </button>
      )}
    </li>
  );
}

function RuleLink({ course, link }: { course: string; link: WhyLink }) {
  const page = pageOf(link, course);
  return page !== null ? <Link href={page}>{link.text}</Link> : link.to === 'rule' && link.item !== null ? <Link href={withQuery(to('keep.course', { course }), { row: link.item, plan: link.plan })}>{link.text}</Link> : link.to === 'course' ? <Link href={to('keep.course', { course })}>{link.text}</Link> : null;
}
