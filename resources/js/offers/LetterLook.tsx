import type { SentLetter } from '../lib/generated/types';
import { say } from '../lib/keepSay';
import { linked } from '../lib/linked';
import css from './offers.module.css';

/** A letter as a mail program shows it: who it is from and to, paragraphs, and addresses that can be followed. */
export function LetterLook({ letter }: { letter: SentLetter }) {
  return (
    <div className={css.look}>
      <dl>
        <dt>{say('outbox.mail.from')}</dt>
        <dd>{letter.from}</dd>
        <dt>{say('outbox.mail.addressee')}</dt>
        <dd>{letter.to}</dd>
        <dt>{say('outbox.mail.subject')}</dt>
        <dd>
          <b>{letter.subject}</b>
        </dd>
      </dl>
      {letter.body
        .trim()
        .split(/\n{2,}/)
        .map((paragraph, index) => ({ paragraph, key: `${index} ${paragraph.slice(0, 20)}` }))
        .map(({ paragraph, key }) => (
          <p key={key}>
            {linked(paragraph).map(({ at, text, address }) =>
              address === null ? (
                text
              ) : (
                <a key={at} href={address} target="_blank" rel="noreferrer noopener">
                  {text}
                </a>
              ),
            )}
          </p>
        ))}
    </div>
  );
}
