import { Slider } from '@mantine/core';
import { clsx } from 'clsx';
import type { MouseEvent } from 'react';

import { withQuery } from '../lib/address';
import type { ShownPicture } from '../lib/generated/types';
import { say } from '../lib/keepSay';
import { to } from '../lib/route';
import { useAsked } from '../lib/useAsked';
import { PicturePick } from '../notices/PicturePick';
import css from './contents.module.css';
import ui from '../ui/ui.module.css';

export interface Cut {
  /** What stands for the picture; empty: none is chosen. */
  token: string;
  /** What is kept in view, in per cent from the left and from the top. */
  x: number;
  y: number;
}

/** How far along something is, in per cent. */
function share(at: number, from: number, size: number): number {
  return Math.round((100 * (at - from)) / size);
}

interface Props {
  cut: Cut;
  label: string;
  error: string | undefined;
  disabled: boolean;
  /** It stands beneath a heading, as a strip; else on a card. */
  strip?: boolean;
  onCut: (cut: Cut) => void;
}

/** A picture, and what of it is kept in view where it is cut to a frame. */
export function CoverPick({ cut, label, error, disabled, strip = false, onCut }: Props) {
  // Asked again once another one is picked: it may be new.
  const { last: pictures } = useAsked<ShownPicture[]>(cut.token === '' ? null : withQuery(to('keep.pictures'), { with: cut.token }), undefined, 0);
  const picture = pictures?.find((one) => one.token === cut.token);
  const point = (event: MouseEvent<HTMLImageElement>) => {
    const frame = event.currentTarget.getBoundingClientRect();
    onCut({ ...cut, x: share(event.clientX, frame.left, frame.width), y: share(event.clientY, frame.top, frame.height) });
  };
  return (
    <div className={css.cut}>
      <PicturePick token={cut.token} label={label} error={error} disabled={disabled} onPick={(token) => onCut({ token, x: 50, y: 50 })} />
      {cut.token !== '' && !disabled && (
        <button type="button" className={ui.linklike} onClick={() => onCut({ ...cut, token: '' })}>
          {say('contents.face.no_picture')}
        </button>
      )}
      {picture !== undefined && !disabled && (
        <>
          <p>{say('contents.face.focus')}</p>
          <div className={css.focus}>
            {/* What the mouse points at, the sliders move by keys. */}
            {/* oxlint-disable-next-line jsx-a11y/click-events-have-key-events, jsx-a11y/no-noninteractive-element-interactions */}
            <img src={picture.address} srcSet={picture.sources} sizes="320px" alt={picture.title} onClick={point} />
            <i style={{ left: `${cut.x}%`, top: `${cut.y}%` }} />
          </div>
          <div className={css.cutby}>
            <label>
              {say('contents.face.focus_x')}
              <Slider thumbLabel={say('contents.face.focus_x')} value={cut.x} onChange={(x) => onCut({ ...cut, x })} />
            </label>
            <label>
              {say('contents.face.focus_y')}
              <Slider thumbLabel={say('contents.face.focus_y')} value={cut.y} onChange={(y) => onCut({ ...cut, y })} />
            </label>
          </div>
          <p>{say(strip ? 'contents.face.as_strip' : 'contents.face.as_cut')}</p>
          <img className={clsx(css.ascut, strip && css.strip)} src={picture.address} srcSet={picture.sources} sizes="320px" alt="" style={{ objectPosition: `${cut.x}% ${cut.y}%` }} />
        </>
      )}
    </div>
  );
}
