<?php

declare(strict_types=1);

namespace Tests\Notices;

use App\Models\Activity;
use App\Models\NoticeText;
use App\Models\SharedNotice;
use Illuminate\Support\Facades\DB;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\Factories\SharedNoticeFactory;
use Tests\TestCase;

/** Words that many doors share: drafted, rehearsed on the doors at which they stand, published, changed everywhere at once. */
final class SharedNoticesTest extends TestCase
{
    protected function setUp(): void
    {
        parent::setUp();
        $this->demoSchool();
        $this->wordless();
        $this->actingAs($this->person('hege'));
    }

    /** @param  array<string, mixed>  $more */
    private function stands(SharedNotice $notice, string $at, string $case, array $more = []): void
    {
        $this->actingAs($this->person('hege'))->put("{$at}/{$case}", ['version' => 0, 'way' => 'shared', 'shared' => $notice->id, 'heading' => 'not read', 'text' => 'not read', ...$more])->assertSessionHasNoErrors()->assertSessionHas('flash.kind', 'done');
    }

    /** @return array{string, string} heading and text as somebody meets them */
    private function metBy(string $who, string $item = 'l-planes'): array
    {
        $this->inAnotherProcess();
        $page = $this->actingAs($this->person($who))->get("/courses/clinker/{$item}")->assertForbidden();
        $heading = $page->inertiaProps('heading.segments');

        return [implode('', array_column(is_array($heading) ? $heading : [], 'text')), strip_tags((string) (is_string($page->inertiaProps('html')) ? $page->inertiaProps('html') : ''))];
    }

    public function test_it_is_drafted_published_and_changed_everywhere_at_once(): void
    {
        $this->post('/keep/notices/shared', ['name' => 'Ask us', 'heading' => 'Ask, {name}', 'text' => 'We answer.', 'titled' => true])->assertSessionHasNoErrors();
        $notice = SharedNotice::query()->sole();
        $this->put('/keep/notices/no-pass', ['version' => 0, 'way' => 'shared', 'shared' => $notice->id])->assertSessionHasErrors('shared');

        $this->post("/keep/notices/shared/{$notice->id}/publication", ['version' => 1])->assertSessionHas('flash.kind', 'done');
        $this->stands($notice, '/keep/notices', 'no-pass');
        self::assertSame(['Ask, Jonas Wren', "We answer.\n"], $this->metBy('jonas'));

        $this->actingAs($this->person('hege'))->put("/keep/notices/shared/{$notice->id}", ['version' => 2, 'name' => 'Ask us', 'heading' => 'Do ask', 'text' => 'Soon.', 'titled' => false, 'parts' => [['kind' => 'words']]])->assertSessionHas('flash.kind', 'done');
        self::assertSame(['Ask, Jonas Wren', "We answer.\n"], $this->metBy('jonas'), 'What is drafted stands at no door.');
        $this->actingAs($this->person('hege'))->post("/keep/notices/shared/{$notice->id}/publication", ['version' => 2])->assertSessionHas('flash.kind', 'refused');
        $this->post("/keep/notices/shared/{$notice->id}/publication", ['version' => 3])->assertSessionHas('flash.kind', 'done');
        self::assertSame(['Do ask', "Soon.\n"], $this->metBy('jonas'));
        $page = $this->get('/courses/clinker/l-planes');
        self::assertSame([false, ['words']], [$page->inertiaProps('titled'), array_column((array) $page->inertiaProps('parts'), 'kind')]);
        self::assertSame(['shared-notice.begun', 'shared-notice.published', 'shared-notice.drafted', 'shared-notice.published'], Activity::query()->where('action', 'like', 'shared-notice.%')->orderBy('id')->pluck('action')->all());
    }

    public function test_what_is_more_specific_wins_over_a_shared_one_and_the_other_way_round(): void
    {
        $school = SharedNoticeFactory::new()->createOne();
        $row = SharedNoticeFactory::new()->createOne(['name' => 'Row', 'live' => ['heading' => 'Of the row', 'titled' => true, 'text' => '', 'parts' => null]]);
        $this->stands($school, '/keep/notices', 'no-pass');
        self::assertSame('Shared heading', $this->metBy('jonas')[0]);
        $this->actingAs($this->person('hege'))->put('/keep/courses/clinker/notices/no-pass', ['version' => 0, 'way' => 'show', 'heading' => 'Of the course', 'text' => ''])->assertSessionHasNoErrors();
        self::assertSame('Of the course', $this->metBy('jonas')[0]);
        $this->stands($row, '/keep/courses/clinker/notices', 'no-pass', ['item' => 'l-planes']);
        self::assertSame('Of the row', $this->metBy('jonas')[0]);
        self::assertSame('Of the course', $this->metBy('jonas', 'l-timber')[0]);
    }

