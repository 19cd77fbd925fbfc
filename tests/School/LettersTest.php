<?php

declare(strict_types=1);

namespace Tests\School;

use App\Models\Activity;
use App\Models\LetterChoice;
use App\Models\LetterText;
use App\Models\Message;
use App\School\Letters\LetterKind;
use App\School\Letters\LetterTexts;
use App\School\Letters\LetterTo;
use App\School\Letters\LetterWords;
use App\School\Letters\WriteLetters;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\TestCase;

/** What the school settles of its letters, and what their readers do. */
final class LettersTest extends TestCase
{
    protected function setUp(): void
    {
        parent::setUp();
        $this->demoSchool();
        $this->actingAs($this->person('hege'));
    }

    /**
     * @param  array<string, mixed>  $with
     * @return array<string, mixed>
     */
    private static function form(LetterKind $kind, array $with = []): array
    {
        [$subject, $body] = $kind->usual();

        return ['version' => LetterText::query()->where('kind', $kind->value)->value('version') ?? 0, 'on' => true, 'days' => $kind->daysAtFirst(), 'hour' => $kind->hourAtFirst(), 'subject' => $subject, 'body' => $body, ...$with];
    }

    /** The path at which the reader of a letter stops it. */
    private static function stop(Message $letter): string
    {
        return (string) preg_replace('~^https?://[^/]+~', '', (string) $letter->stop);
    }

    private function letterTo(string $name, LetterKind $kind = LetterKind::Ended): ?Message
    {
        app(WriteLetters::class)($kind, [LetterTo::person($this->person($name), ['course' => 'Clinker planking', 'offer' => 'Taster', 'ended' => 'today', 'open' => '', 'address' => 'https://school.test/here'])]);

        return Message::query()->where('to', "{$name}@alder.test")->orderByDesc('id')->first();
    }

    public function test_every_kind_says_in_its_usual_words_only_what_it_knows(): void
    {
        foreach (LetterKind::written() as $kind) {
            [$subject, $body] = $kind->usual();
            self::assertSame([], LetterWords::unknownIn($kind, $subject.$body), $kind->value);
            self::assertTrue($kind->mustSay() === null || str_contains($body, "{{$kind->mustSay()}}"), $kind->value);
            $this->put("/keep/notices/letters/{$kind->value}", self::form($kind))->assertSessionHasNoErrors()->assertSessionHas('flash.kind', 'done');
            self::assertNull(LetterText::query()->where('kind', $kind->value)->sole()->body, 'Usual words are not kept: they go with the program.');
            $preview = $this->postJson("/keep/notices/letters/{$kind->value}/preview", ['subject' => $subject, 'body' => $body])->assertOk();
            self::assertStringNotContainsString('{', (string) json_encode([$preview->json('subject'), $preview->json('body')]), $kind->value);
        }
    }

    public function test_the_words_of_the_school_are_written_and_let_go_again(): void
    {
        $this->put('/keep/notices/letters/ended', self::form(LetterKind::Ended, ['subject' => 'Over: {course}', 'body' => "Hello {name}\n\n{open}\n\n\nBye\n"]))->assertSessionHas('flash.kind', 'done');
        $letter = $this->letterTo('eira');
        self::assertSame('Over: Clinker planking', $letter?->subject);
        self::assertStringStartsWith("Hello Eira Holm\n\nBye\n\n-- \nNo more letters like this one: http", $letter->body);
        $this->get('/keep/notices/letters?kind=ended')->assertInertia(fn ($page) => $page->where('letters.4.kind', 'ended')->where('letters.4.isOwn', true));
        $this->delete('/keep/notices/letters/ended', ['version' => 1])->assertSessionHas('flash.kind', 'refused');
        $this->delete('/keep/notices/letters/ended', ['version' => 2])->assertSessionHas('flash.kind', 'done');
        self::assertFalse(app(LetterTexts::class)->of(LetterKind::Ended)->isOwn());
        self::assertTrue(app(LetterTexts::class)->of(LetterKind::Ended)->on);
    }

    /** @return array<string, array{array<string, mixed>, string}> */
    public static function refused(): array
    {
        return [
            'no subject' => [['subject' => ' '], 'subject'],
            'two lines of subject' => [['subject' => "One\nBcc: all@elsewhere.test"], 'subject'],
            'nothing stands for it' => [['subject' => 'About {price}'], 'subject'],
            'what another letter knows' => [['body' => '{ends} {due} {learners}'], 'body'],
            'not what it is about' => [['body' => 'Your pass ends soon.'], 'body'],
            'no days' => [['days' => null], 'days'],
            'no day' => [['days' => 0], 'days'],
            'a year' => [['days' => 365], 'days'],
            'neither on nor off' => [['on' => 'perhaps'], 'on'],
            'a list for words' => [['body' => ['{ends}']], 'body'],
        ];
    }

