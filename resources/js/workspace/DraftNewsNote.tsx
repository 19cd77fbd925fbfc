import { useState } from 'react';

import type { DraftNews } from '../lib/generated/types';
import { say } from '../lib/keepSay';
import { plainText } from '../lib/words';
import { Words } from '../ui/Words';
import ui from '../ui/ui.module.css';

/** What somebody else has just done to the draft that is open here. */
export function DraftNewsNote({ news }: { news: DraftNews | null }) {
  const [closed, setClosed] = useState<DraftNews | null>(null);
  if (news === null || news === closed) {
    return <div role="status" aria-live="polite" />;
  }
  return (
    <div role="status" aria-live="polite">
      <div className={ui.flash}>
        <p>
          <b>{news.version === 0 ? say('workspace.draft_news_note.draft_was_published_or') : say('workspace.draft_news_note.editing_too', { who: news.who ?? say('workspace.draft_news_note.somebody'), more: news.sentences.length })}</b>
        </p>
        {news.sentences.length > 0 && (
          <ul>
            {news.sentences.map((line) => (
              <li key={plainText(line)}>
                <Words segments={line.segments} />
              </li>
            ))}
          </ul>
        )}
        <button type="button" onClick={() => setClosed(news)}>
          {say('keep.close')}
        </button>
      </div>
    </div>
  );
}
