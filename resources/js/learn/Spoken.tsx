import type { Cue } from '../lib/generated/types';
import { say } from '../lib/say';
import css from './learn.module.css';
import ui from '../ui/ui.module.css';

export interface SpokenProps {
  cues: Cue[];
  language: string | null;
  video: HTMLMediaElement | null;
  /** It may be played from anywhere. */
  free: boolean;
}

/** What is said in a film, beside it; a time leads there, where one may go there. */
export function Spoken({ cues, language, video, free }: SpokenProps) {
  if (cues.length === 0) {
    return null;
  }
  return (
    <details className={css.spoken}>
      <summary>{say('media.spoken')}</summary>
      <ol lang={language ?? undefined}>
        {cues.map(({ at, words }) => (
          <li key={at}>
            {free && video !== null ? (
              <button
                type="button"
                className={ui.linklike}
                aria-label={say('media.from', { time: clock(at) })}
                onClick={() => {
                  video.currentTime = at;
                  void video.play();
                }}
              >
                {clock(at)}
              </button>
            ) : (
              <span>{clock(at)}</span>
            )}
            <p>{words}</p>
          </li>
        ))}
      </ol>
    </details>
  );
}

function two(number: number): string {
  return String(number).padStart(2, '0');
}

/** `1:05`, `1:02:05` */
function clock(seconds: number): string {
  const [hours, minutes, rest] = [Math.floor(seconds / 3600), Math.floor(seconds / 60) % 60, Math.floor(seconds) % 60];
  return hours > 0 ? `${hours}:${two(minutes)}:${two(rest)}` : `${minutes}:${two(rest)}`;
}
