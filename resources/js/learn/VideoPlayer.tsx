import { router } from '@inertiajs/react';
import {
  MediaCaptionsButton,
  MediaControlBar,
  MediaController,
  MediaDurationDisplay,
  MediaFullscreenButton,
  MediaMuteButton,
  MediaPlayButton,
  MediaSeekBackwardButton,
  MediaTimeDisplay,
  MediaTimeRange,
} from 'media-chrome/react';
import { useState } from 'react';

import type { MediumCard, WatchCard } from '../lib/generated/types';
import { speakTheirLanguage } from './playerWords';
import { Spoken } from './Spoken';
import { useWatching } from './useWatching';
import { say, saying } from '../lib/say';
import css from './learn.module.css';

// Before any of its controls is there.
speakTheirLanguage();

/** The fastest is what the server believes in. */
const SPEEDS = [0.75, 1, 1.25, 1.5, 2];

export interface VideoPlayerProps {
  medium: MediumCard;
  /** Null: it may be played as one likes. */
  watch: WatchCard | null;
  course: string;
  item: string;
}

export default function VideoPlayer({ medium, watch, course, item }: VideoPlayerProps) {
  const [video, setVideo] = useState<HTMLVideoElement | null>(null);
  const { share, waits } = useWatching(video, watch, course, item);
  const [src, setSrc] = useState(medium.href);
  const [failed, setFailed] = useState<{ src: string; at: number } | null>(null);
  // Addresses do not hold for ever: a page that lay open for long gets another, and goes on where it was.
  if (failed?.src === src && medium.href !== src) {
    setSrc(medium.href);
  }
  const watches = watch !== null && !watch.finished;
  return (
    <figure className={css.medium}>
      {/* It names itself, in English, as soon as it is there. */}
      <MediaController className={css.player} ref={(player) => player?.setAttribute('aria-label', medium.title)}>
        {/* Where nothing is said in it, or nobody has written it down, there is no track. */}
        {/* oxlint-disable-next-line jsx-a11y/media-has-caption */}
        <video
          poster={medium.poster ?? undefined}
          slot="media"
          ref={setVideo}
          src={src}
          preload="metadata"
          playsInline
          aria-label={medium.title}
          onError={(event) => {
            setFailed({ src, at: event.currentTarget.currentTime });
            router.reload({ only: ['media'] });
          }}
          onLoadedMetadata={(event) => {
            if (failed !== null) {
              event.currentTarget.currentTime = failed.at;
            } else if (watches && watch.position > 0) {
              // On whatever device they were.
              event.currentTarget.currentTime = watch.position;
            }
          }}
        >
          {medium.captions !== null && <track kind="captions" src={medium.captions} srcLang={medium.language ?? undefined} label={say('media.spoken')} />}
        </video>
        <MediaControlBar>
          <MediaPlayButton />
          <MediaSeekBackwardButton seekOffset={10} />
          <MediaTimeDisplay noToggle />
          <MediaTimeRange />
          <MediaDurationDisplay />
          {/* It says whether it is on, which a button alone cannot. */}
          {medium.captions !== null && <MediaCaptionsButton ref={(button) => button?.setAttribute('role', 'switch')} />}
          <MediaMuteButton />
          <MediaFullscreenButton />
        </MediaControlBar>
      </MediaController>
      <figcaption>
        <span className={css.videoline}>
          {medium.title}
          <label>
            {saying('media.speed', {
              choice: (
                  <select
                    key="choice"
                    defaultValue="1"
                    onChange={(event) => {
                      const player = event.currentTarget.closest('figure')?.querySelector('video');
                      if (player) {
                        player.playbackRate = Number(event.currentTarget.value);
                      }
                    }}
                  >
                    {SPEEDS.map((speed) => (
                      <option key={speed} value={speed}>
                        {speed}
                      </option>
                    ))}
                  </select>
              ),
            })}
          </label>
        </span>
        {watches && (
          <span className={css.watched} role="status">
            {waits
              ? say('media.waits')
              : say('media.watched', { share: percent(share), needed: percent(watch.needed) })}
          </span>
        )}
      </figcaption>
      <Spoken cues={medium.spoken} language={medium.language} video={video} free={!watches} />
    </figure>
  );
}

/** Whole ones that are reached. */
function percent(share: number): number {
  return Math.floor(share * 100 + 1e-9);
}