    public function test_a_place_that_has_words_of_its_own_again_forgets_the_shared_ones(): void
    {
        $notice = SharedNoticeFactory::new()->createOne();
        $this->stands($notice, '/keep/notices', 'no-pass');
        $version = NoticeText::query()->sole()->version;
        $this->put('/keep/notices/no-pass', ['version' => $version, 'way' => 'show', 'heading' => 'Mine', 'text' => ''])->assertSessionHas('flash.kind', 'done');
        self::assertNull(NoticeText::query()->sole()->shared_id);
        self::assertSame('Mine', $this->metBy('jonas')[0]);
    }

    public function test_its_rehearsal_names_places_and_doors_and_how_often_they_were_met(): void
    {
        $notice = SharedNoticeFactory::new()->createOne();
        $this->stands($notice, '/keep/courses/clinker/notices', 'no-pass');
        $this->stands($notice, '/keep/courses/clinker/notices', 'ended', ['offer' => 'taster']);
        $this->put('/keep/courses/clinker/notices/no-pass', ['version' => 0, 'way' => 'show', 'heading' => 'Own', 'text' => '', 'item' => 'l-timber'])->assertSessionHasNoErrors();
        foreach (['jonas', 'amund-elsewhere' => 'gro'] as $who) {
            foreach (['l-planes', 'l-timber', 'l-garboard'] as $item) {
                $this->flushSession();
                $this->inAnotherProcess();
                $this->actingAs($this->person($who))->get("/courses/clinker/{$item}")->assertForbidden();
            }
        }
        $this->inAnotherProcess();
        $page = $this->actingAs($this->person('hege'))->get("/keep/notices/shared/{$notice->id}")->assertOk();
        $places = $page->inertiaProps('places');
        self::assertIsArray($places);
        self::assertSame([['Clinker planking', null, 'no-pass'], ['Clinker planking', 'Taster', 'ended']], array_map(static fn (mixed $place): array => is_array($place) ? [$place['at'], $place['offerTitle'], $place['case']] : [], $places));
        $doors = $page->inertiaProps('doors');
        self::assertIsArray($doors);
        self::assertSame(['l-garboard', 'l-planes'], array_column($doors, 'item'), 'Where a row has words of its own, the shared ones do not stand; whose pass has ended meets another kind of door.');
        self::assertSame([1, 1, 2, 1], [...array_column($doors, 'met'), $page->inertiaProps('met'), $page->inertiaProps('courses')]);
        $this->get('/keep/notices/shared')->assertInertia(fn ($page) => $page->where('notices.0.places', 2)->where('notices.0.courses', ['Clinker planking'])->where('notices.0.met', 2));
    }

    public function test_one_that_stands_at_a_door_is_not_let_go(): void
    {
        $notice = SharedNoticeFactory::new()->createOne();
        $this->stands($notice, '/keep/notices', 'held');
        $this->delete("/keep/notices/shared/{$notice->id}")->assertSessionHas('flash.kind', 'refused');
        $this->delete('/keep/notices/held', ['version' => NoticeText::query()->sole()->version])->assertSessionHas('flash.kind', 'done');
        $this->delete("/keep/notices/shared/{$notice->id}")->assertRedirect('/keep/notices/shared');
        self::assertSame(0, SharedNotice::query()->count());
    }

