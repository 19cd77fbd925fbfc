import { Link, useForm } from '@inertiajs/react';
import { Button, FileInput, Select, TextInput } from '@mantine/core';
import { useState } from 'react';

import type { CourseRow, CoursesPage } from '../../lib/generated/types';
import { counted } from '../../lib/words';
import { KeepShell } from '../../ui/KeepShell';
import { to } from '../../lib/route';
import { DialogForm } from '../../ui/DialogForm';

export default function Courses({ courses, mayEdit }: CoursesPage) {
  const [making, setMaking] = useState(false);
  return (
    <KeepShell title="Courses">
      <main className="plainpage">
        <div className="pagehead">
          <h1>Courses</h1>
          {mayEdit && <Button onClick={() => setMaking(true)}>New course</Button>}
        </div>
        {making && <NewCourse courses={courses} onClose={() => setMaking(false)} />}
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
        Begin with <i>New course</i>: from nothing, or from a plan file.
      </p>
    </div>
  );
}

const FROM_FILE = '/file';

function NewCourse({ courses, onClose }: { courses: CourseRow[]; onClose: () => void }) {
  const form = useForm({ title: '', like: '', plan: null as File | null });
  const fromFile = form.data.like === FROM_FILE;
  const submit = () => {
    form.transform((data) => (fromFile ? { plan: data.plan } : { title: data.title, like: data.like }));
    form.post(fromFile ? to('keep.courses.from-file') : to('keep.courses'));
  };
  return (
    <DialogForm title="New course" keep={fromFile ? 'Read the file' : 'Make the course'} busy={form.processing} onKeep={submit} onLeave={onClose}>
      {!fromFile && (
        <TextInput
          label="Title"
          data-autofocus
          maxLength={255}
          value={form.data.title}
          error={form.errors.title}
          onChange={(event) => form.setData('title', event.currentTarget.value)}
        />
      )}
      <Select
        label="Outline and rules"
        data={[
          { value: '', label: 'From nothing' },
          ...courses.map(({ key, title }) => ({ value: key, label: `Like ${title}` })),
          { value: FROM_FILE, label: 'From a plan file' },
        ]}
        value={form.data.like}
        error={form.errors.like}
        allowDeselect={false}
        onChange={(like) => form.setData('like', like ?? '')}
      />
      {fromFile && (
        <FileInput
          label="Plan file (silent-keep.plan/1, JSON)"
          accept=".json,application/json"
          placeholder="Choose a file"
          classNames={{ error: 'offences' }}
          value={form.data.plan}
          error={form.errors.plan}
          onChange={(plan) => form.setData('plan', plan)}
        />
      )}
      <p className="soft">{fromFile ? 'All the courses in the file, or none. ' : ''}Nobody sees it before it is published.</p>
    </DialogForm>
  );
}

function CourseTable({ courses }: { courses: CourseRow[] }) {
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
        <Link href={to('keep.course', { course: course.key })}>{course.title}</Link>
      </th>
      {course.revision === null ? (
        <td className="state-draft">not live yet</td>
      ) : (
        <td className={`state-${course.state}`}>{course.state}</td>
      )}
      <td>{course.entry}</td>
      <td className="num">{course.lessons}</td>
      <td className="num">{course.holders}</td>
      <td>{course.revision === null ? 'not yet' : `revision ${course.revision}, ${course.publishedAt}`}</td>
      <td>
        {course.changes === 0 ? '' : <b>{counted(course.changes, 'change')}</b>}
        {course.goesLive !== null && <span className="soft">, live {course.goesLive}</span>}
        {course.notPublished && <span className="takes">, did not go live</span>}
      </td>
    </tr>
  );
}
