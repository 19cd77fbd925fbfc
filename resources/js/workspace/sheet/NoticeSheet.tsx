import { Link } from '@inertiajs/react';
import { clsx } from 'clsx';

import { Prose } from '../../learn/Prose';
import { withQuery } from '../../lib/address';
import { isoOf } from '../../lib/time';
import type { DoorCount, NoticeLevel, NoticeMet, NoticeMetLevel, NoticePage, NoticePart, NoticeSight, OutlineRow, Vantage } from '../../lib/generated/types';
import { say, saying } from '../../lib/keepSay';
import { to } from '../../lib/route';
import { useAsked } from '../../lib/useAsked';
import { listed, plainText } from '../../lib/words';
import { Picture } from '../../ui/Picture';
import { Words } from '../../ui/Words';
import css from '../workspace.module.css';
import ui from '../../ui/ui.module.css';

export interface NoticeSheetProps {
  course: string;
  row: OutlineRow;
  vantage: Vantage;
  /** What the cell shows. */
  sight: NoticeSight | undefined;
  at: number;
  isNow: boolean;
  see: string;
  mayEdit: boolean;
  onClose: () => void;
}

/** Beside a cell: the notice as it is met there, and where its words come from. */
export function NoticeSheet({ course, row, vantage, sight, at, isNow, see, mayEdit, onClose }: NoticeSheetProps) {
  const isClosed = sight !== undefined && sight.case !== null;
  const query = { v: [vantage.id], see: see === 'published' ? see : null, at: isNow ? null : isoOf(at) };
  const { answer, state } = useAsked<NoticeMet>(isClosed ? withQuery(to('keep.course-notices.met', { course }), { ...query, item: row.key }) : null);
  return (
    <aside className={css.sheet} aria-label={say('sheet.notice_sheet.what_name_meets', { title: row.title, name: vantage.name })} aria-busy={state === 'waiting'}>
      <header>
        <div>
          <h2>{row.title}</h2>
          <p>{say('sheet.notice_sheet.as_met_by', { name: vantage.name })}</p>
        </div>
        <button type="button" className={css.x} onClick={onClose}>
          <kbd>{say('keep.keys.esc')}</kbd> <span className={ui.vh}>{say('sheet.why_sheet.close_the_sheet')}</span> <span aria-hidden>×</span>
        </button>
      </header>
      {!isClosed && <p className={clsx(css.sheetnote, ui.soft)}>{say(sight?.glyph === 'hidden' ? 'sheet.notice_sheet.hidden' : 'sheet.notice_sheet.open')}</p>}
      {state === 'failed' && <p className={clsx(css.sheetnote, ui.takes)}>{say('sheet.notice_sheet.failed')}</p>}
      {state === 'waiting' && <p className={clsx(css.sheetnote, ui.soft)}>{say('sheet.notice_sheet.looking')}</p>}
      {answer !== null && (
        <>
          <section>
            <h3>{answer.who}</h3>
            {answer.notice === null ? (
              <p>{answer.sentTo === null || answer.sentTo === '' ? say('notices.preview.sign_in') : say('notices.preview.address', { address: answer.sentTo })}</p>
            ) : (
              <MiniNotice notice={answer.notice} />
            )}
            {sight?.hasStep === false && <p className={ui.takes}>{say('sheet.notice_sheet.no_step')}</p>}
          </section>
          <section>
            <h3>{say('sheet.notice_sheet.where_words_come_from')}</h3>
            <ol className={css.levels}>
              {answer.levels.map((level) => (
                <Level key={`${level.level} ${level.item} ${level.offer}`} course={course} level={level} met={answer.case} mayEdit={mayEdit} />
              ))}
            </ol>
          </section>
          <Met count={answer.count} />
        </>
      )}
      <section>
        <Link href={withQuery(to('keep.stand-in', { course }), { ...query, item: row.key })}>{say('sheet.why_sheet.stand_in_for_name', { name: vantage.name })}</Link>
      </section>
    </aside>
  );
}

/** How often it was met, by whom, and what they did next. */
function Met({ count }: { count: DoorCount }) {
  const most = Math.max(1, ...count.weeks);
  const next = [
    { said: say('sheet.notice_sheet.took'), times: count.taken },
    { said: say('sheet.notice_sheet.signed_in'), times: count.signedIn },
    { said: say('sheet.notice_sheet.went_on'), times: count.wentOn },
    { said: say('sheet.notice_sheet.left'), times: count.left },
  ];
  return (
    <section>
      <h3>{say('sheet.notice_sheet.met', { count: count.met })}</h3>
      {count.met > 0 && (
        <>
          <p className={ui.soft}>{say('sheet.notice_sheet.by_whom', { who: listed(Object.entries(count.who).map(([who, times]) => say('sheet.notice_sheet.by', { who, times })), 'and') })}</p>
          <table className={css.metnext}>
            <tbody>
              {next.map(({ said, times }) => (
                <tr key={said}>
                  <th scope="row">{said}</th>
                  <td>{times}</td>
                  <td aria-hidden>
                    <i style={{ width: `${(100 * times) / count.met}%` }} />
                  </td>
                </tr>
              ))}
            </tbody>
          </table>
        </>
      )}
      {count.weeks.some((times) => times > 0) && (
        <figure className={css.weeks} role="img" aria-label={say('sheet.notice_sheet.weeks', { weeks: count.weeks.join(', ') })}>
          {count.weeks.map((times, index) => (
            // Weeks have no name but their place.
            // oxlint-disable-next-line react/no-array-index-key
            <i key={index} style={{ height: `${(100 * times) / most}%` }} title={`${times}`} />
          ))}
        </figure>
      )}
    </section>
  );
}

