<?php

declare(strict_types=1);

namespace Tests\Learning;

use App\Models\Activity;
use App\Models\Language;
use App\Models\LetterText;
use App\Models\Message;
use App\Models\Offer;
use App\Models\Person;
use App\Models\School;
use App\People\Accounts\OpenAccount;
use App\People\Accounts\SendLinkTo;
use App\People\MakePass;
use App\People\ObserverLetters;
use App\School\Letters\LetterKind;
use App\School\Letters\LetterTexts;
use App\Words\Say;
use Illuminate\Support\Arr;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\Lang;
use Tests\TestCase;

/** Letters are in the language in which whoever gets them reads. The demo is at Tue 10 Mar 2026, 13:00 in Oslo. */
final class LettersInTheirLanguageTest extends TestCase
{
    protected function setUp(): void
    {
        parent::setUp();
        $this->demoSchool('2026-03-10T12:00:00Z');
        LetterText::query()->where('kind', '!=', LetterKind::PassGiven->value)->update(['on' => false]);
        LetterText::query()->update(['subject' => null, 'body' => null]);
    }

    /** @return array{string, string} subject and body of what was last written to somebody */
    private static function lastTo(string $address): array
    {
        $message = Message::query()->where('to', $address)->orderByDesc('id')->firstOrFail();

        return [$message->subject, $message->body];
    }

    private function reads(string $name, ?Language $language): Person
    {
        $person = $this->person($name);
        $person->update(['language' => $language]);

        return $person;
    }

    private function given(string $name): void
    {
        Carbon::setTestNow('2026-03-10T12:30:00Z');
        app(MakePass::class)($this->person($name), Offer::query()->where('key', 'apprentice-pass')->firstOrFail(), now()->getTimestamp());
    }

    private function write(): void
    {
        Carbon::setTestNow('2026-03-10T13:00:00Z');
        $this->inAnotherProcess();
        Artisan::call('keep:write-letters');
    }

    public function test_each_gets_it_in_their_own(): void
    {
        $this->reads('jonas', Language::Norwegian);
        $this->reads('nina', null);
        $this->given('jonas');
        $this->given('nina');
        $this->write();
        [$subject, $body] = self::lastTo('jonas@alder.test');
        self::assertSame('Clinker planking er ditt', $subject);
        self::assertStringContainsString("Kjære Jonas Wren\n\nDu har Apprentice pass i Clinker planking", $body);
        self::assertMatchesRegularExpression('/søn\.? 6\.? sep/', $body);
        self::assertStringNotContainsString('Oslo time', $body);
        self::assertStringContainsString(explode('{', Say::unfilled('letters.foot'))[0], self::lastTo('nina@alder.test')[1]);
        self::assertStringNotContainsString(explode('{', Say::unfilled('letters.foot'))[0], $body);
        self::assertSame('Clinker planking is yours', self::lastTo('nina@alder.test')[0]);
        self::assertSame('en', Lang::getLocale());
    }

    public function test_who_has_chosen_none_gets_it_in_that_of_the_school(): void
    {
        School::query()->update(['language' => 'nb']);
        $this->reads('jonas', null);
        $this->reads('nina', Language::English);
        $this->given('jonas');
        $this->given('nina');
        $this->write();
        self::assertSame('Clinker planking er ditt', self::lastTo('jonas@alder.test')[0]);
        self::assertSame('Clinker planking is yours', self::lastTo('nina@alder.test')[0]);
    }

    public function test_the_schools_own_words_are_the_same_to_everybody_and_what_goes_in_is_not(): void
    {
        $this->reads('jonas', Language::Norwegian);
        LetterText::query()->where('kind', 'pass-given')->update(['subject' => 'Ours: {course}', 'body' => "From {begins}\n{address}"]);
        $this->given('jonas');
        $this->write();
        [$subject, $body] = self::lastTo('jonas@alder.test');
        self::assertSame('Ours: Clinker planking', $subject);
        self::assertStringStartsWith("From nå\n", $body);
    }

    public function test_the_usual_words_are_shown_in_the_language_of_the_school_and_kept_as_usual(): void
    {
        School::query()->update(['language' => 'nb']);
        $this->inAnotherProcess();
        $letters = app(LetterTexts::class)->of(LetterKind::Ended);
        self::assertStringContainsString('Kjære {name}', $letters->body);
        $this->actingAs($this->person('hege'))->put('/keep/notices/letters/ended', ['on' => true, 'subject' => $letters->subject, 'body' => $letters->body, 'version' => $letters->version])->assertSessionHasNoErrors();
        self::assertNull(LetterText::query()->where('kind', 'ended')->sole()->body);
    }

    public function test_the_link_to_sign_in_and_what_observers_get(): void
    {
        $jonas = $this->reads('jonas', Language::Norwegian);
        SendLinkTo::dispatchSync('jonas@alder.test');
        [$subject, $body] = self::lastTo('jonas@alder.test');
        self::assertSame('Lenken din til å logge inn med', $subject);
        self::assertStringStartsWith('Kjære Jonas Wren', $body);
        self::assertStringNotContainsString('the link works once', $body);
        LetterText::query()->where('kind', 'observer')->update(['on' => true]);
        $letter = app(ObserverLetters::class)->to($jonas, collect([$this->person('eira'), $this->person('nina')]));
        self::assertStringStartsWith('Kjære Jonas Wren', $letter->body ?? '');
        self::assertStringContainsString('2 ', $letter->subject ?? '');
    }

    public function test_whoever_opens_an_account_goes_on_reading_what_they_read(): void
    {
        Lang::setLocale('nb');
        $person = app(OpenAccount::class)('Ny', 'ny@elsewhere.test', static fn (): string => Say::text('letters.address.to_look'));
        Lang::setLocale('en');
        self::assertSame(Language::Norwegian, $person->language);
        [$subject, $body] = self::lastTo('ny@elsewhere.test');
        self::assertSame('Er dette adressen din?', $subject);
        self::assertStringContainsString('for å se på en smakebit', $body);
        self::assertSame(['by' => 'to look at a sample'], Activity::query()->where('action', 'person.made')->where('person_id', $person->id)->sole()->after, 'Those who run the school read English.');
        self::assertNull(app(OpenAccount::class)('New', 'new@elsewhere.test', static fn (): string => '')->language);
    }

    public function test_every_letter_has_its_words_in_every_language(): void
    {
        [$english, $norwegian] = array_map(static fn (string $language): array => Arr::dot(require __DIR__."/../../lang/{$language}/letters.php"), ['en', 'nb']);
        foreach (LetterKind::written() as $kind) {
            foreach (['subject', 'body'] as $part) {
                $key = "kinds.{$kind->value}.{$part}";
                self::assertEqualsCanonicalizing(Say::placeholders($english[$key]), Say::placeholders($norwegian[$key] ?? ''), $key);
            }
        }
        foreach ($norwegian as $key => $words) {
            self::assertEqualsCanonicalizing(Say::placeholders($english[$key] ?? ''), Say::placeholders($words), $key);
        }
    }
}
