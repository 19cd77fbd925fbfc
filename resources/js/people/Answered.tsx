import { Link, router } from '@inertiajs/react';
import { useState } from 'react';

import { withQuery } from '../lib/address';
import { say } from '../lib/keepSay';
import { to } from '../lib/route';
import { Reasons } from './WhyNot';
import css from './people.module.css';

export interface AnsweredProps {
  /** The question in words. */
  title: string;
  course: string;
  item: string;
  person: number;
  mayRun: boolean;
  /** Something was chosen that is done on a page of its own. */
  onLeave?: () => void;
}

/** The question answered where it was asked: the reason, and what would open it, each in one step. */
export function Answered({ title, course, item, person, mayRun, onLeave }: AnsweredProps) {
  const [round, setRound] = useState(0);
  const page = (query: Record<string, string>) => withQuery(to('keep.person', { person }), query);
  return (
    <section className={css.whynot}>
      <h2>{title}</h2>
      <Reasons course={course} item={item} way={`person:${person}`} person={person} now={null} round={round} mayRun={mayRun} onExtend={(offer) => [onLeave?.(), router.visit(page({ extend: offer }))]} onMended={() => setRound(round + 1)} />
      <p>
        <Link href={page({ why: `${course}/${item}` })} onClick={() => onLeave?.()}>
          {say('keep.find.their_page')}
        </Link>
      </p>
    </section>
  );
}