    public function test_a_draft_is_thrown_away_and_what_stands_stays(): void
    {
        $notice = SharedNoticeFactory::new()->createOne();
        $this->delete("/keep/notices/shared/{$notice->id}/draft", ['version' => 1])->assertSessionHas('flash.kind', 'refused');
        $this->put("/keep/notices/shared/{$notice->id}", ['version' => 1, 'name' => 'Shared', 'heading' => 'Other', 'titled' => true, 'text' => 'X'])->assertSessionHas('flash.kind', 'done');
        $this->delete("/keep/notices/shared/{$notice->id}/draft", ['version' => 2])->assertSessionHas('flash.kind', 'done');
        self::assertSame([null, 'Shared heading'], [$notice->refresh()->draft, $notice->live['heading'] ?? null]);
        // What is typed as it stands already is no draft.
        $this->put("/keep/notices/shared/{$notice->id}", ['version' => 3, 'name' => 'Another name', 'heading' => 'Shared heading', 'titled' => true, 'text' => 'Shared words.'])->assertSessionHas('flash.kind', 'done');
        self::assertSame([null, 'Another name'], [$notice->refresh()->draft, $notice->name]);
    }

    /** @return array<string, array{array<string, mixed>, string}> */
    public static function refused(): array
    {
        return [
            'no name' => [['name' => ' '], 'name'],
            'the name of another' => [['name' => 'Taken'], 'name'],
            'nothing stands for it' => [['text' => '{nobody}'], 'text'],
            'a lesson, of no course' => [['parts' => [['kind' => 'button', 'text' => 'Go', 'does' => 'lesson', 'to' => 'l-planes']]], 'parts.0.to'],
            'a picture that is not there' => [['parts' => [['kind' => 'picture', 'to' => 'nothing']]], 'parts.0.to'],
            'a picture from elsewhere' => [['parts' => [['kind' => 'picture', 'to' => 'https://elsewhere.test/x.png']]], 'parts.0.to'],
            'an address that runs' => [['parts' => [['kind' => 'button', 'text' => 'Go', 'does' => 'address', 'to' => 'javascript:alert(1)']]], 'parts.0.to'],
        ];
    }

    /** @param  array<string, mixed>  $with */
    #[DataProvider('refused')]
    public function test_what_does_not_go_is_said_at_its_field(array $with, string $field): void
    {
        SharedNoticeFactory::new()->createOne(['name' => 'Taken']);
        $this->post('/keep/notices/shared', ['name' => 'New', 'heading' => '', 'text' => '', ...$with])->assertSessionHasErrors($field);
        self::assertSame(1, SharedNotice::query()->count());
    }

    public function test_words_of_others_can_be_copied(): void
    {
        SharedNoticeFactory::new()->createOne(['live' => ['heading' => 'H', 'titled' => true, 'text' => 'T', 'parts' => '[{"kind":"heading","text":"A part"}]']]);
        $this->put('/keep/courses/clinker/notices/ended', ['version' => 0, 'way' => 'show', 'heading' => 'Over', 'text' => 'X', 'item' => 'l-planes', 'parts' => [['kind' => 'words'], ['kind' => 'ask']]])->assertSessionHasNoErrors();
        $copies = $this->getJson('/keep/notices/copies')->assertOk()->json();
        self::assertIsArray($copies);
        self::assertSame(['Shared: Shared', 'Clinker planking, Tuning a plane: A pass that has ended'], array_column($copies, 'from'));
        self::assertSame([[['heading', 'A part']], [['words', ''], ['ask', '']]], array_map(static fn (mixed $copy): array => array_map(static fn (mixed $part): array => is_array($part) ? [$part['kind'], $part['text']] : [], is_array($copy) && is_array($copy['parts']) ? $copy['parts'] : []), $copies));
    }

    public function test_the_list_asks_no_more_for_many(): void
    {
        $queries = function (): int {
            $this->inAnotherProcess();
            DB::flushQueryLog();
            DB::enableQueryLog();
            $this->get('/keep/notices/shared')->assertOk();
            DB::disableQueryLog();

            return count(DB::getQueryLog());
        };
        $notice = SharedNoticeFactory::new()->createOne();
        $this->stands($notice, '/keep/courses/clinker/notices', 'no-pass');
        $this->actingAs($this->person('jonas'))->get('/courses/clinker/l-planes');
        $this->actingAs($this->person('hege'));
        // From the first time on it is kept what the courses are called.
        $queries();
        $few = $queries();
        foreach (['held', 'ended', 'too-early', 'stuck'] as $case) {
            $this->stands(SharedNoticeFactory::new()->createOne(['name' => $case]), '/keep/courses/clinker/notices', $case);
        }
        self::assertSame($few, $queries());
    }
}
