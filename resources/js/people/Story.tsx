import { useEffect, useRef } from 'react';

import type { PastRow, PastTurn } from '../lib/generated/types';
import { say } from '../lib/keepSay';
import { isoOf } from '../lib/time';
import { Words } from '../ui/Words';
import css from './past.module.css';
import ui from '../ui/ui.module.css';

export interface StoryProps {
  turns: PastTurn[];
  rows: PastRow[];
  /** Place of the only row that is told of; null: all are. */
  only: number | null;
  /** The one that is looked at. */
  current: PastTurn | undefined;
  onAt: (at: number) => void;
}

/** So many titles are named; of more it is said how many. */
const NAMED = 4;

/** Day by day what happened to somebody, and what opened and shut by it. */
export function Story({ turns, rows, only, current, onAt }: StoryProps) {
  const told = turns.filter(({ lines, opened, shut }) => lines.length > 0 || opened.length > 0 || shut.length > 0);
  return told.length === 0 ? (
    <p className={ui.soft}>{say('past.nothing')}</p>
  ) : (
    <ol className={css.story}>
      {told.map((turn) => (
        <Told key={turn.at} turn={turn} rows={rows} only={only} isCurrent={turn === current} onAt={onAt} />
      ))}
    </ol>
  );
}

function Told({ turn, rows, only, isCurrent, onAt }: { turn: PastTurn; rows: PastRow[]; only: number | null; isCurrent: boolean; onAt: (at: number) => void }) {
  const place = useRef<HTMLLIElement>(null);
  const opened = only === null ? turn.opened : turn.opened.filter((row) => row === only);
  const shut = only === null ? turn.shut : turn.shut.filter((row) => row === only);
  // What is looked at is in sight, however it was come upon.
  useEffect(() => {
    if (isCurrent) {
      place.current?.scrollIntoView({ block: 'nearest' });
    }
  }, [isCurrent]);
  return (
    <li ref={place} aria-current={isCurrent}>
      <time dateTime={isoOf(turn.at)}>
        <button type="button" onClick={() => onAt(turn.at)}>
          {turn.when}
        </button>
      </time>
      <div>
        {turn.lines.map(({ words, by }, index) => (
          // Lines of one instant have no identity beyond their place.
          <p key={`${turn.at}-${turn.lines.length - index}`}>
            <Words segments={words.segments} /> {by !== null && <span className={css.by}>{say('past.by', { name: by })}</span>}
          </p>
        ))}
        {opened.length > 0 && <p className={css.opened}>{say('past.opens', { titles: titles(opened, rows) })}</p>}
        {shut.length > 0 && <p className={css.shut}>{say('past.shuts', { titles: titles(shut, rows) })}</p>}
      </div>
    </li>
  );
}

function titles(places: number[], rows: PastRow[]): string {
  const named = places.slice(0, NAMED).map((place) => rows[place]?.title ?? '');
  return places.length <= NAMED ? named.join(', ') : say('past.more', { titles: named.join(', '), count: places.length - NAMED });
}
