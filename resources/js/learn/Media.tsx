import { lazy, Suspense, useState } from 'react';
import { clsx } from 'clsx';

import type { MediumCard, WatchCard } from '../lib/generated/types';
import { say } from '../lib/say';
import { Spoken } from './Spoken';
import css from './learn.module.css';

const VideoPlayer = lazy(() => import('./VideoPlayer'));

export interface MediaProps {
  media: MediumCard[];
  watch?: WatchCard | null;
  course: string;
  item: string;
}

/** What an item holds beside its text. */
export function Media({ media, watch = null, course, item }: MediaProps) {
  const files = media.filter(({ kind }) => kind === 'file');
  return (
    <>
      {media
        .filter(({ kind }) => kind !== 'file')
        .map((medium, nth) => (
          <Suspense key={medium.id} fallback={<div className={clsx(css.medium, css.player, css.waiting)}>{say('media.loading')}</div>}>
            <Medium medium={medium} watch={watch?.medium === medium.id ? watch : null} course={course} item={item} first={nth === 0} />
          </Suspense>
        ))}
      {files.length > 0 && (
        <section className={css.files} aria-label={say('media.download')}>
          <h2>{say('media.download')}</h2>
          <ul>
            {files.map(({ id, title, href, size }) => (
              <li key={id}>
                <a href={href} download>
                  {title}
                </a>{' '}
                <span>{size}</span>
              </li>
            ))}
          </ul>
        </section>
      )}
    </>
  );
}

function Medium({ medium, watch, course, item, first }: { medium: MediumCard; watch: WatchCard | null; course: string; item: string; first: boolean }) {
  if (medium.kind === 'video') {
    return <VideoPlayer medium={medium} watch={watch} course={course} item={item} />;
  }
  return (
    <figure className={css.medium}>
      {medium.kind === 'audio' ? (
        <Recording medium={medium} />
      ) : (
        <img src={medium.href} alt={medium.title} {...(medium.width === null || medium.height === null ? {} : { width: medium.width, height: medium.height })} {...(first ? {} : { loading: 'lazy' })} />
      )}
      <figcaption>{medium.title}</figcaption>
    </figure>
  );
}

function Recording({ medium }: { medium: MediumCard }) {
  const [audio, setAudio] = useState<HTMLAudioElement | null>(null);
  return (
    <>
      {/* What is said stands beneath it. */}
      {/* oxlint-disable-next-line jsx-a11y/media-has-caption */}
      <audio ref={setAudio} controls preload="metadata" src={medium.href} aria-label={medium.title} />
      <Spoken cues={medium.spoken} language={medium.language} video={audio} free />
    </>
  );
}
