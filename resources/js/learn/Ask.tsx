import { say, saying } from '../lib/say';
import css from './learn.module.css';

/** Whom to ask, where there is somebody. */
export function Ask({ name, email, as }: { name: string | null; email: string | null; as: 'course' | 'notice' }) {
  return name === null || email === null ? null : (
    <p className={css.askline}>
      {saying(as === 'course' ? 'course.ask' : 'notice.ask', {
        contact: (
          <a key="contact" href={`mailto:${email}`}>
            {say('notice.contact', { name })}
          </a>
        ),
      })}
    </p>
  );
}
