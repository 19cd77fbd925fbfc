<?php

declare(strict_types=1);

namespace Tests\Notices;

use App\Models\Course;
use App\Models\CourseDocument;
use App\Notices\NoticeCase;
use App\Notices\NoticePlace;
use App\Notices\SaveNotice;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\TestCase;

/** Of all words that stand at a closed door the most specific are read, by everybody who meets it. */
final class NoticeLevelsTest extends TestCase
{
    use ClosedDoors;

    protected function setUp(): void
    {
        parent::setUp();
        $this->demoSchool();
        $this->wordless();
    }

    /** @param  ?\Closure(self): void  $besides */
    #[DataProvider('doors')]
    public function test_the_most_specific_words_are_read(NoticeCase $case, ?string $who, string $door, ?string $held, ?\Closure $besides = null): void
    {
        [$key, $item] = explode('/', $door);
        $course = Course::query()->with('liveRevision')->where('key', $key)->firstOrFail();
        $besides === null ? null : $besides($this);
        self::assertNull($this->read($who, $door, $case), 'Nobody has said anything yet.');
        $outline = CourseDocument::fromJson((string) $course->liveRevision?->document)->read();
        $module = null;
        foreach ($outline->places() as $place) {
            $module = $place->item->key() === $item ? ($place->path[0] ?? null)?->key() : $module;
        }
        $levels = [
            'the school' => NoticePlace::school(),
            'the course' => NoticePlace::at($course),
            'the course, for holders' => NoticePlace::at($course, offer: $held),
            'its module' => NoticePlace::at($course, $module),
            'its module, for holders' => NoticePlace::at($course, $module, $held),
            'its own' => NoticePlace::at($course, $item),
            'its own, for holders' => NoticePlace::at($course, $item, $held),
        ];
        foreach ($levels as $said => $place) {
            // What is for others, at other rows or of another kind is nothing to them.
            if (($held === null && str_contains($said, 'holders')) || ($module === null && str_contains($said, 'module'))) {
                continue;
            }
            $this->say($place, $case, $said);
            self::assertSame("<p>{$said}</p>\n", $this->read($who, $door, $case), $said);
        }
        $this->say(NoticePlace::at($course, $item, 'yard-trial'), $case, 'for other holders');
        $this->say(NoticePlace::at($course, 'another-row'), $case, 'of another row');
        $this->say(NoticePlace::at($course, $item), $case === NoticeCase::Stuck ? NoticeCase::Held : NoticeCase::Stuck, 'of another kind');
        self::assertSame('<p>'.($held === null ? 'its own' : 'its own, for holders')."</p>\n", $this->read($who, $door, $case));
    }

    /** @return array<string, array{string, string, bool}> place as it is asked for, address, whether it is refused */
    public static function circles(): array
    {
        return [
            'the school, to a door' => ['/keep/notices', '/courses/clinker/l-planes', true],
            'the school, to an open sample' => ['/keep/notices', '/courses/clinker/l-welcome', false],
            'the school, to what is no door' => ['/keep/notices', '/checkout/apprentice-pass', false],
            'a course, to a door of its own' => ['/keep/courses/clinker/notices', '/courses/clinker/l-garboard', true],
            'a course, to a door of another' => ['/keep/courses/clinker/notices', '/courses/steam-frames/l-rive', false],
            'a row, to itself' => ['/keep/courses/clinker/notices?item=l-planes', '/courses/clinker/l-planes', true],
            'a row, to another' => ['/keep/courses/clinker/notices?item=l-planes', '/courses/clinker/l-garboard', false],
            'a module, to what is inside it' => ['/keep/courses/clinker/notices?item=m-planks', '/courses/clinker/l-garboard#top', true],
        ];
    }

    #[DataProvider('circles')]
    public function test_who_would_be_sent_in_a_circle_is_not_sent(string $place, string $address, bool $isCircle): void
    {
        [$path, $query] = explode('?', $place.'?');
        parse_str($query, $at);
        $answer = $this->actingAs($this->person('hege'))->put("{$path}/no-pass", ['version' => 0, 'way' => 'address', 'heading' => '', 'text' => '', 'address' => $address, ...$at]);
        $isCircle ? $answer->assertSessionHasErrors('address') : $answer->assertSessionHasNoErrors();
    }

    public function test_a_circle_by_way_of_another_door_is_found_too(): void
    {
        $send = fn (string $from, string $to) => $this->actingAs($this->person('hege'))->put('/keep/courses/clinker/notices/no-pass', ['version' => 0, 'way' => 'address', 'heading' => '', 'text' => '', 'address' => "/courses/clinker/{$to}", 'item' => $from]);
        $send('l-planes', 'l-garboard')->assertSessionHasNoErrors();
        $send('l-garboard', 'l-rivets')->assertSessionHasNoErrors();
        $send('l-rivets', 'l-planes')->assertSessionHasErrors(['address' => 'This address leads to a closed door at which these very words would stand: whoever meets them would be sent in a circle.']);
    }

    public function test_the_editor_tells_whose_words_hold_at_a_place(): void
    {
        $from = fn (string $query): mixed => $this->actingAs($this->person('hege'))->get("/keep/courses/clinker/notices?case=no-pass{$query}")->assertOk()->inertiaProps('notices.2');
        $this->say(NoticePlace::at($this->course(), 'm-tools'), NoticeCase::NoPass, 'its module');
        $this->say(NoticePlace::at($this->course(), 'm-tools', 'taster'), NoticeCase::NoPass, 'for tasters');
        $told = static fn (mixed $row): array => is_array($row) ? [$row['from'], $row['forOffer'], $row['text'], $row['version'] > 0] : [];
        self::assertSame(['usual', false, '', false], $told($from('')));
        self::assertSame(['own', false, 'its module', true], $told($from('&item=m-tools')));
        self::assertSame(['module', false, 'its module', false], $told($from('&item=p-iron')));
        self::assertSame(['module', true, 'for tasters', false], $told($from('&item=l-planes&offer=taster')));
        self::assertSame(['usual', false, '', false], $told($from('&item=l-garboard')));
        $this->get('/keep/courses/clinker/notices?item=nothing')->assertNotFound();
        $this->get('/keep/courses/clinker/notices?offer=nothing')->assertNotFound();
    }

    public function test_words_are_let_go_where_they_stand_alone(): void
    {
        $this->say(NoticePlace::at($this->course()), NoticeCase::NoPass, 'the course');
        $this->say(NoticePlace::at($this->course(), 'l-planes'), NoticeCase::NoPass, 'its own');
        $row = $this->actingAs($this->person('hege'))->get('/keep/courses/clinker/notices?item=l-planes')->inertiaProps('notices.2');
        $this->delete('/keep/courses/clinker/notices/no-pass', ['item' => 'l-planes', 'version' => is_array($row) ? $row['version'] : 0])->assertSessionHas('flash.kind', 'done');
        self::assertSame("<p>the course</p>\n", $this->read('jonas', 'clinker/l-planes', NoticeCase::NoPass));
    }

    private function say(NoticePlace $place, NoticeCase $case, string $text): void
    {
        self::assertTrue(app(SaveNotice::class)($place, $case, ['way' => 'show', 'heading' => '', 'text' => $text, 'address' => null], 0, $this->person('hege')));
    }

    private function read(?string $who, string $door, NoticeCase $case): ?string
    {
        $who === null ? null : $this->actingAs($this->person($who));
        $answer = $this->get("/courses/{$door}")->assertStatus($case->status());
        self::assertSame($case->value, $answer->inertiaProps('case'));
        $html = $answer->inertiaProps('html');

        return is_string($html) ? $html : null;
    }
}