    /** @param  array<string, mixed>  $with */
    #[DataProvider('refused')]
    public function test_what_is_no_letter_is_refused_at_its_field(array $with, string $field): void
    {
        $this->put('/keep/notices/letters/ends-soon', self::form(LetterKind::EndsSoon, $with))->assertSessionHasErrors($field);
        self::assertSame(1, LetterText::query()->where('kind', 'ends-soon')->value('version'));
    }

    public function test_two_who_settle_it_at_once_do_not_write_over_each_other(): void
    {
        $form = self::form(LetterKind::Ended, ['on' => false]);
        $this->put('/keep/notices/letters/ended', $form)->assertSessionHas('flash.kind', 'done');
        $this->put('/keep/notices/letters/ended', [...$form, 'on' => true])->assertSessionHas('flash.kind', 'refused');
        self::assertFalse(app(LetterTexts::class)->of(LetterKind::Ended)->on);
        self::assertNull($this->letterTo('eira'), 'What the school does not write is not written.');
    }

    public function test_whoever_helps_people_sees_them_and_settles_nothing(): void
    {
        $this->actingAs($this->person('aksel'));
        $this->get('/keep/notices/letters')->assertOk()->assertInertia(fn ($page) => $page->where('mayEdit', false));
        $this->put('/keep/notices/letters/ended', self::form(LetterKind::Ended))->assertForbidden();
        $this->delete('/keep/notices/letters/ended', ['version' => 1])->assertForbidden();
        $this->post('/keep/notices/letters/ended/sample', self::form(LetterKind::Ended))->assertForbidden();
        $this->put('/keep/notices/letters/by-hand', [])->assertForbidden();
        $this->actingAs($this->person('hege'))->put('/keep/notices/letters/by-hand', [])->assertNotFound();
    }

    public function test_one_is_sent_to_oneself_with_the_words_that_are_typed(): void
    {
        $this->post('/keep/notices/letters/ends-soon/sample', self::form(LetterKind::EndsSoon, ['subject' => 'Soon, {name}']))->assertSessionHas('flash.text', 'One is on its way to hege@alder.test.');
        $letter = Message::query()->where('to', 'hege@alder.test')->sole();
        self::assertSame('Soon, Hege Strand', $letter->subject);
        self::assertStringContainsString('Clinker planking', $letter->body);
        $usual = app(LetterTexts::class)->of(LetterKind::EndsSoon);
        self::assertFalse($usual->isOwn(), 'Nothing is settled by it.');
    }

    public function test_what_goes_in_is_not_looked_through_for_braces_and_a_subject_is_one_line(): void
    {
        $words = new LetterWords(LetterKind::Ended, ['course' => "{name}\r\nBcc: all@elsewhere.test", 'name' => 'Eira']);
        self::assertSame('{name} Bcc: all@elsewhere.test, Eira', $words->subject('{course}, {name}'));
        self::assertSame("{lines}\n", $words->body('{lines}'), 'What this kind does not know stays as it stands.');
    }

    public function test_a_line_with_nothing_in_it_but_what_is_not_there_is_left_out(): void
    {
        $words = new LetterWords(LetterKind::PassGiven, ['next' => '', 'open' => 'Two.', 'name' => 'Eira']);
        self::assertSame("Dear Eira\n\nTwo.\nBye\n", $words->body("Dear {name}\n\n{open}\n{next}\nBye\n\n{next}\n"));
    }

    public function test_its_reader_stops_it_with_one_click_without_signing_in(): void
    {
        $letter = $this->letterTo('eira') ?? self::fail();
        auth()->logout();
        $stop = self::stop($letter);
        $this->get($stop)->assertOk()->assertInertia(fn ($page) => $page->component('learner/StopLetters')->where('wanted', true)->missing('email'));
        self::assertSame(1, LetterChoice::query()->count(), 'What programs fetch for somebody changes nothing.');
        $this->post($stop, ['wanted' => false])->assertRedirect()->assertSessionHas('flash.text', 'You get no more letters of this kind: A pass of yours has ended.');
        Message::query()->delete();
        self::assertNull($this->letterTo('eira'));
        self::assertNotNull($this->letterTo('jonas'));
        $this->get($stop)->assertInertia(fn ($page) => $page->where('wanted', false)->where('any', true));
        $this->post($stop, ['wanted' => true])->assertSessionHas('flash.kind', 'done');
        self::assertNotNull($this->letterTo('eira'));
        self::assertSame(['letters.stopped', 'letters.wanted'], Activity::query()->where('person_id', $this->person('eira')->id)->where('action', 'like', 'letters.%')->orderBy('id')->pluck('action')->all());
    }

