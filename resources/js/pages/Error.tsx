import { Head, Link } from '@inertiajs/react';

import { Arch } from '../glyphs/Arch';
import { useShared } from '../lib/page';

const WORDS: Record<number, [string, string]> = {
  403: ['This is not yours to do', 'You are signed in, but your role does not include this.'],
  404: ['There is nothing here', 'The address may be mistyped, or what stood here has been moved.'],
  413: ['That is too much at once', 'What you sent is larger than can be taken here. Nothing was saved.'],
  422: ['This address cannot be read', 'There are characters in it that stand for nothing.'],
  429: ['That was a little fast', 'Please wait a minute and try again.'],
  500: ['Something broke on our side', 'Nothing of yours is lost. Please try again; if it happens twice, tell the school.'],
  503: ['Back in a moment', 'The school is being looked after just now.'],
};

/** Where the same status has another reason. */
const REASONS: Record<string, [string, string]> = {
  'not begun': ['This school has not begun', 'Whoever runs it opens it with the address that was told when it was installed.'],
  busy: ['Very much is being written just now', 'Nothing was done. Please go back and try again in a moment.'],
};

export default function ErrorPage({ status, why }: { status: number; why: string | null }) {
  const { standIn } = useShared();
  const [heading, text] = REASONS[why ?? ''] ?? WORDS[status] ?? ['This did not work', 'Please go back and try again.'];
  return (
    <div className="signin">
      <Head title={heading} />
      {standIn !== undefined && (
        <p className="standin-strip">
          Stand-in for {standIn.name}, {standIn.atWords}: this is what they are told.
        </p>
      )}
      <main className="errorpage">
        <Arch glyph="hidden" size={54} silent />
        <h1>{heading}</h1>
        <p>{text}</p>
        {standIn === undefined && why !== 'not begun' && (
          <p>
            <Link href="/">To the beginning</Link>
          </p>
        )}
      </main>
    </div>
  );
}
