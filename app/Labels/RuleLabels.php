<?php

declare(strict_types=1);

namespace App\Labels;

use App\Models\Course;
use App\Models\CourseDocument;
use App\Models\Document\DocumentLabel;

/** Where the rules of one course name labels: what is live, and what only the draft says. It is kept, and so made of plain values. */
final readonly class RuleLabels
{
    /** @param  list<array{string, bool, string, string, bool, string, array<string, string>}>  $places  every one once: its label, then as {@see LabelUse} has it */
    public function __construct(private array $places)
    {
    }

    /** @return list<array{string, LabelUse}> each with its label */
    public function uses(): array
    {
        return array_map(static fn (array $place): array => [$place[0], new LabelUse(...array_slice($place, 1))], $this->places);
    }

    public static function of(Course $course): self
    {
        $places = $told = [];
        foreach (['live' => $course->liveRevision?->document, 'draft' => $course->draft?->document] as $version => $json) {
            if ($json === null) {
                continue;
            }
            $document = CourseDocument::fromJson($json);
            $items = $document->readItems();
            $offers = [];
            foreach ($document->readOffers() as $offer) {
                $offers[$offer->key()] = $offer->title();
            }
            $document->labels()->map(static function (DocumentLabel $one) use (&$places, &$told, $course, $document, $items, $offers, $version): string {
                $where = "{$one->label} {$one->item} {$one->offer}";
                if (! isset($told[$where])) {
                    $told[$where] = true;
                    $title = $one->offer !== null ? ($offers[$one->offer] ?? $one->offer) : ($items[(string) $one->item] ?? null)?->title() ?? (string) $one->item;
                    $query = $one->offer !== null ? [] : ['course' => $course->key, 'row' => (string) $one->item];
                    $places[] = [$one->label, $one->offer !== null, $title, $document->title(), $version === 'draft', $one->offer !== null ? 'keep.offers' : 'keep.course', $query];
                }

                return $one->label;
            });
        }

        return new self($places);
    }
}