    public function test_a_mail_program_stops_it_by_itself(): void
    {
        $letter = $this->letterTo('eira') ?? self::fail();
        auth()->logout();
        $this->post(self::stop($letter), ['List-Unsubscribe' => 'One-Click'])->assertOk()->assertSee('You get no more letters of this kind: A pass of yours has ended.');
        self::assertFalse(LetterChoice::query()->where('kind', 'ended')->sole()->wanted);
    }

    public function test_all_of_them_are_stopped_at_once_and_none_of_another(): void
    {
        $letter = $this->letterTo('eira') ?? self::fail();
        auth()->logout();
        $this->post(self::stop($letter), ['wanted' => false, 'all' => true])->assertSessionHas('flash.kind', 'done');
        foreach (LetterKind::cases() as $kind) {
            self::assertSame([], app(\App\School\Letters\LetterChoices::class)->wanting($kind, [$this->person('eira')->id]), $kind->value);
        }
        $this->get(self::stop($letter))->assertInertia(fn ($page) => $page->where('any', false));
    }

    public function test_nobody_stops_the_letters_of_another(): void
    {
        $letter = $this->letterTo('eira') ?? self::fail();
        auth()->logout();
        $stop = self::stop($letter);
        $jonas = str_replace('/letters/'.$this->person('eira')->id.'/', '/letters/'.$this->person('jonas')->id.'/', $stop);
        $this->get($jonas)->assertForbidden();
        $this->post($jonas, ['wanted' => false])->assertForbidden();
        $this->post(str_replace('/ended', '/welcome', $stop), ['wanted' => false])->assertForbidden();
        $this->post(strtok($stop, '?') ?: '', ['List-Unsubscribe' => 'One-Click'])->assertForbidden();
        self::assertSame(1, LetterChoice::query()->count());
    }

    public function test_an_account_and_a_persons_page_tell_which_letters_they_want(): void
    {
        $eira = $this->person('eira');
        $this->put("/keep/people/{$eira->id}/letters", ['kind' => 'by-hand', 'wanted' => false])->assertSessionHas('flash.text', 'Noted for Eira Holm.');
        $this->get("/keep/people/{$eira->id}")->assertInertia(fn ($page) => $page->where('letters.7.kind', 'by-hand')->where('letters.7.wanted', false)->where('history.0.words', 'Wants no letters of this kind: Letters written by hand')->where('history.0.by', 'Hege Strand'));
        $this->actingAs($eira)->put('/account/letters', ['kind' => 'opened-today', 'wanted' => true])->assertSessionHas('flash.kind', 'done');
        $this->get('/account')->assertInertia(fn ($page) => $page->where('letters.1.kind', 'opened-today')->where('letters.1.wanted', true)->where('letters.7.wanted', false)->where('letters.2.wanted', true));
        $this->put('/account/letters', ['kind' => 'all', 'wanted' => false])->assertSessionHasErrors('kind');
    }

    public function test_a_letter_by_hand_is_not_written_to_who_wants_none(): void
    {
        LetterChoice::query()->create(['person_id' => $this->person('eira')->id, 'kind' => 'by-hand', 'wanted' => false]);
        $people = [$this->person('eira')->id, $this->person('jonas')->id];
        $told = $this->postJson('/keep/people/preview', ['do' => 'write', 'people' => $people, 'subject' => 'Hello', 'body' => 'Dear {name}'])->assertOk();
        self::assertSame(['get it by mail' => 1, 'want no letters, and get none' => 1], array_column((array) $told->json('outcomes'), 'count', 'words'));
        $this->post('/keep/people/acts', ['do' => 'write', 'people' => $people, 'subject' => 'Hello', 'body' => 'Dear {name}'])->assertSessionHas('flash.kind', 'done');
        self::assertSame(['jonas@alder.test'], Message::query()->pluck('to')->all());
        self::assertStringContainsString('/letters/'.$people[1].'/by-hand?signature=', (string) Message::query()->value('body'));
    }
}
