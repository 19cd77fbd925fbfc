<?php

declare(strict_types=1);

namespace App\Publishing;

use App\Access\Shelf\CourseShelf;
use App\Database\Dialects;
use App\Models\Course;
use App\Models\CourseDocument;

/** The labels that an offer gives count in every course: which others ask for those that a proposal gives or gives no more. */
final readonly class LabelsElsewhere
{
    public function __construct(private CourseShelf $shelf)
    {
    }

    /** @return array<string, list<string>> titles of the courses whose live rules ask for it, by label; one query for each label that changes */
    public function touchedBy(Proposal $proposal): array
    {
        $touched = [];
        foreach (self::changed($proposal) as $label) {
            // As a condition writes it.
            $asks = '"label":'.json_encode($label, JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES);
            $courses = Course::query()->whereKeyNot($proposal->course->id)->whereHas('liveRevision', static fn ($revision) => $revision->whereRaw(Dialects::spoken()->contains('document', '?'), [$asks]))->orderBy('id')->pluck('id');
            $titles = array_values($courses->map(fn (mixed $id): string => $this->shelf->title(is_numeric($id) ? (int) $id : 0))->all());
            if ($titles !== []) {
                $touched[$label] = $titles;
            }
        }

        return $touched;
    }

    /** @return list<string> labels that some offer gives in one version and not in the other */
    private static function changed(Proposal $proposal): array
    {
        [$was, $is] = [self::given($proposal->live), self::given($proposal->document)];
        $changed = [];
        foreach (array_keys($was + $is) as $offer) {
            array_push($changed, ...array_diff($was[$offer] ?? [], $is[$offer] ?? []), ...array_diff($is[$offer] ?? [], $was[$offer] ?? []));
        }

        return array_values(array_unique($changed));
    }

    /** @return array<array-key, list<string>> by offer */
    private static function given(?CourseDocument $document): array
    {
        $given = [];
        foreach ($document?->readOffers() ?? [] as $offer) {
            $given[$offer->key()] = $offer->labels();
        }

        return $given;
    }
}
