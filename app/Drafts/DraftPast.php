<?php

declare(strict_types=1);

namespace App\Drafts;

use App\Models\CourseDocument;
use App\Models\Draft;
use App\Models\DraftEdit;
use App\Models\Person;
use App\Words\Differences;
use App\Words\Sentence;

/** What happened to a draft since somebody looked at it. */
final class DraftPast
{
    private function __construct()
    {
    }

    /**
     * The draft as it was at a version; null where that cannot be told, because something was undone or redone since.
     *
     * @param  int  $version  0: before its first edit
     */
    public static function at(Draft $draft, int $version): ?CourseDocument
    {
        if ($version === $draft->version) {
            return CourseDocument::fromJson($draft->document);
        }
        $since = DraftEdit::query()->where('draft_id', $draft->id)->where('version', '>', $version)->orderBy('id')->get();
        $first = $since->first();
        if ($first === null && $version === 0) {
            return CourseDocument::fromJson($draft->document);
        }
        if ($first === null || $since->whereNotNull('undone_from')->isNotEmpty() || ($version !== 0 && $first->version !== $version + 1)) {
            return null;
        }

        return $since->count() === $draft->version - (int) $first->version + 1 ? CourseDocument::fromJson($first->before) : null;
    }

    /**
     * Who edited since, and what differs now from what they found.
     *
     * @param  ?Person  $but  whose edits are not told
     * @return array{who: ?string, sentences: list<Sentence>}
     */
    public static function since(Draft $draft, int $version, ?Person $but = null): array
    {
        $edits = DraftEdit::query()->with('author')->where('draft_id', $draft->id)->where('version', '>', $version)->orderBy('id')->get();
        $others = $edits->filter(static fn (DraftEdit $edit): bool => $but === null || $edit->author_id !== $but->id);
        $sentences = [];
        foreach ($others as $edit) {
            $next = DraftEdit::query()->where('draft_id', $draft->id)->where('id', '>', $edit->id)->orderBy('id')->first();
            $after = $edit->undone_from ?? $next->before ?? $draft->document;
            array_push($sentences, ...Differences::between(CourseDocument::fromJson($edit->before), CourseDocument::fromJson($after))->sentences);
        }

        return ['who' => $others->last()?->author?->name, 'sentences' => array_values(array_unique($sentences, SORT_REGULAR))];
    }
}
