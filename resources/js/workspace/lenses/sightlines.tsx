import { Menu, NumberInput } from '@mantine/core';
import { useState } from 'react';
import { clsx } from 'clsx';

import { Arch } from '../../ui/Arch';
import { differ, type Inside } from '../../lib/sights';
import type { SchoolTime } from '../../lib/time';
import type { Expected, Sight, SightlinesGrid, Vantage } from '../../lib/generated/types';
import { say } from '../../lib/keepSay';
import type { GridColumn } from '../grid/Grid';
import { plainText } from '../../lib/words';
import { insteadOf } from '../Expectations';
import { vantageHelp } from './vantageHelp';
import { InMenu } from '../../ui/HeadHelp';
import css from '../workspace.module.css';

/** A pass may have begun, or begin, this many days from now. */
const MOST_DAYS = 3660;

export interface VantageActs {
  /** The day on which a holder is at the instant that is looked at. */
  onDay: (vantage: Vantage, day: number) => void;
  onDiligent: (vantage: Vantage) => void;
  onMove: (vantage: Vantage, by: 1 | -1) => void;
  onDrop: (vantage: Vantage) => void;
  onCompare: (vantage: Vantage, other: Vantage) => void;
  standIn: (vantage: Vantage) => string;
  calendar: (vantage: Vantage) => string;
}

export interface SightColumnsProps {
  grid: SightlinesGrid;
  at: number;
  time: SchoolTime;
  /** Indexes of the vantages that are shown. */
  shown: number[];
  sheeted: boolean;
  /** Of each shown column, whether nothing at all is open there. */
  blind: boolean[];
  chosen: number | null;
  acts: VantageActs;
}

export function sightlineColumns({ grid, at, time, shown, sheeted, blind, chosen, acts }: SightColumnsProps): GridColumn[] {
  // Few columns keep a width that reads well; many share what there is.
  const few = shown.length <= (sheeted ? 3 : 6);
  return shown.flatMap((index, column) => {
    const vantage = grid.vantages[index];
    return vantage === undefined
      ? []
      : [
          {
            id: vantage.id,
            ...(few ? { width: 163 } : {}),
            head: <VantageHead vantage={vantage} all={grid.vantages} at={at} now={grid.now} time={time} blind={blind[column] === true} chosen={index === chosen} acts={acts} />,
          },
        ];
  });
}

interface VantageHeadProps {
  vantage: Vantage;
  all: Vantage[];
  at: number;
  now: number;
  time: SchoolTime;
  blind: boolean;
  chosen: boolean;
  acts: VantageActs;
}

function VantageHead({ vantage, all, at, now, time, blind, chosen, acts }: VantageHeadProps) {
  const { since, detail } = vantage;
  const day = vantage.kind === 'holder' ? vantage.day : null;
  return (
    <div className={clsx(css.v, chosen && css.chosen)}>
      <VantageMenu vantage={vantage} all={all} acts={acts} />
      {day !== null && since !== null ? (
        <div className={css.vday} title={say('lenses.sightlines.since', { date: time.date(since), diligent: vantage.diligent ? 'yes' : 'no' })}>
          <Day key={`${vantage.id} ${time.daysBetween(now, at)}`} day={day + time.daysBetween(now, at)} title={vantage.title} onDay={(to) => acts.onDay(vantage, to)} />
        </div>
      ) : (
        <span className={css.vdetail} title={detail ?? ''}>
          {detail}
        </span>
      )}
      {blind ? (
        <span className={css.blind}>{say('lenses.sightlines.nothing_is_open')}</span>
      ) : (
        day !== null && since !== null && <span title={vantage.name}>{vantage.labels.length > 0 ? say('lenses.sightlines.with_labels', { labels: vantage.labels.join(', ') }) : vantage.diligent ? say('lenses.sightlines.all_finished') : say('lenses.sightlines.from_day', { day: time.dayMonth(since) })}</span>
      )}
    </div>
  );
}

