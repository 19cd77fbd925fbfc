import { Link } from '@inertiajs/react';
import { clsx } from 'clsx';
import { type ReactNode, useEffect, useMemo, useState } from 'react';

import { Arch } from '../../ui/Arch';
import { withQuery } from '../../lib/address';
import { useShared } from '../../lib/page';
import { useShortcuts } from '../../lib/shortcuts';
import { SchoolTime } from '../../lib/time';
import type { NoticeLevel, NoticesGrid, NoticeSight, OutlineRow, WorkspacePage } from '../../lib/generated/types';
import { say, saying } from '../../lib/keepSay';
import { to } from '../../lib/route';
import { Grid, type GridColumn } from '../grid/Grid';
import { tickFrom, TimeRail } from '../TimeRail';
import { useNoticeTime } from '../useNoticeTime';
import { NoticeSheet } from '../sheet/NoticeSheet';
import css from '../workspace.module.css';
import ui from '../../ui/ui.module.css';

const SOURCES: Record<NoticeLevel, string> = {
  own: say('lenses.notices.own'),
  module: say('lenses.notices.module'),
  course: say('lenses.notices.course'),
  school: say('lenses.notices.school'),
  usual: say('lenses.notices.usual'),
};

export interface NoticesLensProps {
  page: WorkspacePage;
  grid: NoticesGrid;
  corner: (rows: number) => ReactNode;
  /** The rows that the filter lets through, with their indexes among all rows. */
  rows: { row: OutlineRow; index: number }[];
  here: string | null;
  onHere: (row: string) => void;
  sheet: boolean;
  onSheet: (open: boolean) => void;
  onWho: () => void;
  /** The instant that is wanted, as an address has it; null: now. */
  onAt: (at: string | null) => void;
}

