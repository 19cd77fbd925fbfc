import { beforeEach, describe, expect, it, vi } from 'vitest';

import { frontier, kept, Played, statement } from './watching';

const newReport = () => statement('played', { id: 's', actor: 'a', address: '/' }, [[0, 1]], 1, 2);

describe('what was played', () => {
  it('is one stretch as long as it goes on', () => {
    const played = new Played();
    [0, 1, 2.5].forEach((at) => played.moved(at));
    expect(played.segments).toEqual([[0, 2.5]]);
  });

  it('leaves out what was jumped over', () => {
    const played = new Played();
    [0, 1].forEach((at) => played.moved(at));
    played.left();
    [10, 11].forEach((at) => played.moved(at));
    expect(played.segments).toEqual([
      [0, 1],
      [10, 11],
    ]);
  });

  it('counts what is played again as played again', () => {
    const played = new Played();
    [0, 5].forEach((at) => played.moved(at));
    played.left();
    [2, 3].forEach((at) => played.moved(at));
    expect(played.segments).toEqual([
      [0, 5],
      [2, 3],
    ]);
  });

  it('is nothing where it goes back without saying so', () => {
    const played = new Played();
    [5, 3, 4].forEach((at) => played.moved(at));
    expect(played.segments).toEqual([[3, 4]]);
  });
});

describe('how far one may go', () => {
  it.each([
    ['nothing was watched', [], 0],
    ['from the beginning', [[0, 5]], 5],
    ['in any order', [[4, 9], [0, 5]], 9],
    ['a gap is not gone over', [[0, 5], [6, 9]], 5],
    ['but a few hundredths are', [[0, 5], [5.4, 9]], 9],
    ['what lies inside takes nothing away', [[0, 9], [2, 3]], 9],
    ['the beginning was left out', [[3, 9]], 0],
  ])('%s', (_what, watched, until) => {
    expect(frontier(watched)).toBe(until);
  });
});

describe('a report', () => {
  it('says its stretches as the video profile has them', () => {
    const report = statement('paused', { id: 'sitting', actor: 'somebody', address: '/courses/clinker/l-steam' }, [[0, 1.23456], [4, 5]], 5.00049, 12);
    expect(report.result.extensions['https://w3id.org/xapi/video/extensions/played-segments']).toBe('0[.]1.235[,]4[.]5');
    expect(report.result.extensions['https://w3id.org/xapi/video/extensions/time']).toBe(5);
    expect(report.object.id).toBe(`${window.location.origin}/courses/clinker/l-steam`);
    expect(report.context.extensions['https://w3id.org/xapi/video/extensions/session-id']).toBe('sitting');
  });
});

describe('what waits to be sent', () => {
  beforeEach(() => localStorage.clear());

  it('is the latest of each sitting', () => {
    kept.put('key', 'one', newReport());
    const later = newReport();
    kept.put('key', 'one', later);
    kept.put('key', 'two', newReport());
    kept.put('other', 'one', newReport());
    expect(kept.all('key')).toHaveLength(2);
    expect(kept.all('key').map(({ id }) => id)).toContain(later.id);
  });

  it('goes once it has arrived, unless it has been said anew meanwhile', () => {
    const first = newReport();
    kept.put('key', 'one', first);
    kept.put('key', 'one', newReport());
    kept.drop('key', [first.id]);
    expect(kept.all('key')).toHaveLength(1);
    kept.drop('key', kept.all('key').map(({ id }) => id));
    expect(kept.all('key')).toHaveLength(0);
  });

  it('does not trip over what somebody else put there', () => {
    localStorage.setItem('watched key one', '{');
    kept.put('key', 'two', newReport());
    expect(kept.all('key')).toHaveLength(1);
    expect(localStorage.getItem('watched key one')).toBeNull();
    kept.clear('key');
    expect(kept.all('key')).toHaveLength(0);
  });

  it('is lost without a word where nothing may be kept', () => {
    const full = vi.spyOn(Storage.prototype, 'setItem').mockImplementation(() => {
      throw new DOMException('full', 'QuotaExceededError');
    });
    expect(() => kept.put('key', 'one', newReport())).not.toThrow();
    full.mockRestore();
  });
});
