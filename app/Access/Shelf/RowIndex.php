<?php

declare(strict_types=1);

namespace App\Access\Shelf;

use App\Database\Dialects;
use App\Models\Course;
use App\Models\CourseDocument;
use App\Models\RowTitle;
use App\Words\Typed;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Support\Facades\DB;

/** The titles of all published rows, found by the beginnings of their words with the database's own full-text search. */
final class RowIndex
{
    /** How many rows are told at most: the best of those are chosen by whoever asks. */
    private const MOST = 60;

    /** What a course has published from now on. */
    public function replace(int $course, CourseDocument $document): void
    {
        $rows = [];
        foreach ($document->read()->places() as $place) {
            $rows[] = ['course_id' => $course, 'item_key' => $place->item->key(), 'kind' => $place->item->kind(), 'title' => $place->item->title(), 'words' => implode(' ', Typed::words($place->item->title()))];
        }
        DB::transaction(static function () use ($course, $rows): void {
            RowTitle::query()->where('course_id', $course)->delete();
            foreach (array_chunk($rows, 200) as $some) {
                RowTitle::query()->insert($some);
            }
        });
    }

    /** Of all courses, where nothing is known of them yet. */
    public function fill(): void
    {
        foreach (Course::query()->with('liveRevision')->whereNotNull('live_revision_id')->lazyById(20) as $course) {
            if ($course->liveRevision !== null) {
                $this->replace($course->id, CourseDocument::fromJson($course->liveRevision->document));
            }
        }
    }

    /**
     * Rows whose titles have a word for each that was typed, those first that are what was typed, then those that begin with it, then the short ones.
     *
     * @param  ?list<int>  $only  ids of the courses of which it is; null: of all
     * @return list<RowTitle>
     */
    public function find(Typed $typed, ?array $only): array
    {
        $wanted = $typed->telling();
        if ($wanted === []) {
            return [];
        }
        $said = implode(' ', $typed->words);
        $found = RowTitle::query()->when($only !== null, static fn (Builder $query): Builder => $query->whereIn('course_id', $only ?? []));
        $dialect = Dialects::spoken();
        $found->whereRaw($dialect->rowsFound(), [self::match($wanted, ...$dialect->words())]);

        return array_values($found->orderByRaw('case when words = ? then 0 when substr(words, 1, ?) = ? then 1 else 2 end, length(words), id', [$said, mb_strlen($said), $said])->limit(self::MOST)->get()->all());
    }

    /**
     * A word of a title is begun by what was typed, or what was typed is that word with up to three letters after it: planks for plank.
     *
     * @param  list<string>  $words  of letters and digits alone
     */
    private static function match(array $words, string $begun, string $whole, string $or, string $and): string
    {
        $each = [];
        foreach ($words as $word) {
            $forms = [sprintf($begun, $word)];
            for ($less = 1; $less <= 3 && mb_strlen($word) - $less > 3; $less++) {
                $forms[] = sprintf($whole, mb_substr($word, 0, -$less));
            }
            $each[] = '('.implode($or, $forms).')';
        }

        return implode($and, $each);
    }
}
