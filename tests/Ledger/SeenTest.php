<?php

declare(strict_types=1);

namespace Tests\Ledger;

use App\Learning\PassingNotes;
use App\Models\Course;
use Illuminate\Support\Facades\DB;
use Tests\TestCase;

/** What somebody looked at, and which notices they met, day by day. */
final class SeenTest extends TestCase
{
    use TellsStories;

    public function test_what_was_seen_and_which_notices_were_met_is_told_day_by_day(): void
    {
        $this->act(['do' => 'give', 'offer' => 'apprentice-pass']);
        $hege = $this->person('hege');
        foreach (['2026-03-11T08:00:00Z' => 'l-welcome', '2026-03-11T08:00:30Z' => 'l-welcome', '2026-03-11T09:00:00Z' => 'l-welcome', '2026-03-11T09:10:00Z' => 'l-planes', '2026-03-12T09:10:00Z' => 'l-planes'] as $instant => $item) {
            $this->at($instant);
            self::assertContains($this->actingAs($this->siv->refresh())->get("/courses/clinker/{$item}")->getStatusCode(), [200, 403]);
        }
        $this->at('2026-03-12T10:00:00Z');
        $this->actingAs($hege);

        self::assertSame([
            '11 Mar, 09:00: Welcome to the shed looked at, 2 times that day',
            '11 Mar, 10:10: Notice met at Tuning a plane: too early',
            '12 Mar, 10:10: Notice met at Tuning a plane: too early',
        ], array_values(array_filter($this->told(), static fn (string $line): bool => str_contains($line, 'looked at') || str_contains($line, 'met at'))));
    }

    /** Of one row alone it was told when it opened and shut, and not that somebody had been there. */
    public function test_each_row_is_told_what_was_done_there(): void
    {
        $this->act(['do' => 'give', 'offer' => 'apprentice-pass']);
        app(PassingNotes::class)->looked($this->siv->id, $this->course()->id, 'l-welcome', 'pass', (int) strtotime('2026-03-11T08:00:00Z'));
        $this->at('2026-03-12T08:00:00Z');
        $this->act(['do' => 'finish', 'course' => 'clinker', 'item' => 'l-welcome']);
        $this->at('2026-03-13T08:00:00Z');
        $this->act(['do' => 'grant', 'course' => 'clinker', 'item' => 'l-rivets']);
        $this->at('2026-03-14T08:00:00Z');
        $this->act(['do' => 'take-back', 'course' => 'clinker', 'item' => 'l-rivets']);
        $this->at('2026-03-15T08:00:00Z');
        DB::table('completions')->where('person_id', $this->siv->id)->delete();
        $this->at('2026-03-16T08:00:00Z');
        $page = (array) $this->get("/keep/people/{$this->siv->id}/past?course=clinker")->inertiaProps();
        $keys = array_column((array) $page['rows'], 'key');
        $about = [];
        foreach ((array) $page['turns'] as $turn) {
            assert(is_array($turn));
            foreach ((array) $turn['about'] as $place) {
                $about[] = [gmdate('m-d', $turn['at']), $keys[$place]];
            }
        }
        self::assertSame([['03-11', 'l-welcome'], ['03-12', 'l-welcome'], ['03-13', 'l-rivets'], ['03-14', 'l-rivets'], ['03-15', 'l-welcome']], $about);
    }

    public function test_what_is_seen_in_the_second_of_something_else_is_told_with_it_and_of_other_courses_not_at_all(): void
    {
        $this->act(['do' => 'give', 'offer' => 'apprentice-pass']);
        $other = Course::query()->where('key', '!=', 'clinker')->firstOrFail();
        foreach ([$this->course()->id, $other->id] as $course) {
            app(PassingNotes::class)->looked($this->siv->id, $course, 'l-welcome', 'pass', (int) strtotime('2026-03-12T08:00:00Z'));
        }
        $this->at('2026-03-12T08:00:00Z');
        $this->act(['do' => 'label', 'label' => 'crew']);
        $this->at('2026-03-12T09:00:00Z');
        self::assertSame(['12 Mar, 09:00: Label crew, for good. (Hege Strand) Welcome to the shed looked at'], array_values(array_filter($this->told(), static fn (string $line): bool => str_contains($line, '12 Mar'))));
    }

    /** A note that was laid aside is written down once more where the schedule is stopped in between. */
    public function test_the_same_note_twice_is_one_visit(): void
    {
        for ($n = 0; $n < 2; $n++) {
            app(PassingNotes::class)->looked($this->siv->id, 1, 'l-welcome', 'pass', 1_773_219_600);
            app(PassingNotes::class)->met('token', 1, 'l-planes', 'too-early', 'holder', null, 1_773_219_600, $this->siv->id);
        }
        app(PassingNotes::class)->met('token', 1, 'l-planes', 'too-early', 'holder', 'taken', 1_773_219_600);
        self::assertSame([1, 1], DB::table('visits')->orderBy('id')->pluck('times')->all());
    }

    public function test_what_visitors_meet_is_nobodys(): void
    {
        auth()->forgetGuards();
        $this->get('/courses/clinker/l-planes');
        self::assertSame([1, 0], [DB::table('notice_meetings')->count(), DB::table('visits')->count()]);
    }
}
