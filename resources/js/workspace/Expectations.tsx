import { Link } from '@inertiajs/react';
import { Modal } from '@mantine/core';
import { useMemo, useState } from 'react';
import { clsx } from 'clsx';

import { withQuery } from '../lib/address';
import type { Expected, RulesVersion, WorkspacePage } from '../lib/generated/types';
import { say } from '../lib/keepSay';
import { to } from '../lib/route';
import { useAsked } from '../lib/useAsked';
import { plainText } from '../lib/words';
import { FocusBack } from '../ui/FocusBack';
import { ExpectedLine } from './sheet/Keeping';
import css from './workspace.module.css';
import ui from '../ui/ui.module.css';

/** What is expected of the course, by the rules that are looked at, as of now; what was told before stays until it is told anew. */
export function useExpected({ course, expectations }: WorkspacePage, see: RulesVersion): Expected[] {
  const address = expectations === null ? null : withQuery(to('keep.expectations', { course: course.key }), { see: see === 'published' ? see : null, of: `${course.revision ?? 0}.${course.draftVersion}.${expectations}` });
  const { answer, last } = useAsked<Expected[]>(address, undefined, 0);
  const told = expectations === null ? null : (answer ?? last);
  return useMemo(() => told ?? [], [told]);
}

/** What is not as it is expected, in words. */
export function insteadOf(one: Expected): string {
  return `${plainText(one.words)}. ${one.instead === null ? '' : plainText(one.instead)}`;
}

/** How many of the expectations are kept; they are all told when it is pressed. */
export function ExpectedNote({ course, expected, see, mayEdit }: { course: string; expected: Expected[]; see: RulesVersion; mayEdit: boolean }) {
  const [shown, setShown] = useState(false);
  const broken = expected.filter(({ kept }) => !kept);
  return expected.length === 0 ? null : (
    <>
      <button type="button" className={clsx(ui.linklike, css.linklike, broken.length > 0 && css.unkept)} aria-haspopup="dialog" onClick={() => setShown(true)}>
        {broken.length === 0 ? say('publishing.expected.all_kept', { count: expected.length }) : say('publishing.expected.not_kept', { broken: broken.length, count: expected.length })}
      </button>
      {shown && <ExpectedDialog course={course} expected={[...broken, ...expected.filter(({ kept }) => kept)]} see={see} mayEdit={mayEdit} onClose={() => setShown(false)} />}
    </>
  );
}

function ExpectedDialog({ course, expected, see, mayEdit, onClose }: { course: string; expected: Expected[]; see: RulesVersion; mayEdit: boolean; onClose: () => void }) {
  return (
    <Modal opened onClose={onClose} title={say('workspace.expected.title')} size={620}>
      <FocusBack />
      <p className={ui.soft}>{say(see === 'published' ? 'workspace.expected.as_published' : 'workspace.expected.with_the_changes')}</p>
      <ul className={ui.vains}>
        {expected.map((one) => (
          <ExpectedLine key={one.id} course={course} expected={one} mayEdit={mayEdit}>
            <Link href={withQuery(window.location.pathname + window.location.search, { lens: 'sightlines', row: one.item, who: one.vantage, see: see === 'published' ? see : null, at: null })} onClick={onClose}>
              {say('workspace.expected.show')}
            </Link>
          </ExpectedLine>
        ))}
      </ul>
    </Modal>
  );
}
