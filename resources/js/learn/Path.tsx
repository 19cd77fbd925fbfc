import { Link } from '@inertiajs/react';
import { clsx } from 'clsx';

import { Arch } from '../ui/Arch';
import { useLearnerAddress } from '../lib/page';
import type { CourseFrame, ModuleIntro, PathRow } from '../lib/generated/types';
import { say } from '../lib/say';
import { Words } from '../ui/Words';
import { Cover } from '../front/Cover';
import { Prose } from './Prose';
import css from './learn.module.css';

/** Modules and lessons of a course as its learner meets them, boards left out. */
export function Path({ course, modules }: { course: CourseFrame; modules: ModuleIntro[] }) {
  return (
    <ol className={css.path}>
      {course.path
        .filter((row) => row.kind !== 'board')
        .map((row) => (
          <li key={row.key} className={css[row.kind]} id={row.key} style={{ marginLeft: Math.max(0, row.depth - 1) * 30 }}>
            {row.kind === 'module' ? <ModuleLine row={row} intro={modules.find(({ key }) => key === row.key)} /> : <LessonLine course={course.key} row={row} />}
          </li>
        ))}
    </ol>
  );
}

function ModuleLine({ row, intro }: { row: PathRow; intro: ModuleIntro | undefined }) {
  return (
    <>
      <h2>
        {row.title}
        {row.optional && <span className={css.opt}>{say('optional')}</span>}
        <span className={clsx(row.later && css.later)}>
          <Words segments={row.status.segments} />
        </span>
      </h2>
      {intro !== undefined && intro.cover !== null && <Cover cover={intro.cover} className={css.modulecover} sizes="(max-width: 860px) 100vw, 720px" />}
      {intro !== undefined && intro.html !== '' && (
        <div className={css.moduletext}>
          <Prose html={intro.html} />
        </div>
      )}
    </>
  );
}

/** A lesson or part with its state, as a line. */
export function LessonLine({ course, row }: { course: string; row: PathRow }) {
  const address = useLearnerAddress();
  const tone = clsx(css.st, row.later ? css.later : row.finished && css.did);
  return (
    <div className={clsx(css.les, !(row.open) && css.shut)}>
      <Arch glyph={row.glyph} look={row.look} size={20} />
      <Link className={css.name} href={address(course, row.key)}>
        {row.title}
      </Link>
      {row.optional && !row.finished && <span className={css.opt}>{say('optional')}</span>}
      <span className={tone}>
        <Words segments={row.status.segments} />
      </span>
    </div>
  );
}
