import { act, cleanup, fireEvent, render, screen } from '@testing-library/react';
import { router } from '@inertiajs/react';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';

import type { PeopleFileRow } from '../lib/generated/types';
import { PeopleFiles } from './PeopleFiles';

const MAKING: PeopleFileRow = { id: 7, query: 'find=alder', state: 'making', made: 0, of: 12000, bytes: 90, when: 'Tue 10 Mar, 13:00' };

function answering(...answers: (PeopleFileRow[] | null)[]) {
  const asked = vi.fn<(address: string) => Promise<unknown>>(() => {
    const body = answers.shift() ?? null;
    return Promise.resolve({ status: body === null ? 503 : 200, ok: body !== null, json: () => Promise.resolve(body) });
  });
  vi.stubGlobal('fetch', asked);
  return asked;
}

const aMoment = () => act(() => vi.advanceTimersByTimeAsync(1000));

describe('the files one has had made of people', () => {
  beforeEach(() => void vi.useFakeTimers());
  afterEach(() => {
    cleanup();
    vi.useRealTimers();
    vi.unstubAllGlobals();
  });

  it('are followed while they are made, and had when they are there', async () => {
    const asked = answering([{ ...MAKING, made: 5000 }], null, [{ ...MAKING, state: 'ready', made: 12000, bytes: 2_345_678 }]);
    render(<PeopleFiles files={[MAKING]} />);
    expect(screen.getByText('waits for its turn since Tue 10 Mar, 13:00')).toBeTruthy();
    expect(screen.queryByText(/Download/)).toBeNull();
    await aMoment();
    expect(screen.getByText('5,000 of 12,000 are in it')).toBeTruthy();
    expect(screen.getByRole('progressbar').getAttribute('value')).toBe('5000');
    // The server cannot be reached for a moment.
    await aMoment();
    expect(screen.getByText('5,000 of 12,000 are in it')).toBeTruthy();
    await aMoment();
    expect(screen.getByText('Download (2.3 MB)').getAttribute('href')).toBe('/keep/people/files/7.csv');
    expect(screen.queryByRole('progressbar')).toBeNull();
    await aMoment();
    expect(asked).toHaveBeenCalledTimes(3);
  });

  it('that came to nothing are had made anew', () => {
    const post = vi.spyOn(router, 'post').mockImplementation(() => undefined);
    const asked = answering();
    render(<PeopleFiles files={[{ ...MAKING, state: 'gone' }]} />);
    expect(screen.getByText(/somebody has been erased since/)).toBeTruthy();
    fireEvent.click(screen.getByText('Have it made anew'));
    expect(post.mock.calls[0]?.[0]).toBe('/keep/people/files?find=alder');
    expect(asked).not.toHaveBeenCalled();
  });

  it('are those that the page was given last', () => {
    answering();
    const { rerender, container } = render(<PeopleFiles files={[{ ...MAKING, state: 'ready', bytes: 950 }]} />);
    expect(screen.getByText('Download (1 kB)')).toBeTruthy();
    rerender(<PeopleFiles files={[]} />);
    expect(container.textContent).toBe('');
  });
});
