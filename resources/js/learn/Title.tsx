import { Head, usePage } from '@inertiajs/react';

import type { Shared } from '../lib/page';

/** What stands over the window: the page, and the school whose it is. Errors come before anybody knows which school. */
export function Title({ of }: { of: string }) {
  const school = usePage<Partial<Shared>>().props.school?.name ?? '';
  return <Head title={of === '' || school === '' ? of || school : `${of} · ${school}`} />;
}