function VantageMenu({ vantage, all, acts }: { vantage: Vantage; all: Vantage[]; acts: VantageActs }) {
  const at = all.findIndex(({ id }) => id === vantage.id);
  return (
    <Menu position="bottom-start" width={264} withArrow>
      <Menu.Target>
        <button type="button" className={css.vname} title={vantage.title} aria-label={say('lenses.sightlines.name_what_can_be', { name: vantage.name })}>
          <b>{vantage.title}</b>
        </button>
      </Menu.Target>
      <Menu.Dropdown>
        <Menu.Label>{vantage.name}</Menu.Label>
        <InMenu>{vantageHelp(vantage)}</InMenu>
        <Menu.Item component="a" href={acts.standIn(vantage)}>
          {say('lenses.sightlines.stand_in_for_them')}
        </Menu.Item>
        <Menu.Item component="a" href={acts.calendar(vantage)}>
          {say('lenses.sightlines.calendar_what_opens_ics')}
        </Menu.Item>
        {vantage.since !== null && (
          <Menu.Item onClick={() => acts.onDiligent(vantage)}>{vantage.diligent ? say('lenses.sightlines.has_finished_nothing') : say('lenses.sightlines.has_finished_everything_so')}</Menu.Item>
        )}
        {all.length > 1 && (
          <Menu.Sub>
            <Menu.Sub.Target>
              <Menu.Sub.Item>{say('lenses.sightlines.compare_with')}</Menu.Sub.Item>
            </Menu.Sub.Target>
            <Menu.Sub.Dropdown>
              {all.map((other) =>
                other.id === vantage.id ? null : (
                  <Menu.Item key={other.id} onClick={() => acts.onCompare(vantage, other)}>
                    {other.name}
                  </Menu.Item>
                ),
              )}
            </Menu.Sub.Dropdown>
          </Menu.Sub>
        )}
        <Menu.Divider />
        <Menu.Item disabled={at === 0} onClick={() => acts.onMove(vantage, -1)}>
          {say('lenses.sightlines.move_to_the_left')}
        </Menu.Item>
        <Menu.Item disabled={at === all.length - 1} onClick={() => acts.onMove(vantage, 1)}>
          {say('lenses.sightlines.move_to_the_right')}
        </Menu.Item>
        <Menu.Item onClick={() => acts.onDrop(vantage)}>{say('lenses.sightlines.take_this_column_away')}</Menu.Item>
      </Menu.Dropdown>
    </Menu>
  );
}

function Day({ day, title, onDay }: { day: number; title: string; onDay: (day: number) => void }) {
  const [typed, setTyped] = useState<number | string>(day);
  const settle = () => {
    const to = Number(typed);
    if (typed !== '' && Number.isInteger(to) && Math.abs(to) <= MOST_DAYS && to !== day) {
      onDay(to);
    } else {
      setTyped(day);
    }
  };
  return (
    <div className={css.day}>
      <span aria-hidden>{say('lenses.sightlines.day')}</span>
      <NumberInput
        aria-label={say('lenses.sightlines.day_of_title', { title })}
        size="xs"
        variant="unstyled"
        hideControls
        min={-MOST_DAYS}
        max={MOST_DAYS}
        allowDecimal={false}
        value={typed}
        onChange={setTyped}
        onBlur={settle}
        onKeyDown={(event) => {
          if (event.key === 'Enter') {
            settle();
          }
        }}
      />
    </div>
  );
}

export interface SightCellProps {
  sight: Sight | undefined;
  /** As it is published, beside the draft; left out: not compared, null: the row is not there. */
  before?: Sight | null;
  count: Inside | null;
  /** What is expected of it now. */
  expected: Expected[];
  time: SchoolTime;
}

export function SightCell({ sight, before, count, expected, time }: SightCellProps) {
  if (sight === undefined) {
    return null;
  }
  const changed = before !== undefined && differ(before ?? undefined, sight);
  const cell = say('lenses.sightlines.cell', { state: sight.state, look: sight.look ? 'yes' : 'no' });
  return (
    <div className={clsx(css.c, changed && css.changed)} data-glyph={sight.glyph} title={sight.next === null ? cell : say('lenses.sightlines.then', { cell, next: sight.then ?? '', when: time.words(sight.next) })}>
      {changed && (
        <>
          <span className={css.was}>{before === null ? <small>{say('lenses.sightlines.not_live')}</small> : <Arch glyph={before.glyph} look={before.look} />}</span>
          <span aria-label={say('lenses.sightlines.becomes')}>→</span>
        </>
      )}
      <Arch glyph={sight.glyph} look={sight.look} />
      {sight.word !== null && count === null && <span className={clsx(css.w, sight.glyph === 'later' && css.later)}>{sight.word}</span>}
      {count !== null && count.shut !== null && <span className={clsx(css.w, count.shut.glyph === 'later' && css.later)}>{count.shut.first ? say('lenses.sightlines.first', { word: count.shut.word }) : count.shut.word}</span>}
      {count !== null && (
        <span className={clsx(css.n, count.open === 0 && css.none)}>
          {say('lenses.sightlines.open_of_all', { open: count.open, all: count.all })}
        </span>
      )}
      {expected.length > 0 && <ExpectedMark expected={expected} />}
    </div>
  );
}

/** That something is expected of a cell, and whether it is so. */
function ExpectedMark({ expected }: { expected: Expected[] }) {
  const broken = expected.filter(({ kept }) => !kept);
  const told = broken.length > 0 ? say('lenses.sightlines.not_as_expected', { words: broken.map(insteadOf).join(' ') }) : say('lenses.sightlines.as_expected', { words: expected.map(({ words }) => plainText(words)).join('; ') });
  return (
    <span className={clsx(css.expects, broken.length > 0 && css.unkept)} role="img" aria-label={told} title={told}>
      {broken.length > 0 ? '≠' : '='}
    </span>
  );
}
