import { Link } from '@inertiajs/react';

import { keepAddress } from '../../lib/address';
import type { CourseRow, CoursesPage } from '../../lib/types';
import { counted } from '../../lib/words';
import { KeepShell } from '../../ui/KeepShell';

export default function Courses({ courses }: CoursesPage) {
  return (
    <KeepShell title="Courses">
      <main className="plainpage">
        <h1>Courses</h1>
        {courses.length === 0 ? <NoCourses /> : <CourseTable courses={courses} />}
      </main>
    </KeepShell>
  );
}

function NoCourses() {
  return (
    <div className="empty">
      <p>
        <b>No course yet.</b> A course is an outline of modules and lessons with rules for who sees what, and when.
      </p>
      <p>
        Bring one in from a plan file: <code>php artisan keep:import-plan FILE</code>
      </p>
    </div>
  );
}

function CourseTable({ courses }: CoursesPage) {
  return (
    <table className="list">
      <thead>
        <tr>
          <th scope="col">Course</th>
          <th scope="col">State</th>
          <th scope="col">Who gets in</th>
          <th scope="col" className="num">
            Lessons
          </th>
          <th scope="col" className="num">
            Holders now
          </th>
          <th scope="col">Published</th>
          <th scope="col">In the draft</th>
        </tr>
      </thead>
      <tbody>
        {courses.map((course) => (
          <Row key={course.key} course={course} />
        ))}
      </tbody>
    </table>
  );
}

function Row({ course }: { course: CourseRow }) {
  return (
    <tr>
      <th scope="row">
        <Link href={keepAddress(course.key)}>{course.title}</Link>
      </th>
      <td className={`state-${course.state}`}>{course.state}</td>
      <td>{course.entry}</td>
      <td className="num">{course.lessons}</td>
      <td className="num">{course.holders}</td>
      <td>{course.revision === null ? 'not yet' : `revision ${course.revision}, ${course.publishedAt}`}</td>
      <td>{course.changes === 0 ? '' : <b>{counted(course.changes, 'change')}</b>}</td>
    </tr>
  );
}
