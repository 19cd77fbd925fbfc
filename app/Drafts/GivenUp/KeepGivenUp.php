<?php

declare(strict_types=1);

namespace App\Drafts\GivenUp;

use App\Models\Content;
use App\Models\Draft;
use App\Models\DraftEdit;
use App\Models\GivenUp;
use App\Models\Person;
use App\Models\Revision;
use Psr\Clock\ClockInterface;

/** Keeps what was tried in a draft and is given up. To be called in the transaction in which it goes. */
final readonly class KeepGivenUp
{
    /** Hours for which it can be brought back. */
    public const HOURS = 24;

    /** Of one course; the oldest make room. */
    private const MOST = 20;

    public function __construct(private ClockInterface $clock)
    {
    }

    /** @return ?int its number; null: nothing was tried */
    public function ofDraft(Draft $draft, Person $author): ?int
    {
        $contents = [];
        foreach (Content::query()->where('course_id', $draft->course_id)->whereNotNull('drafted')->get() as $content) {
            if ($content->drafted !== null) {
                $contents[$content->item_key] = $content->drafted;
            }
        }

        return $this->keep($draft, 'discarded', $draft->document, $contents, $author);
    }

    /** What was undone, before an edit takes another way. */
    public function ofUndone(Draft $draft, Person $author): void
    {
        $furthest = DraftEdit::query()->where('draft_id', $draft->id)->whereNotNull('undone_from')->latest('id')->first();
        if ($furthest?->undone_from !== null && $furthest->undone_from !== $draft->document) {
            $this->keep($draft, 'undone', $furthest->undone_from, [], $author);
        }
    }

    /** @param  array<array-key, array{text: string, quiz: list<array{ask: string, answers: list<string>, right: list<int>}>, quiz_rules: ?array<string, mixed>, board: ?string, minutes: ?int, cover?: ?array{token: string, x: int, y: int}}>  $contents */
    private function keep(Draft $draft, string $how, string $document, array $contents, Person $author): ?int
    {
        if ($contents === [] && $draft->base_revision_id !== null && Revision::query()->whereKey($draft->base_revision_id)->where('document', $document)->exists()) {
            return null;
        }
        $kept = GivenUp::query()->create([
            'course_id' => $draft->course_id, 'base_revision_id' => $draft->base_revision_id, 'person_id' => $author->id,
            'how' => $how, 'document' => $document, 'contents' => $contents, 'made_at' => $this->clock->now(),
        ]);
        GivenUp::query()->where('course_id', $draft->course_id)->whereNotIn('id', GivenUp::query()->where('course_id', $draft->course_id)->latest('id')->limit(self::MOST)->select('id'))->delete();

        return $kept->id;
    }
}
