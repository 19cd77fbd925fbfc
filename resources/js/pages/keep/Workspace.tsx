import { router, usePage } from '@inertiajs/react';
import { Button } from '@mantine/core';
import { lazy, Suspense, useEffect, useMemo, useRef, useState } from 'react';
import { clsx } from 'clsx';

import { type CellEditing, RulesLens } from '../../workspace/lenses/RulesLens';
import { useColumns } from '../../workspace/useColumns';
import { SightLenses } from '../../workspace/lenses/SightLenses';
import { type Query, withQuery } from '../../lib/address';
import { useDraftNews } from '../../workspace/draftNews';
import { useShared } from '../../lib/page';
import { useShortcuts } from '../../lib/shortcuts';
import { rowMatches } from '../../lib/rowFilter';
import { isoOf } from '../../lib/time';
import { useSights } from '../../workspace/useSights';
import type { OutlineRow, WorkspacePage } from '../../lib/generated/types';
import { say, saying } from '../../lib/keepSay';
import { RuleSheet, type SheetRow } from '../../workspace/sheet/RuleSheet';
import { NoticesLens } from '../../workspace/lenses/NoticesLens';
import { CollisionDialog } from '../../workspace/dialogs/CollisionDialog';
import { CourseHeadLine } from '../../workspace/CourseHeadLine';
import { DraftNewsNote } from '../../workspace/DraftNewsNote';
import type { GridHandle } from '../../workspace/grid/Grid';
import { NOTHING_PICKED, type Picked } from '../../workspace/grid/useCellRange';
import { useExpected } from '../../workspace/Expectations';
import { useEdits } from '../../workspace/useEdits';
import { LensCorner, titleIn } from '../../workspace/LensCorner';
import { FoldsProvider, unfolded, useFolding } from '../../workspace/folds';
import { KeepShell } from '../../ui/KeepShell';
import { LeavingDialog } from '../../workspace/dialogs/LeavingDialog';
import { OutlineDialog, type OutlineTask, useOutlineActs } from '../../workspace/dialogs/outline';
import { type Copied, isOfRows, RulesFoot } from '../../workspace/WorkspaceFoot';
import { to } from '../../lib/route';
import css from '../../workspace/workspace.module.css';
import ui from '../../ui/ui.module.css';

// Fetched as they are opened: most of what is done here needs none of them.
const ColumnsDialog = lazy(async () => ({ default: (await import('../../workspace/dialogs/ColumnsDialog')).ColumnsDialog }));
const CourseForm = lazy(async () => ({ default: (await import('../../workspace/dialogs/CourseForm')).CourseForm }));
const PlansDialog = lazy(async () => ({ default: (await import('../../workspace/dialogs/PlansDialog')).PlansDialog }));
const VantagesDialog = lazy(async () => ({ default: (await import('../../workspace/dialogs/VantagesDialog')).VantagesDialog }));

/** What is edited: a word of the sheet, or something in the grid. */
type Editing = { what: 'word'; word: string } | CellEditing;

/** In the order of their keys. */
const LENSES = ['rules', 'sightlines', 'timeline', 'notices'] as const;

/** The rows that somebody looks for, among those that there are. */
function foundIn(rows: OutlineRow[], typed: string): { matching: ReadonlySet<string>; known: ReadonlySet<string> } {
  return { matching: new Set(rows.filter((row) => rowMatches(row, typed)).map(({ key }) => key)), known: new Set(rows.map(({ key }) => key)) };
}

/** Shows the same page with some of its address changed; what the page has put into the address itself is kept. */
function show(query: Query) {
  router.get(withQuery(window.location.pathname + window.location.search, query), {}, { preserveState: true, preserveScroll: true, replace: true });
}

