import { useForm } from '@inertiajs/react';
import { Button, Modal, TextInput } from '@mantine/core';
import { type FormEvent, useState } from 'react';

import { keepAddress } from '../lib/address';
import type { CourseHead, Sentence } from '../lib/types';
import { counted, plainText } from '../lib/words';
import { Words } from './Words';

export interface ReviewChangesProps {
  course: CourseHead;
  changes: Sentence[];
}

/** The button that says how much waits in the draft, and what publishing it would do. */
export function ReviewChanges({ course, changes }: ReviewChangesProps) {
  const [opened, setOpened] = useState(false);
  const [discarding, setDiscarding] = useState(false);
  const form = useForm({ version: course.draftVersion, note: '' });
  if (changes.length === 0) {
    return null;
  }
  const publish = (event: FormEvent) => {
    event.preventDefault();
    form.transform((data) => ({ ...data, version: course.draftVersion }));
    form.post(keepAddress(course.key, '/revisions'), { preserveScroll: true, onFinish: () => setOpened(false) });
  };
  const discard = () => {
    form.transform(() => ({ version: course.draftVersion, note: '' }));
    form.delete(keepAddress(course.key, '/draft'), {
      preserveScroll: true,
      onFinish: () => {
        setOpened(false);
        setDiscarding(false);
      },
    });
  };
  const count = counted(changes.length, 'change');
  return (
    <>
      <Button size="compact-md" h={30} onClick={() => setOpened(true)}>
        Review {counted(changes.length, 'unpublished change')}
      </Button>
      <Modal opened={opened} onClose={() => setOpened(false)} title={`Publish ${count} to ${course.title}?`} size="lg">
        <form onSubmit={publish} className="review">
          <p>From the moment of publishing every learner meets the course so:</p>
          <ol>
            {changes.map((change) => (
              <li key={plainText(change)}>
                <Words segments={change.segments} />
              </li>
            ))}
          </ol>
          <TextInput
            label="Note for the history (may be left empty)"
            maxLength={255}
            value={form.data.note}
            error={form.errors.note}
            onChange={(event) => form.setData('note', event.currentTarget.value)}
          />
          <div className="review-acts">
            {discarding ? (
              <>
                <span>All {count} would be lost.</span>
                <Button type="button" variant="outline" color="red" onClick={discard} loading={form.processing}>
                  Throw {changes.length === 1 ? 'it' : `all ${changes.length}`} away
                </Button>
                <Button type="button" variant="default" onClick={() => setDiscarding(false)}>
                  Keep the draft
                </Button>
              </>
            ) : (
              <>
                <Button type="button" variant="subtle" color="gray" onClick={() => setDiscarding(true)}>
                  Discard the draft…
                </Button>
                <Button type="button" variant="default" onClick={() => setOpened(false)}>
                  Not yet
                </Button>
                <Button type="submit" loading={form.processing} data-autofocus>
                  Publish {count}
                </Button>
              </>
            )}
          </div>
        </form>
      </Modal>
    </>
  );
}
