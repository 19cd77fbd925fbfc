<?php

declare(strict_types=1);

namespace Tests\Words;

use App\Words\Formats;
use App\Words\Say;
use App\Words\Sentence;
use App\Words\SentencePart;
use Illuminate\Support\Facades\Lang;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\TestCase;

final class FormatsTest extends TestCase
{
    public function test_a_year_is_named_where_it_is_another_one(): void
    {
        $local = new \DateTimeImmutable('2026-09-09T09:05:00+02:00');
        self::assertSame('Wed 9 Sep, 09:05', Formats::instant($local, 2026));
        self::assertSame('Wed 9 Sep 2026, 09:05', Formats::instant($local, 2027));
        self::assertSame('Wed 9 Sep 2026, 09:05', Formats::instant($local, null));
        self::assertSame(['Wed 9 Sep', 'Wed 9 Sep 2026'], [Formats::date($local, 2026), Formats::date($local, 2025)]);
        self::assertSame(['9 Sep', 'Sep 2026'], [Formats::cell($local, 2026), Formats::cell($local, 2025)]);
    }

    public function test_a_time_is_written_in_its_own_zone(): void
    {
        $utc = new \DateTimeImmutable('@1773140400');
        self::assertSame('Tue 10 Mar, 11:00', Formats::instant($utc, 2026));
        self::assertSame('Tue 10 Mar, 12:00', Formats::instant($utc->setTimezone(new \DateTimeZone('Europe/Oslo')), 2026));
        self::assertSame('Tue 10 Mar, 22:00', Formats::instant($utc->setTimezone(new \DateTimeZone('Australia/Lord_Howe')), 2026));
    }

    public function test_what_was_said_once_is_not_said_of_another_instant_or_in_another_language(): void
    {
        $local = new \DateTimeImmutable('2026-09-09T09:05:00+02:00');
        $said = static function (string $language, \DateTimeImmutable $at): string {
            Lang::setLocale($language);

            return Formats::date($at, 2026);
        };
        foreach ([1, 2] as $time) {
            self::assertSame(['Wed 9 Sep', 'ons. 9. sep.', 'Thu 10 Sep', 'Wed 9 Sep'], [$said('en', $local), $said('nb', $local), $said('en', $local->modify('+1 day')), $said('en', $local->modify('+1 second'))], "the {$time}. time");
        }
    }

    #[DataProvider('prices')]
    public function test_money_is_written_to_the_cent_where_there_are_any(int $price, string $words): void
    {
        self::assertSame($words, Formats::money($price, 'EUR'));
    }

    /** @return list<array{int, string}> */
    public static function prices(): array
    {
        return [[0, '0 EUR'], [100, '1 EUR'], [99, '0.99 EUR'], [1205, '12.05 EUR'], [1250, '12.50 EUR'], [123400000, '1,234,000 EUR']];
    }

    public function test_titles_stand_out_in_a_sentence_wherever_they_go(): void
    {
        $parts = static fn (Sentence $sentence): array => array_map(static fn (SentencePart $part): array => [$part->text, $part->title], $sentence->segments);
        self::assertSame([['Finish ', false], ['A {b}', true], [', ', false], ["It’s 'c'", true], [' first, and it opens at once.', false]], $parts(Sentence::say('closed.text.first', [], ['items' => ['A {b}', "It’s 'c'"]])));
        self::assertSame([['Planes', true], [' is not open yet', false]], $parts(Sentence::say('closed.heading.not_yet', [], ['title' => 'Planes'])));
        self::assertSame([['Your pass has ended', false]], $parts(Sentence::say('closed.heading.pass_ended', [], ['title' => 'Planes'])));
    }

    public function test_words_that_are_not_there_are_told_to_whoever_wrote_the_key(): void
    {
        $this->expectExceptionMessage('There are no words learner.nothing.');
        Say::text('learner.nothing');
    }
}
