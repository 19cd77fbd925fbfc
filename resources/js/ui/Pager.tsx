import { Link } from '@inertiajs/react';

import { say } from '../lib/keepSay';
import ui from './ui.module.css';

/** The pages of a long list; nothing where there is one. */
export function Pager({ page, pages, address }: { page: number; pages: number; address: (page: number) => string }) {
  return pages > 1 ? (
    <nav className={ui.pages} aria-label={say('keep.pages')}>
      {page > 1 && <Link href={address(page - 1)}>{say('keep.before')}</Link>}
      <span>{say('keep.page', { page, pages })}</span>
      {page < pages && <Link href={address(page + 1)}>{say('keep.next')}</Link>}
    </nav>
  ) : null;
}