/** What each kind of viewer meets at each closed row, and whose words stand there. */
export function NoticesLens({ page, grid, corner, rows, here, onHere, sheet, onSheet, onWho, onAt }: NoticesLensProps) {
  const { school } = useShared();
  const { course, rows: all, offsets } = page;
  const time = useMemo(() => new SchoolTime(offsets, grid.now), [offsets, grid.now]);
  const { rail, ticks } = useNoticeTime(course, grid, rows, onAt);
  const [asked] = useState(() => new URLSearchParams(window.location.search));
  const [who, setWho] = useState<string | null>(asked.get('who'));
  const [onlyStuck, setOnlyStuck] = useState(false);
  const ids = grid.vantages.map(({ id }) => id);
  const chosen = Math.max(0, ids.indexOf(who ?? ''));
  const sight = (row: number, column: number) => grid.sights[grid.cells[row]?.[column] ?? -1];
  const withoutStep = (row: number) => ids.filter((_, column) => sight(row, column)?.hasStep === false).length;
  const stuck = rows.reduce((sum, { index }) => sum + withoutStep(index), 0);
  const shown = onlyStuck ? rows.filter(({ index }) => withoutStep(index) > 0) : rows;
  const row = all.find(({ key }) => key === here) ?? shown[0]?.row ?? all[0];
  const vantage = grid.vantages[chosen];
  const sheeted = sheet && row !== undefined && vantage !== undefined;

  // The column of the sheet lives in the address, so that it can be sent to somebody.
  const addressed = sheet ? (vantage?.id ?? null) : null;
  useEffect(() => {
    window.history.replaceState(window.history.state, '', withQuery(window.location.pathname + window.location.search, { who: addressed }));
  }, [addressed]);

  // Beside the sheet there is less room: the cell that it is about stays in sight.
  useEffect(() => {
    if (sheeted) {
      document.querySelector<HTMLElement>(`main td[data-column="${CSS.escape(addressed ?? '')}"]`)?.scrollIntoView({ block: 'nearest', inline: 'nearest' });
    }
  }, [sheeted, addressed]);

  const close = () => {
    onSheet(false);
    document.querySelector<HTMLElement>('main [data-cell][tabindex="0"]')?.focus();
  };
  const step = (by: 1 | -1) => {
    const tick = tickFrom(ticks, rail.at, by);
    if (tick !== undefined) {
      rail.setAt(tick.at);
    }
  };
  useShortcuts({ '[': () => step(-1), ']': () => step(1), '0': () => rail.setAt(null), v: onWho, ...(sheeted ? { escape: close } : {}) });
  const openAt = (index: number, column: number) => {
    onHere(all[index]?.key ?? '');
    setWho(ids[column] ?? null);
    onSheet(true);
  };
  return (
    <>
      <div className={css.lensbox}>
        {grid.vantages.length === 0 ? (
          <div className={ui.empty}>
            <p>{saying('lenses.sight_lenses.choose_eyes', { nobody: <b key="nobody">{say('lenses.sight_lenses.nobody_looks')}</b> })}</p>
            <button type="button" className={clsx(ui.linklike, css.linklike)} onClick={onWho}>
              {say('lenses.sight_lenses.choose_who_looks')}
            </button>
          </div>
        ) : (
          <Grid
            caption={say('lenses.notices.caption', { title: course.title, when: time.words(grid.at), zone: school.zoneName })}
            corner={corner(shown.length)}
            columns={columnsOf(grid, sheeted ? chosen : null, sheeted)}
            rows={shown}
            startAt={here}
            onFocusRow={(one) => onHere(one.key)}
            onFocusColumn={(column) => setWho(ids[column] ?? null)}
            onCell={openAt}
            onEnter={openAt}
            onOpenRow={(index) => openAt(index, chosen)}
            cell={(index, column) => <NoticeCell sight={sight(index, column)} />}
          />
        )}
      </div>
      {sheeted && <NoticeSheet course={course.key} row={row} vantage={vantage} sight={sight(all.indexOf(row), chosen)} at={grid.at} isNow={grid.at === grid.now} see={grid.see} mayEdit={page.mayEdit} onClose={close} />}
      <footer className={clsx(css.rail, css.timed)} aria-busy={rail.at !== grid.at}>
        <TimeRail sights={rail} ticks={ticks} time={time} zoneName={school.zoneName} />
        <p className={css.hint} role="status">
          {stuck === 0 ? (
            say('lenses.notices.all_have_a_step')
          ) : (
            <>
              <b className={css.nosteps} title={say('lenses.notices.without_step')}>
                {say('lenses.notices.doors_without', { count: stuck })}
              </b>{' '}
              ·{' '}
              <button type="button" className={clsx(ui.linklike, css.linklike)} onClick={() => setOnlyStuck(!onlyStuck)}>
                {onlyStuck ? say('lenses.sight_lenses.show_all_rows') : say('lenses.sight_lenses.show_only_those')}
              </button>
            </>
          )}{' '}
          · <Link href={to('keep.course-notices', { course: course.key })}>{say('lenses.notices.words_of_course')}</Link> · <Link href={to('keep.notices')}>{say('lenses.notices.words_of_school')}</Link>
        </p>
      </footer>
    </>
  );
}

function columnsOf({ vantages }: NoticesGrid, chosen: number | null, sheeted: boolean): GridColumn[] {
  // Few columns keep a width that reads well; many are no narrower than their words.
  const width = vantages.length <= (sheeted ? 3 : 5) ? 176 : 142;
  return vantages.map((vantage, index) => ({
    id: vantage.id,
    width,
    head: (
      <div className={clsx(css.v, index === chosen && css.chosen)} title={`${vantage.name}: ${say('lenses.who.met')}`}>
        <b>{vantage.title}</b>
        <span className={css.vdetail}>{vantage.detail ?? vantage.name.slice(vantage.title.length + 2)}</span>
      </div>
    ),
  }));
}

function NoticeCell({ sight }: { sight: NoticeSight | undefined }) {
  if (sight === undefined) {
    return null;
  }
  return (
    <div className={clsx(css.c, css.met, !sight.hasStep && css.stepless)} data-glyph={sight.glyph} data-level={sight.level ?? undefined} title={sight.level === null ? undefined : say('lenses.notices.cell', { met: sight.word ?? '', source: SOURCES[sight.level] })}>
      <Arch glyph={sight.glyph} look={sight.look} />
      {sight.word !== null && <span className={clsx(css.w, sight.glyph === 'later' && css.later)}>{sight.word}</span>}
      {sight.level !== null && sight.level !== 'usual' && <span className={clsx(css.source, sight.level === 'own' && css.ownwords)}>{SOURCES[sight.level]}</span>}
      {!sight.hasStep && <span className={ui.vh}>, {say('lenses.notices.no_step')}</span>}
    </div>
  );
}
