<?php

declare(strict_types=1);

namespace App\Drafts;

use App\Models\CourseDocument;
use App\Models\Document\DocumentLabel;
use App\Models\Draft;
use App\Models\DraftEdit;
use App\Models\Person;
use Psr\Clock\ClockInterface;

/**
 * Calls a label by another name in what is drafted, and in all that an undo or a redo would bring back: neither brings back a
 * name that nobody's label has any more.
 */
final readonly class LabelInDraft
{
    public function __construct(private ClockInterface $clock)
    {
    }

    public static function rename(string $document, string $from, string $to): string
    {
        $read = CourseDocument::fromJson($document);
        $read->labels()->map(static fn (DocumentLabel $one): string => $one->label === $from ? $to : $one->label);

        return $read->toJson();
    }

    /** For whoever holds the lock. Those who edit the draft go on from there: it is an edit of its own, and nothing of theirs collides with it. */
    public function __invoke(Draft $draft, string $from, string $to, Person $author): void
    {
        foreach (DraftEdit::query()->where('draft_id', $draft->id)->get() as $edit) {
            $edit->update(['before' => self::rename($edit->before, $from, $to), 'undone_from' => $edit->undone_from === null ? null : self::rename($edit->undone_from, $from, $to)]);
        }
        $document = self::rename($draft->document, $from, $to);
        // What was set to go live still does: nobody gains or loses by a name.
        $set = $draft->publish_version === $draft->version ? $draft->version + 1 : $draft->publish_version;
        $draft->update(['document' => $document, 'version' => $draft->version + 1, 'publish_version' => $set]);
        DraftEdit::query()->create([
            'draft_id' => $draft->id, 'author_id' => $author->id, 'change' => json_encode(['set' => 'label', 'from' => $from, 'to' => $to], JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE),
            'before' => $document, 'version' => $draft->version, 'made_at' => $this->clock->now(),
        ]);
    }
}
