import { Link, router, useForm } from '@inertiajs/react';
import { Button, Menu, TextInput } from '@mantine/core';
import { clsx } from 'clsx';

import type { PeoplePage } from '../lib/generated/types';
import { say } from '../lib/keepSay';
import { to } from '../lib/route';
import css from './people.module.css';
import ui from '../ui/ui.module.css';

export function SavedFilters({ filter, segments }: Pick<PeoplePage, 'filter' | 'segments'>) {
  const form = useForm({ name: '', filter });
  return (
    <Menu width={280} position="bottom-end" withArrow closeOnItemClick={false}>
      <Menu.Target>
        <button type="button" className={clsx(ui.linklike, css.linklike, css.segments)}>
          {say('people.saved_filters.segments', { count: segments.length })}
        </button>
      </Menu.Target>
      <Menu.Dropdown>
        {segments.map((segment) => (
          <div key={segment.id} className={css.segment}>
            <Link href={`${to('keep.people.list')}?${segment.query}`}>{segment.name}</Link>
            <button type="button" className={clsx(ui.linklike, css.linklike)} aria-label={say('people.saved_filters.forget_name', { name: segment.name })} onClick={() => router.delete(to('keep.segments.forget', { segment: segment.id }), { preserveState: true, preserveScroll: true })}>
              {say('people.saved_filters.forget')}
            </button>
          </div>
        ))}
        {Object.keys(filter).length === 0 ? (
          <p className={clsx(ui.soft, css.segment)}>{say('people.saved_filters.filter_list_and_keep')}</p>
        ) : (
          <form
            className={css.segment}
            onSubmit={(event) => {
              event.preventDefault();
              form.transform((data) => ({ ...data, filter }));
              form.post(to('keep.segments.save'), { preserveState: true, preserveScroll: true, onSuccess: () => form.reset() });
            }}
          >
            <TextInput size="xs" aria-label={say('people.saved_filters.keep_this_filter_as')} placeholder={say('people.saved_filters.keep_this_filter_as')} maxLength={60} value={form.data.name} error={form.errors.name} onChange={(event) => form.setData('name', event.currentTarget.value)} />
            <Button size="xs" type="submit" variant="default" loading={form.processing}>
              {say('people.saved_filters.keep')}
            </Button>
          </form>
        )}
      </Menu.Dropdown>
    </Menu>
  );
}