export default function Workspace(page: WorkspacePage) {
  const { course, lens, rows, plans, plan, mainPlan, tiers, offers, labels, changes, saved, sightlines, notices, mayEdit, settings } = page;
  const { url } = usePage();
  const [asked] = useState(() => new URLSearchParams(url.split('?')[1]));
  const filterField = useRef<HTMLInputElement>(null);
  const [filter, setFilter] = useState(asked.get('find') ?? '');
  // What is found stays in sight while it is edited, though it is not what was looked for any more; what is new is shown too.
  const [found, setFound] = useState(() => foundIn(rows, asked.get('find') ?? ''));
  const [editing, setEditing] = useState<Editing | null>(null);
  // Only the one that was left or kept: an answer may come when another has been opened already.
  const leaveEditor = () => setEditing((now) => (now === editing ? null : now));
  const [picked, setPicked] = useState<Picked>(NOTHING_PICKED);
  const [here, setHere] = useState<string | null>(asked.get('row'));
  const [sheet, setSheet] = useState(asked.has('row'));
  const [copied, setCopied] = useState<Copied | null>(null);
  const grid = useRef<GridHandle>(null);
  const [task, setTask] = useState<OutlineTask | null>(null);
  const [dialog, setDialog] = useState<'course' | 'plans' | 'who' | 'columns' | null>(null);
  const [leaving, setLeaving] = useState<string[]>([]);
  const sights = useSights(course, lens, sightlines, (at) => show({ at }));
  const looked = notices ?? (sights === null ? null : { ...sights.grid, at: sights.at });
  const columns = useColumns(page.columns);
  const edits = useEdits(page);
  const see = (sightlines ?? notices)?.see ?? 'draft';
  const expected = useExpected(page, see);
  const acts = useOutlineActs(course.key, edits);
  const news = useDraftNews(course.key, course.draftVersion);
  const { flash } = useShared();
  const take = { ...acts, remove: (items: string[]) => [setLeaving(items), acts.remove(items)] };
  const folds = useFolding(rows);
  const names = useMemo(() => ({ tiers, offers, labels, outline: rows }), [tiers, offers, labels, rows]);
  const shown = useMemo(() => {
    const every = rows.map((row, index) => ({ row, index }));
    // What is looked for is found wherever it is folded up.
    return filter.trim() === '' ? unfolded(every, folds.folded) : every.filter(({ row }) => found.matching.has(row.key) || !found.known.has(row.key));
  }, [rows, filter, found, folds.folded]);
  const all = useMemo(
    () => rows.flatMap((row, index): SheetRow[] => (edits.rules[index] === undefined ? [] : [{ row, rule: edits.rules[index] }])),
    [rows, edits.rules],
  );
  const copiedRow = isOfRows(copied) && copied.length === 1 ? (copied[0] ?? null) : null;
  const opensSheet = sheet && lens === 'rules' && rows.length > 0;
  const current = rows.some((row) => row.key === here) ? here : (rows[0]?.key ?? null);
  const about = !opensSheet ? [] : picked.rows.size > 0 ? all.filter(({ row }) => picked.rows.has(row.key)) : all.filter(({ row }) => row.key === current);

  // The row of the sheet lives in the address, so that it can be sent to somebody.
  const seesWhy = sheet && lens !== 'rules' && rows.length > 0;
  const addressed = seesWhy ? current : about.length === 1 ? (about[0]?.row.key ?? null) : null;
  useEffect(() => {
    window.history.replaceState(window.history.state, '', withQuery(window.location.pathname + window.location.search, { row: addressed }));
  }, [addressed]);

  const step = (way: 'undo' | 'redo') => {
    if (mayEdit && (edits.areWaiting() || (way === 'undo' ? course.edits : course.undone) > 0)) {
      if (way === 'undo') {
        edits.undo();
      } else {
        edits.send(to('keep.draft.redo', { course: course.key }), {});
      }
    }
  };
  const closeSheet = () => {
    setSheet(false);
    setEditing(null);
    grid.current?.focus();
  };
  useShortcuts({
    ...Object.fromEntries(LENSES.flatMap((name, index) => [`${index + 1}`, `alt+${index + 1}`].map((key) => [key, () => show({ lens: name })]))),
    '/': () => filterField.current?.focus(),
    'ctrl+z': () => step('undo'),
    'ctrl+y': () => step('redo'),
    'ctrl+shift+z': () => step('redo'),
    ...(opensSheet ? { escape: closeSheet } : {}),
  });

  const corner = (left: number) => (
    <LensCorner lens={lens} row={addressed} filter={filter} field={filterField} onFilter={(text) => [setFilter(text), setFound(foundIn(rows, text))]} shown={left} rows={rows.length} />
  );

  return (
    <KeepShell title={titleIn(lens, course.title)} course>
      <FoldsProvider value={folds}>
      <CourseHeadLine
        course={course}
        changes={changes}
        expected={expected}
        mayEdit={mayEdit}
        seen={sightlines ?? notices}
        onStep={step}
        onSee={(rules) => show({ see: rules })}
        onCourse={() => setDialog('course')}
        {...(looked === null ? {} : { onWho: () => setDialog('who') })}
      />
      <DraftNewsNote news={news} />
      {task !== null && <OutlineDialog course={course.key} version={course.draftVersion} task={task} onClose={() => setTask(null)} />}
      <Suspense>
        {dialog === 'course' && <CourseForm course={course.key} version={course.draftVersion} settings={settings} onClose={() => setDialog(null)} />}
        {dialog === 'columns' && <ColumnsDialog columns={columns} onClose={() => setDialog(null)} />}
        {dialog === 'plans' && (
          <PlansDialog course={course.key} version={course.draftVersion} plans={plans} mainPlan={mainPlan} offers={offers} onClose={() => setDialog(null)} />
        )}
        {dialog === 'who' && looked !== null && (
          <VantagesDialog
            course={course.key}
            offers={offers}
            vantages={looked.vantages}
            saved={saved}
            csv={withQuery(to('keep.sightlines.csv', { course: course.key }), { v: looked.vantages.map(({ id }) => id), at: looked.at === looked.now ? null : isoOf(looked.at), see: looked.see === 'published' ? 'published' : null })}
            onShow={(vantages) => show({ v: vantages })}
            onClose={() => setDialog(null)}
          />
        )}
      </Suspense>
      <LeavingDialog asks={leaving.length > 0 ? flash : null} onLeave={() => acts.remove(leaving, true)} />
      <CollisionDialog version={course.draftVersion} />
      <main className={clsx(css.work, (opensSheet || seesWhy) && css.sheeted)}>
        {rows.length === 0 ? (
          <div className={ui.empty}>
            <p>
              {saying('workspace.workspace.type_titles', { none: <b key="none">{say('workspace.workspace.this_course_has_no')}</b> })}
              </p>
            {mayEdit && (
              <Button mt={14} onClick={() => setTask({ task: 'add', row: null })}>
                {say('workspace.workspace.add_the_first_rows')}
              </Button>
            )}
          </div>
        ) : notices !== null ? (
          <NoticesLens page={page} grid={notices} corner={corner} rows={shown} here={here} onHere={setHere} sheet={sheet} onSheet={setSheet} onWho={() => setDialog('who')} onAt={(at) => show({ at })} />
        ) : sights !== null ? (
          <SightLenses
            page={page}
            sights={sights}
            expected={expected}
            corner={corner}
            rows={shown}
            here={here}
            onHere={setHere}
            sheet={sheet}
            onSheet={setSheet}
            onVantages={(vantages) => show({ v: vantages })}
            onWho={() => setDialog('who')}
            onCourse={() => setDialog('course')}
            onRule={(item, word, ofPlan) => {
              setHere(item);
              setPicked(NOTHING_PICKED);
              setSheet(true);
              setEditing(mayEdit && word !== null ? { what: 'word', word } : null);
              show({ lens: 'rules', row: item, ...(ofPlan === null ? {} : { plan: ofPlan }) });
            }}
          />
        ) : (
          <RulesLens
            page={page}
            edits={edits}
            names={names}
            columns={columns}
            grid={grid}
            corner={corner}
            rows={shown}
            here={current}
            onHere={setHere}
            picked={picked}
            onPicked={setPicked}
            editing={editing?.what === 'word' ? null : editing}
            onEditing={setEditing}
            acts={take}
            onTask={setTask}
            onPlans={() => setDialog('plans')}
            onSheet={(row) => [setSheet(true), setHere(row)]}
            onLeaveSheet={() => opensSheet && (closeSheet(), true)}
            onCopied={setCopied}
            addressOf={(name) => withQuery(url, { plan: name, row: addressed })}
          />
        )}
        {opensSheet && (
          <RuleSheet
            course={course.key}
            version={course.draftVersion}
            plan={plan}
            names={names}
            shown={about}
            all={all}
            mayEdit={mayEdit}
            editing={editing?.what === 'word' ? editing.word : null}
            onEdit={(word) => setEditing({ what: 'word', word })}
            onEdited={leaveEditor}
            copied={copiedRow}
            onCopy={(row) => setCopied([row])}
            onPaste={(items) => copiedRow !== null && acts.paste(copiedRow, items)}
            onShow={(key) => [setPicked(NOTHING_PICKED), setHere(key)]}
            onClose={closeSheet}
          />
        )}
        {((sights === null && notices === null) || rows.length === 0) && (
          <footer className={css.rail}>
            <RulesFoot onColumns={() => setDialog('columns')} plan={plan} mayEdit={mayEdit} selected={picked.rows.size} copied={copied} onClear={() => setPicked(NOTHING_PICKED)} />
          </footer>
        )}
      </main>
      </FoldsProvider>
    </KeepShell>
  );
}