/** The notice as its viewer has it, with nothing to press. */
function MiniNotice({ notice }: { notice: NoticePage }) {
  return (
    <div className={css.mininotice}>
      <div className={clsx(ui.wall, ui[`wall-${notice.glyph}`], css.miniwall)} aria-hidden>
        <i />
      </div>
      <h4 className={notice.titled ? undefined : ui.vh}>{plainText(notice.heading)}</h4>
      {notice.parts.map((part, index) => (
        // Parts have no name but their place.
        // oxlint-disable-next-line react/no-array-index-key
        <MiniPart key={index} part={part} notice={notice} />
      ))}
    </div>
  );
}

function MiniPart({ part, notice }: { part: NoticePart; notice: NoticePage }) {
  switch (part.kind) {
    case 'words':
      return notice.html === null ? (
        <p>
          <Words segments={notice.text.segments} />
        </p>
      ) : (
        <Prose html={notice.html} />
      );
    case 'text':
      return <Prose html={part.html ?? ''} />;
    case 'picture':
      return part.picture === null ? null : <Picture picture={part.picture} sizes="320px" />;
    case 'heading':
    case 'button':
      return <p className={css.ministep}>{part.label}</p>;
    case 'sign-in':
      return <p className={css.ministep}>{say('sheet.notice_sheet.sign_in')}</p>;
    case 'offers':
      return notice.offers.map((offer) => (
        <p key={offer.key} className={css.ministep}>
          <b>{offer.name}</b> <span>{offer.price}</span>
          <br />
          {offer.detail}
        </p>
      ));
    case 'finish':
    case 'samples':
      return <p className={css.ministep}>{part.rows.map((row) => row.title).join(', ')}</p>;
    case 'courses':
      return <p className={css.ministep}>{notice.instead.map((other) => other.title).join(', ')}</p>;
    case 'next-run':
      return <p className={css.ministep}>{say('sheet.notice_sheet.next_run')}</p>;
    case 'ask':
      return <p className={css.ministep}>{say('sheet.notice_sheet.ask', { name: notice.contactName ?? '' })}</p>;
    case 'open':
      return <p className={css.ministep}>{say('sheet.notice_sheet.look_at', { title: notice.lookAt?.title ?? '' })}</p>;
  }
}

const LEVELS: Record<NoticeLevel, string> = {
  own: say('sheet.notice_sheet.own'),
  module: say('sheet.notice_sheet.module'),
  course: say('sheet.notice_sheet.course'),
  school: say('sheet.notice_sheet.school'),
  usual: say('sheet.notice_sheet.usual'),
};

interface LevelProps {
  course: string;
  level: NoticeMetLevel;
  met: string;
  mayEdit: boolean;
}

/** What is said at one level, where it can be changed, and whether it is what is met. */
function Level({ course, level, met, mayEdit }: LevelProps) {
  const place = level.level === 'school' ? to('keep.notices') : level.level === 'usual' ? null : to('keep.course-notices', { course });
  const words = level.words === null ? null : saying(level.offerTitle === null ? 'sheet.notice_sheet.quoted' : 'sheet.notice_sheet.quoted_for', { words: level.words, offer: level.offerTitle });
  return (
    <li className={clsx(level.holds && css.holds)}>
      <b>{LEVELS[level.level]}</b>
      <span>
        {level.level === 'module' && `${level.title ?? ''}: `}
        {words === null ? <span className={ui.soft}>{say(level.level === 'usual' ? 'sheet.notice_sheet.the_usual_words' : 'sheet.notice_sheet.nothing')}</span> : level.holds ? words : <s>{words}</s>}
      </span>
      {place !== null && (
        <Link href={withQuery(place, { case: met, item: level.item, offer: level.offer })}>
          {say(!mayEdit ? 'sheet.notice_sheet.look' : level.words === null ? 'sheet.notice_sheet.write' : 'sheet.notice_sheet.edit')}
          <span className={ui.vh}> {LEVELS[level.level]}</span>
        </Link>
      )}
    </li>
  );
}
