<?php

declare(strict_types=1);

namespace Tests\Drafts;

use App\Drafts\Retiring\LearnersKeep;
use App\Drafts\Retiring\RetireCourse;
use App\Models\CourseDocument;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** What a document says once its course is retired. */
final class RetireCourseTest extends TestCase
{
    /** @param  array<string, mixed>  $course */
    private static function document(array $course): CourseDocument
    {
        return CourseDocument::fromJson((string) json_encode(['course' => ['key' => 'c', 'title' => 'C', 'state' => 'live', 'entry' => 'anyone', ...$course], 'offers' => []]));
    }

    /** @return array<string, array{RetireCourse, array<string, mixed>, array<string, mixed>}> */
    public static function ends(): array
    {
        $doors = ['guest_door' => ['open' => true, 'default' => true], 'observer_door' => ['open' => true, 'default' => false, 'follow' => false]];

        return [
            'to the end of passes, which is what nothing said means' => [new RetireCourse(LearnersKeep::Pass, null, false, false), $doors, ['state' => 'retired', ...$doors]],
            'where they would not have kept it' => [new RetireCourse(LearnersKeep::Pass, null, false, false), ['keep_after_retiring' => false], ['state' => 'retired', 'keep_after_retiring' => true]],
            'for good: the season ends nobody’s' => [new RetireCourse(LearnersKeep::Good, null, false, false), ['closes' => '2026-01-01T00:00'], ['state' => 'retired']],
            'to the end of a day' => [new RetireCourse(LearnersKeep::Day, '2026-12-31', false, false), ['closes' => '2026-01-01T12:00'], ['state' => 'retired', 'closes' => '2027-01-01T00:00']],
            'for nobody' => [new RetireCourse(LearnersKeep::Nothing, null, false, false), [], ['state' => 'retired', 'keep_after_retiring' => false]],
            'with its doors' => [new RetireCourse(LearnersKeep::Pass, null, true, true), $doors, ['state' => 'retired', 'guest_door' => ['open' => false, 'default' => true], 'observer_door' => ['open' => false, 'default' => false, 'follow' => false]]],
            'where there is no door to shut' => [new RetireCourse(LearnersKeep::Pass, null, true, true), [], ['state' => 'retired']],
        ];
    }

    /**
     * @param  array<string, mixed>  $before
     * @param  array<string, mixed>  $after
     */
    #[DataProvider('ends')]
    public function test_the_rules_say_what_was_chosen(RetireCourse $edit, array $before, array $after): void
    {
        $document = self::document($before);
        $edit->applyTo($document);
        self::assertTrue($document->equals(self::document($after)), $document->toJson());
        $edit->applyTo($document);
        self::assertTrue($document->equals(self::document($after)), 'Twice the same is once.');
    }
}
