<?php

declare(strict_types=1);

namespace App\Pages\Rehearsal;

use App\Access\Plans;
use App\Access\SchoolClock;
use App\Drafts\GivenUp\BringBackGivenUp;
use App\Models\Course;
use App\Models\CourseDocument;
use App\Models\Revision;
use App\Words\Differences;
use App\Words\Say;
use App\Words\Sentence;

/** What was tried in the draft of a course and given up, as pages show it. */
final readonly class GivenUpRows
{
    public function __construct(private SchoolClock $clock, private Plans $plans)
    {
    }

    /** @return list<GivenUpRow> the last first */
    public function of(Course $course): array
    {
        $kept = BringBackGivenUp::kept($course, $this->clock->now())->with('person:id,name')->latest('id')->get();
        $bases = Revision::query()->whereIn('id', $kept->pluck('base_revision_id')->filter()->unique()->values()->all())->get()->keyBy('id');
        $rows = [];
        foreach ($kept as $one) {
            $base = $bases->get((int) $one->base_revision_id);
            $document = CourseDocument::fromJson($one->document);
            $titles = array_map(static fn (string|int $key): string => ($document->readItems()[$key] ?? null)?->title() ?? (string) $key, array_keys($one->contents));
            $rows[] = new GivenUpRow(
                $one->id,
                Say::text($one->how === 'undone' ? 'pages.given_up_rows.undone' : 'pages.given_up_rows.discarded', ['when' => $this->clock->words($one->made_at->getTimestamp()), 'who' => $one->person->name ?? Say::text('pages.rehearsal_page_builder.the_program')]),
                [
                    ...Differences::between($base === null ? null : $this->plans->named(CourseDocument::fromJson($base->document)), $this->plans->named($document))->sentences,
                    ...array_map(static fn (string $title): Sentence => Sentence::say('pages.given_up_rows.contents', titles: ['title' => $title]), $titles),
                ],
                $one->base_revision_id === $course->live_revision_id,
            );
        }

        return $rows;
    }
}
