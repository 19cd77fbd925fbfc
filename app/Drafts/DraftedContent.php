<?php

declare(strict_types=1);

namespace App\Drafts;

use App\Models\Content;
use App\Models\Course;
use App\Models\CourseDocument;
use App\Models\Revision;
use App\Words\RuleWords;
use App\Words\Say;
use App\Words\Sentence;

/** What an item is to hold, or began to hold with a revision: what was drafted of it, or what it held before. */
final readonly class DraftedContent
{
    /** What can differ, by the columns of what is written. */
    private const PARTS = ['text', 'quiz', 'quiz_rules', 'board', 'minutes', 'cover'];

    /**
     * @param  list<string>  $parts  what is new of it
     * @param  int  $version  of the item's contents, once it holds it
     * @param  ?int  $back  the version that is brought back, 0 where it held nothing; null: what was drafted
     */
    private function __construct(public string $item, private string $title, private array $parts, private int $version, public ?int $back = null)
    {
    }

    /**
     * What goes live with a document: of items that are in it, in its order, and only where it says something new.
     *
     * @return list<self>
     */
    public static function of(Course $course, CourseDocument $document): array
    {
        $contents = Content::query()->where('course_id', $course->id)->whereNotNull('drafted')->get()->keyBy('item_key');
        if ($contents->isEmpty()) {
            return [];
        }
        $drafted = [];
        foreach ($document->readItems() as $key => $item) {
            $parts = isset($contents[$key]) ? self::parts($contents[$key]) : [];
            if ($parts !== []) {
                $drafted[] = new self($item->key(), $item->title(), $parts, $contents[$key]->version + 1);
            }
        }

        return $drafted;
    }

    /** @return list<self> what went live with a revision */
    public static function with(Revision $revision): array
    {
        return array_map(static fn (array $one): self => new self($one['item'], $one['title'], $one['parts'], $one['version']), $revision->contents ?? []);
    }

    /**
     * What comes back with an earlier revision: of each item what it held before anything went live with a later one. What was
     * written since, at once, is nobody's to take back unseen.
     *
     * @return array{list<self>, list<string>} and the titles of what stays as it was written since
     */
    public static function before(Course $course, Revision $earlier): array
    {
        $first = $last = [];
        foreach (Revision::query()->where('course_id', $course->id)->where('number', '>', $earlier->number)->whereNotNull('contents')->orderBy('number')->get() as $revision) {
            foreach (self::with($revision) as $one) {
                $first[$one->item] ??= $one->version - 1;
                $last[$one->item] = $one;
            }
        }
        $now = $last === [] ? [] : Content::query()->where('course_id', $course->id)->whereIn('item_key', array_map(strval(...), array_keys($last)))->pluck('version', 'item_key')->all();
        $back = $stay = [];
        foreach ($last as $key => $one) {
            if (($now[$key] ?? null) === $one->version) {
                $back[] = new self($one->item, $one->title, [], $one->version + 1, $first[$key]);
            } elseif (isset($now[$key])) {
                $stay[] = $one->title;
            }
        }

        return [$back, $stay];
    }

    /** @return array{item: string, title: string, parts: list<string>, version: int} as revisions keep it */
    public function toArray(): array
    {
        return ['item' => $this->item, 'title' => $this->title, 'parts' => $this->parts, 'version' => $this->version];
    }

    public function sentence(): Sentence
    {
        if ($this->parts === []) {
            return Sentence::say('wording.contents.back', titles: ['title' => $this->title]);
        }

        return Sentence::say('wording.contents.new', ['parts' => RuleWords::enumeration(array_map(static fn (string $part): string => Say::text("wording.contents.{$part}"), $this->parts), 'and')], ['title' => $this->title]);
    }

    /** @return list<string> */
    private static function parts(Content $content): array
    {
        $drafted = $content->drafted ?? [];
        $said = static fn (mixed $value): mixed => $value === '' || $value === [] ? null : $value;

        // Not in one order of keys: what is kept as JSON may have come in another.
        return array_values(array_filter(self::PARTS, static fn (string $part): bool => $said($drafted[$part] ?? null) != $said($content->getAttribute($part))));
    }
}
