import { Link } from '@inertiajs/react';
import { clsx } from 'clsx';

import type { CoursePage, OfferColumn, PathRow } from '../lib/generated/types';
import { useLearnerAddress, useShared } from '../lib/page';
import { say } from '../lib/say';
import { Arch } from '../ui/Arch';
import { ButtonLink } from '../ui/Plain';
import { Ask } from '../learn/Ask';
import { Closing } from '../learn/Closing';
import { Cover } from './Cover';
import { LookingAs } from '../learn/LookingAs';
import { OfferCards, takes } from '../learn/Offers';
import { Prose } from '../learn/Prose';
import css from './front.module.css';
import ui from '../ui/ui.module.css';

/** So many passes have room beside the outline. */
const ROOM = 4;

/** A course to whoever has not come in: what it is, what is in it, and when each pass would open what. */
export function Outside({ page }: { page: CoursePage }) {
  const { course, face, columns, offers, closing } = page;
  const boards = course.path.filter((row) => row.kind === 'board' && row.open);
  return (
    <div className={clsx(css.whole, columns.length > ROOM && css.many)}>
      <header className={css.outhead}>
        <div>
          <h1>{course.title}</h1>
          {face.sentence !== '' && <p className={css.lede}>{face.sentence}</p>}
          <p className={css.facts}>{[face.takes, ...(face.season === null ? [] : [face.season])].join(' · ')}</p>
          {course.otherPasses.map((pass) => (
            <p key={pass.words} className={css.facts}>
              {pass.words}
            </p>
          ))}
          <LookingAs course={course} />
        </div>
        <Cover cover={face.cover} className={css.outcover} sizes="(max-width: 900px) 100vw, 300px" first />
      </header>
      {closing !== null && <Closing course={course} face={face} closing={closing} />}
      {columns.length > 1 && <Chosen columns={columns} />}
      <Outline page={page} />
      {offers.length > 0 && (
        <section aria-label={say('course.together')} className={css.below}>
          <div>
            <h2>{say('course.together')}</h2>
            <OfferCards offers={offers} />
          </div>
        </section>
      )}
      <div className={css.below}>
        <div>
          {face.outcomes.length > 0 && (
            <section>
              <h2>{say('course.able')}</h2>
              <ul className={css.able}>
                {face.outcomes.map((outcome) => (
                  <li key={outcome}>{outcome}</li>
                ))}
              </ul>
            </section>
          )}
          {face.about !== '' && (
            <section>
              <h2>{say('course.about')}</h2>
              <Prose html={face.about} />
            </section>
          )}
        </div>
        <div>
          {face.questions.length > 0 && (
            <section className={css.asked}>
              <h2>{say('course.asked')}</h2>
              {face.questions.map(({ ask, html }) => (
                <details key={ask}>
                  <summary>{ask}</summary>
                  <Prose html={html} />
                </details>
              ))}
            </section>
          )}
          {closing === null && <Ask name={face.contactName} email={face.contactEmail} as={face.questions.length > 0 ? 'course' : 'notice'} />}
          {boards.length > 0 && <Boards course={course.key} boards={boards} />}
        </div>
      </div>
    </div>
  );
}

/** On a narrow page passes stand one at a time: which, the stylesheet sees by what is chosen here. */
function Chosen({ columns }: { columns: OfferColumn[] }) {
  return (
    <fieldset className={css.chosen}>
      <legend>{say('course.which')}</legend>
      {columns.map(({ offer }, index) => (
        <label key={offer.key}>
          <input type="radio" name="pass" id={`pass-${index + 1}`} defaultChecked={index === 0} /> {offer.name}, {offer.price}
        </label>
      ))}
    </fieldset>
  );
}

function Outline({ page: { course, face, columns } }: { page: CoursePage }) {
  const said = columns.length === 0 ? undefined : columns.length === 1 ? say('course.pass', { offer: columns[0]?.offer.name ?? '' }) : say('course.passes');
  return (
    <table className={css.plan}>
      <caption className={ui.vh}>{say('course.outline', { course: course.title })}</caption>
      {columns.length > 0 && (
        <thead>
          <tr>
            <th scope="col">{said}</th>
            {columns.map((column, index) => (
              <th key={column.offer.key} scope="col" className={css[`col-${index + 1}`]}>
                <Head column={column} first={index === 0} />
              </th>
            ))}
          </tr>
        </thead>
      )}
      <tbody>
        {course.path.map((row, index) =>
          row.kind === 'board' ? null : row.kind === 'module' ? (
            <tr key={row.key} id={row.key} className={css.module}>
              <th scope="rowgroup" style={{ paddingLeft: row.depth * 22 }}>
                <div className={css.what}>
                  {row.title}
                  <small>{face.holds[index]}</small>
                </div>
              </th>
              {columns.map((column, at) => (
                <td key={column.offer.key} className={clsx(css.opens, css[`col-${at + 1}`])}>
                  {column.opens[index]}
                </td>
              ))}
            </tr>
          ) : (
            <tr key={row.key} id={row.key}>
              <th scope="row" style={{ paddingLeft: Math.max(0, row.depth - 1) * 22 }}>
                <div className={css.what}>
                  <Row course={course.key} row={row} />
                  <small>{face.holds[index]}</small>
                </div>
              </th>
              {columns.map((column, at) => (
                <td key={column.offer.key} className={clsx(css.opens, css[`col-${at + 1}`])}>
                  <Opens opens={column.opens[index] ?? null} />
                </td>
              ))}
            </tr>
          ),
        )}
      </tbody>
    </table>
  );
}

function Head({ column: { offer, lasts }, first }: { column: OfferColumn; first: boolean }) {
  const { standIn } = useShared();
  return (
    <>
      <b>{offer.name}</b>
      <span className={css.price}>
        <strong>{offer.price}</strong>
        <i>{lasts}</i>
      </span>
      {standIn === undefined && (
        <ButtonLink href={offer.href} variant={first ? 'filled' : 'default'}>
          {takes(offer)}
          <span className={ui.vh}>: {offer.name}</span>
        </ButtonLink>
      )}
    </>
  );
}

/** Whatever is closed leads to its notice; what can be looked at stands out. */
function Row({ course, row }: { course: string; row: PathRow }) {
  const address = useLearnerAddress();
  return (
    <span className={clsx(css.row, row.open && css.try)}>
      {row.open && <Arch glyph={row.glyph} look={row.look} size={18} />}
      <Link href={address(course, row.key)}>{row.title}</Link>
      {row.optional && <span className={css.opt}>{say('optional')}</span>}
    </span>
  );
}

function Opens({ opens }: { opens: string | null }) {
  return opens === null ? (
    <span>
      <span aria-hidden>·</span>
      <span className={ui.vh}>{say('course.not_in')}</span>
    </span>
  ) : (
    <span>
      <Arch glyph="open" size={16} silent />
      {opens}
    </span>
  );
}

function Boards({ course, boards }: { course: string; boards: PathRow[] }) {
  const address = useLearnerAddress();
  return (
    <section>
      <h2>{say('course.boards')}</h2>
      <ul className={css.boards}>
        {boards.map((board) => (
          <li key={board.key}>
            <Link href={address(course, board.key)}>{board.title}</Link>
          </li>
        ))}
      </ul>
    </section>
  );
}
