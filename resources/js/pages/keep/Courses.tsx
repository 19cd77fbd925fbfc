import { Link, useForm } from '@inertiajs/react';
import { Button, FileInput, Select, TextInput } from '@mantine/core';
import { useState } from 'react';

import type { CourseRow, CoursesPage } from '../../lib/generated/types';
import { say, saying } from '../../lib/keepSay';
import { ToldHead } from '../../ui/HeadHelp';
import { KeepShell } from '../../ui/KeepShell';
import { to } from '../../lib/route';
import { DialogForm } from '../../ui/DialogForm';
import ui from '../../ui/ui.module.css';

export default function Courses({ courses, mayEdit }: CoursesPage) {
  const [making, setMaking] = useState(false);
  return (
    <KeepShell title={say('courses.courses.courses')}>
      <main className={ui.plainpage}>
        <div className={ui.pagehead}>
          <h1>{say('courses.courses.courses')}</h1>
          {mayEdit && <Button onClick={() => setMaking(true)}>{say('courses.courses.new_course')}</Button>}
        </div>
        {making && <NewCourse courses={courses} onClose={() => setMaking(false)} />}
        {courses.length === 0 ? <NoCourses /> : <CourseTable courses={courses} />}
      </main>
    </KeepShell>
  );
}

function NoCourses() {
  return (
    <div className={ui.empty}>
      <p>
        {saying('courses.courses.what_it_is', { none: <b key="none">{say('courses.courses.no_course_yet')}</b> })}
      </p>
      <p>
        {saying('courses.courses.begin_with', { new: <i key="new">{say('courses.courses.new_course')}</i> })}
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
    <DialogForm title={say('courses.courses.new_course')} keep={fromFile ? say('courses.courses.read_the_file') : say('courses.courses.make_the_course')} busy={form.processing} onKeep={submit} onLeave={onClose}>
      {!fromFile && (
        <TextInput
          label={say('keep.title')}
          data-autofocus
          maxLength={255}
          value={form.data.title}
          error={form.errors.title}
          onChange={(event) => form.setData('title', event.currentTarget.value)}
        />
      )}
      <Select
        label={say('courses.courses.outline_and_rules')}
        data={[
          { value: '', label: say('courses.courses.from_nothing') },
          ...courses.map(({ key, title }) => ({ value: key, label: say('courses.courses.like_title', { title }) })),
          { value: FROM_FILE, label: say('courses.courses.from_a_plan_file') },
        ]}
        value={form.data.like}
        error={form.errors.like}
        allowDeselect={false}
        onChange={(like) => form.setData('like', like ?? '')}
      />
      {fromFile && (
        <FileInput
          label={say('courses.courses.plan_file_silent_keep')}
          accept=".json,application/json,.imscc,.zip,application/zip"
          placeholder={say('keep.choose_a_file')}
          classNames={{ error: ui.offences ?? '' }}
          value={form.data.plan}
          error={form.errors.plan}
          onChange={(plan) => form.setData('plan', plan)}
        />
      )}
      <p className={ui.soft}>{say(fromFile ? 'courses.courses.unseen_file' : 'courses.courses.unseen')}</p>
    </DialogForm>
  );
}

function CourseTable({ courses }: { courses: CourseRow[] }) {
  return (
    <table className={ui.list}>
      <thead>
        <tr>
          <th scope="col">{say('courses.courses.course')}</th>
          <th scope="col"><ToldHead title={say('courses.courses.state')} told={say('courses.told.state')} chapter="1-the-course-and-its-outline" /></th>
          <th scope="col"><ToldHead title={say('courses.courses.who_gets_in')} told={say('courses.told.who_gets_in')} chapter="1-the-course-and-its-outline" /></th>
          <th scope="col" className={ui.num}>
            <ToldHead title={say('courses.courses.lessons')} told={say('courses.told.lessons')} chapter="9-what-lessons-hold" />
          </th>
          <th scope="col" className={ui.num}>
            <ToldHead title={say('courses.courses.holders_now')} told={say('courses.told.holders_now')} chapter="7-people" />
          </th>
          <th scope="col"><ToldHead title={say('courses.courses.published')} told={say('courses.told.published')} chapter="5-rehearse-and-publish" /></th>
          <th scope="col"><ToldHead title={say('courses.courses.in_the_draft')} told={say('courses.told.in_the_draft')} chapter="5-rehearse-and-publish" /></th>
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
        <td className={ui['state-draft']}>{say('keep.not_live_yet')}</td>
      ) : (
        <td className={ui[`state-${course.state}`]}>{course.state}</td>
      )}
      <td>{course.entry}</td>
      <td className={ui.num}>{course.lessons}</td>
      <td className={ui.num}>{course.holders}</td>
      <td>{course.revision === null ? say('courses.courses.not_yet') : say('courses.courses.revision', { number: course.revision, when: course.publishedAt ?? '' })}</td>
      <td>
        {course.changes === 0 ? '' : <b>{say('courses.courses.changes', { count: course.changes })}</b>}
        {course.goesLive !== null && <span className={ui.soft}>{say('courses.courses.goes_live', { when: course.goesLive })}</span>}
        {course.notPublished && <span className={ui.takes}>{say('courses.courses.did_not')}</span>}
      </td>
    </tr>
  );
}
