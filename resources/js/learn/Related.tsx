
import { useShared } from '../lib/page';
import type { RelatedCard } from '../lib/generated/types';
import { say } from '../lib/say';
import { Picture } from '../ui/Picture';
import { Button, ButtonLink } from '../ui/Plain';
import { Prose } from './Prose';
import css from './learn.module.css';

/** Another course, for whoever does not have it and may take it. */
export function Related({ related }: { related: RelatedCard | null }) {
  const { standIn } = useShared();
  if (related === null) {
    return null;
  }
  const { title, heading, html, button, href, offer, price, several, picture } = related;
  return (
    <aside className={css.related} aria-label={say('related.title', { title })}>
      {picture !== null && <Picture picture={picture} sizes="(max-width: 760px) 100vw, 260px" />}
      <div>
        <h2>{heading}</h2>
        <Prose html={html} />
        <p className={css.relatedprice}>{say(several ? 'related.from' : 'related.for', { title, offer, price })}</p>
        {standIn === undefined ? (
          <ButtonLink href={href}>{button}</ButtonLink>
        ) : (
          <Button disabled>{button}</Button>
        )}
      </div>
    </aside>
  );
}
