import { NumberInput } from '@mantine/core';
import { useState } from 'react';

import { Arch } from '../glyphs/Arch';
import type { Sight, SightlinesGrid, Vantage } from '../lib/types';
import type { GridColumn } from '../ui/Grid';

const LAST_DAY = 3660;

export function sightlineColumns(grid: SightlinesGrid, onDay: (offer: string, day: number) => void): GridColumn[] {
  return grid.vantages.map((vantage) => ({ id: vantage.id, width: 163, head: <VantageHead vantage={vantage} onDay={onDay} /> }));
}

function VantageHead({ vantage, onDay }: { vantage: Vantage; onDay: (offer: string, day: number) => void }) {
  const { offer, day } = vantage;
  return (
    <div className="v">
      <b title={vantage.title}>{vantage.title}</b>
      {offer !== null && day !== null ? (
        <>
          <div className="vday">
            <Day key={day} day={day} title={vantage.title} onDay={(to) => onDay(offer, to)} />
            <span>{vantage.detail}</span>
          </div>
          <span>nothing finished</span>
        </>
      ) : (
        <span>{vantage.detail}</span>
      )}
    </div>
  );
}

function Day({ day, title, onDay }: { day: number; title: string; onDay: (day: number) => void }) {
  const [typed, setTyped] = useState<number | string>(day);
  const settle = () => {
    const to = Number(typed);
    if (typed !== '' && Number.isInteger(to) && to >= 0 && to <= LAST_DAY && to !== day) {
      onDay(to);
    } else {
      setTyped(day);
    }
  };
  return (
    <div className="day">
      <span aria-hidden>day</span>
      <NumberInput
        aria-label={`Day of ${title}`}
        size="xs"
        variant="unstyled"
        hideControls
        min={0}
        max={LAST_DAY}
        allowDecimal={false}
        value={typed}
        onChange={setTyped}
        onBlur={settle}
        onKeyDown={(event) => {
          if (event.key === 'Enter') {
            settle();
          }
        }}
      />
    </div>
  );
}

export function SightCell({ sight }: { sight: Sight | undefined }) {
  if (sight === undefined) {
    return null;
  }
  return (
    <div className="c" data-glyph={sight.glyph} title={sight.why.join(', ')}>
      <Arch glyph={sight.glyph} look={sight.look} />
      {sight.word !== null && <span className={sight.later ? 'w later' : 'w'}>{sight.word}</span>}
      {sight.count !== null && <span className={sight.count.startsWith('0 ') ? 'n none' : 'n'}>{sight.count}</span>}
    </div>
  );
}
