import { afterEach, expect, test, vi } from 'vitest';

import { door } from '../../../docs/interface/may-read';
import { SilentKeep, SilentKeepProblem } from '../../api/client';

const answered = (body: unknown, status = 200): Response => new Response(status === 204 ? null : JSON.stringify(body), { status });
const decision = (state: string, keptFor: number): unknown => ({ course: 'clinker', at: '', person: 3, holds_until: null, kept_for: keptFor, items: [{ item: 'l-planes', state, via: null, act: false, why: [], next: null, words: null }] });

afterEach(() => {
  vi.unstubAllGlobals();
  vi.useRealTimers();
});

function fetching(...answers: Response[]): ReturnType<typeof vi.fn> {
  const fetched = vi.fn(() => Promise.resolve(answers.shift() ?? answered({}, 500)));
  vi.stubGlobal('fetch', fetched);
  return fetched;
}

test('the example asks once for as long as the answer may be kept', async () => {
  vi.useFakeTimers({ now: 1_000_000 });
  const fetched = fetching(answered(decision('open', 60)), answered(decision('locked', 60)));
  const may = door('https://keep.example/', '7|keep_abc');

  expect(await may('eira@alder.test')).toBe('Come in.');
  vi.setSystemTime(1_059_999);
  expect(await may('eira@alder.test')).toBe('Come in.');
  expect(fetched).toHaveBeenCalledTimes(1);
  expect(fetched.mock.calls[0]).toEqual([
    'https://keep.example/api/v1/decisions?course=clinker&item=l-planes&email=eira%40alder.test',
    { method: 'GET', headers: { Authorization: 'Bearer 7|keep_abc', Accept: 'application/json' } },
  ]);
  vi.setSystemTime(1_060_001);
  expect(await may('eira@alder.test')).toBe('Not yet.');
});

test('what is sent is JSON, and what stands in an address stays one part of it', async () => {
  const fetched = fetching(answered({ id: 1, told: 'Give', touched: 1 }, 201), answered({}, 200));
  const keep = new SilentKeep('https://keep.example', 't');
  await keep.peopleAct({ do: 'label', people: [3], label: 'spring' }, { idempotencyKey: 'a' });
  await keep.coursesOne('a/b?c');

  expect(fetched.mock.calls[0]?.[1]).toMatchObject({ method: 'POST', body: '{"do":"label","people":[3],"label":"spring"}', headers: { 'Content-Type': 'application/json', 'Idempotency-Key': 'a' } });
  expect(fetched.mock.calls[1]?.[0]).toBe('https://keep.example/api/v1/courses/a%2Fb%3Fc');
});

test('what is refused is thrown with what is wrong', async () => {
  fetching(answered({ type: 'x', title: 'Something in it is not as it should be.', status: 422, parameter: 'course' }, 422), new Response('<html>', { status: 502 }));
  const keep = new SilentKeep('https://keep.example', 't');

  await expect(keep.decisionsOne('nothing')).rejects.toMatchObject({ status: 422, problem: { parameter: 'course' } });
  await expect(keep.decisionsOne('nothing')).rejects.toThrow(new SilentKeepProblem(502, {}));
});
